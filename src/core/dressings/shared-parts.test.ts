import { DRESSINGS, MATERIALS, STAGES, STYLES, WAYS } from '@/catalogue';
import { dressingFaults } from '../faults';
import type { Dressing } from './dressing';
import {
  addAssembly,
  addBundle,
  addWeight,
  dropAssembly,
  dropWeight,
  setAssembly,
  setBundle,
  setLayers,
  setThread,
} from './shared-parts';

const of = (id: string): Dressing => structuredClone(DRESSINGS.find((dressing) => dressing.id === id)!);
const partOf = (dressing: Dressing, id: string) => dressing.parts.find((part) => part.id === id)!;
const faults = (dressing: Dressing) =>
  dressingFaults(dressing, { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS }).map(
    (fault) => fault.code,
  );
const plain = () => of('first-light-dun');

describe('one bunch for several parts', () => {
  test('takes the material of the first for all of them, in their parts and steps, and passes the checker', () => {
    const [first, second] = plain().parts.filter(
      (part) => part.material !== null && ['tail', 'wing'].includes(part.part),
    ) as [Dressing['parts'][0], Dressing['parts'][0]];
    const own = addBundle(plain(), [first.id, second.id]);
    expect(own.bundles).toEqual([
      { id: first.id, material: first.material, parts: [first.id, second.id], unit: first.unit, amount: first.count },
    ]);
    expect(partOf(own, second.id).material).toBe(first.material);
    const made = own.steps.filter(
      (step) => step.part === second.id && step.material !== null && !step.material.startsWith('thread'),
    );
    expect(made.length).toBeGreaterThan(0);
    expect(new Set(made.map((step) => step.material))).toEqual(new Set([first.material]));
    expect(faults(own)).not.toContain('bundle-material');
  });
  test('a part that joins takes its material, one of two that leaves ends it', () => {
    const own = addBundle(plain(), ['tail', 'wing']);
    const three = setBundle(own, 'tail', { parts: ['tail', 'wing', 'hackle'] });
    expect(partOf(three, 'hackle').material).toBe(partOf(three, 'tail').material);
    expect(setBundle(three, 'tail', { amount: 12, unit: 'strands' }).bundles[0]).toMatchObject({
      amount: 12,
      unit: 'strands',
      parts: ['tail', 'wing', 'hackle'],
    });
    expect(setBundle(own, 'tail', { parts: ['wing'] }).bundles).toEqual([]);
  });
  test('one part is no bunch, nor is a part without a material', () => {
    const own = plain();
    expect(addBundle(own, ['tail'])).toBe(own);
    const bare = { ...own, parts: own.parts.map((part) => (part.id === 'tail' ? { ...part, material: null } : part)) };
    expect(addBundle(bare, ['tail', 'wing'])).toBe(bare);
  });
});

describe('what shows through', () => {
  test('layers of a part keep their place, and are gone when none is left', () => {
    const own = setLayers(plain(), 'wing', ['thread-olive-70', partOf(plain(), 'wing').material!]);
    const place = own.layers.findIndex((layer) => layer.part === 'wing');
    expect(own.layers).toHaveLength(plain().layers.length + 1);
    const turned = setLayers(own, 'wing', [...own.layers[place]!.from_under].reverse());
    expect(turned.layers[place]!.from_under).toEqual([partOf(own, 'wing').material, 'thread-olive-70']);
    expect(setLayers(turned, 'wing', []).layers).toEqual(plain().layers);
  });
});

describe('made beforehand', () => {
  test('the first step that ties the part in uses it, and the checker has nothing to say', () => {
    const own = addAssembly(plain(), 'wing', 'Wings, paired');
    expect(own.assemblies).toMatchObject([{ id: 'wing', name: 'Wings, paired', part: 'wing', count: 1, spare: 1 }]);
    expect(own.steps.filter((step) => step.assembly === 'wing')).toHaveLength(1);
    expect(own.steps.find((step) => step.assembly === 'wing')).toMatchObject({ do: 'bind', part: 'wing' });
    expect(own.steps).toHaveLength(plain().steps.length);
    expect(faults(own)).toEqual(faults(plain()));
  });
  test('a part that no step ties in gets one, before the thread is finished', () => {
    const bare = { ...plain(), steps: plain().steps.filter((step) => step.part !== 'wing') };
    const own = addAssembly(bare, 'wing', 'Wings');
    const at = own.steps.findIndex((step) => step.assembly === 'wing');
    expect(own.steps[at]).toMatchObject({ do: 'bind', part: 'wing', material: partOf(own, 'wing').material });
    expect(own.steps[at + 1]!.do).toBe('finish');
  });
  test('it is changed, and taken back with the step that used it', () => {
    const own = setAssembly(addAssembly(plain(), 'wing', 'Wings'), 'wing', { count: 2, spare: 0 });
    expect(own.assemblies[0]).toMatchObject({ count: 2, spare: 0 });
    expect(dropAssembly(own, 'wing')).toEqual(plain());
  });
  test('two of one part have ids of their own', () =>
    expect(addAssembly(addAssembly(plain(), 'wing', 'a'), 'wing', 'b').assemblies.map((item) => item.id)).toEqual([
      'wing',
      'wing-2',
    ]));
});

test('another thread is in the parts, steps and layers of the old one, and nowhere is the old one left', () => {
  const own = setThread(plain(), 0, 'thread-red-70');
  expect(own.threads[0]!.material).toBe('thread-red-70');
  expect(JSON.stringify(own)).not.toContain(plain().threads[0]!.material);
  expect(own.steps.filter((step) => step.material === 'thread-red-70')).toHaveLength(
    plain().steps.filter((step) => step.material === plain().threads[0]!.material).length,
  );
});

describe('weight', () => {
  test.each([
    ['bead', 'seat-bead'],
    ['wound', 'lay-weight'],
    ['sides', 'lay-weight'],
  ] as const)('%s comes with the step that lays it, before anything covers it, and goes with it', (kind, verb) => {
    const start = plain();
    const own = addWeight(start, kind, DRESSINGS);
    expect(own.weights.map((weight) => weight.kind)).toEqual([kind]);
    expect(own.steps.findIndex((step) => step.do === verb)).toBe(0);
    const off = dropWeight(own, 0);
    expect([off.weights, off.parts, off.steps]).toEqual([start.weights, start.parts, start.steps]);
  });
  test('a heavier hook needs no part', () => {
    const own = addWeight(plain(), 'hook-wire', DRESSINGS);
    expect([own.weights[0]!.kind, own.parts]).toEqual(['hook-wire', plain().parts]);
    expect(dropWeight(own, 0)).toEqual(plain());
  });
});
