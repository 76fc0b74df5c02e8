import { KNOWN } from '@/catalogue';
import { completeDressing, writtenDressing, type WrittenDressing } from './complete-dressing';
import { dressingSchema } from './dressing';

const BARE: WrittenDressing = {
  id: 'bare',
  rev: 1,
  name: 'Bare',
  stages: ['mayfly/dun'],
  style: 'upright-dun',
  ride: 'high',
  waters: ['slow'],
  length_mm: [6, 12],
  skill: 1,
  evidence: 'theory',
  taper: 'none',
  parts: [{ id: 'head', part: 'head', base: 'rest' }],
  steps: [{ do: 'finish' }],
};
const FULL: WrittenDressing = {
  ...BARE,
  threads: [{ role: 'foundation', material: 'thread-olive-70', finish_turns: 4 } as never],
  weights: [{ kind: 'wound' } as never],
  layers: [{ part: 'head', from_under: ['thread-olive-70'] }],
  bundles: [{ id: 'b', material: 'm', parts: ['x', 'y'] } as never],
  switches: [{ id: 's', name: 'S', parts: ['head'], on: true, why: 'w' } as never],
  hooks: [{ bend: 'round' } as never],
  assemblies: [{ id: 'a', name: 'A', part: 'head', count: 2, steps: [{ do: 'fold' }] }],
  bank: [{ id: 'shorten', text: 'Cut' } as never],
  changes: [{ kind: 'scaled', text: 'Longer' } as never],
};

test('what is left out gets its default, in every list', () => {
  const whole = completeDressing(FULL);
  expect(whole).toMatchObject({
    levels: [],
    size_by_water: {},
    months: [],
    groups: [],
    minutes: null,
    work_order: null,
    protection: 'none',
    finish: 'tidy',
    head_room: null,
    tools: [],
    cautions: [],
    claims: [],
    parent: null,
  });
  expect(whole.threads).toEqual([
    { role: 'foundation', material: 'thread-olive-70', finish_turns: 4, optional: false },
  ]);
  expect(whole.weights).toEqual([
    { kind: 'wound', metal: null, bead_kind: null, diameter_mm: null, turns: null, cover: null, lock: null },
  ]);
  expect(whole.bundles).toEqual([{ id: 'b', material: 'm', parts: ['x', 'y'], unit: 'count', amount: null }]);
  expect(whole.switches).toEqual([
    { id: 's', name: 'S', parts: ['head'], on: true, why: 'w', attracts: false, stages: [] },
  ]);
  expect(whole.hooks).toEqual([{ bend: 'round', x_long: null, wire: [] }]);
  expect(whole.assemblies[0]).toMatchObject({
    spare: 0,
    steps: [{ do: 'fold', mend: [], reversible: true, locks: false, stays: false, wait_s: null }],
  });
  expect(whole.bank).toEqual([{ id: 'shorten', text: 'Cut', ride: null }]);
  expect(whole.changes).toEqual([{ kind: 'scaled', text: 'Longer', part: null }]);
  expect(whole.parts[0]).toMatchObject({
    unit: 'count',
    optional: false,
    scaled: false,
    counter: false,
    also: [],
    material: null,
    thick: null,
  });
});

test('without a list there is an empty one', () => {
  expect(completeDressing(BARE)).toMatchObject({
    threads: [],
    weights: [],
    layers: [],
    bundles: [],
    switches: [],
    hooks: [],
    assemblies: [],
    bank: [],
    changes: [],
  });
});

test('what equals its default is left out again, and what does not stays', () => {
  const whole = { bundles: completeDressing(FULL).bundles, hooks: completeDressing(FULL).hooks };
  expect(writtenDressing(completeDressing(FULL))).toEqual({ ...FULL, ...whole });
  expect(writtenDressing(completeDressing(BARE))).toEqual(BARE);
  const kept: WrittenDressing = {
    ...FULL,
    ...whole,
    levels: ['surface'],
    size_by_water: { fast: 1 },
    months: [5],
    groups: ['m01'],
    minutes: 6,
    work_order: 'wing-first',
    protection: 'resin-over',
    finish: 'rough',
    head_room: 1,
    tools: ['bobbin'],
    cautions: ['blade'],
    parent: 'other',
    claims: [{ text: 'It floats.', evidence: 'seen' }],
    parts: [
      { id: 'head', part: 'head', base: 'rest', also: ['floss-orange'], material: 'm', count: 2, optional: true },
    ],
    switches: [{ id: 's', name: 'S', parts: ['head'], on: true, why: 'w', attracts: true, stages: ['mayfly/dun'] }],
    bank: [{ id: 'shorten', text: 'Cut', ride: 'film' }],
    changes: [{ kind: 'scaled', text: 'Longer', part: 'head' }],
    assemblies: [{ id: 'a', name: 'A', part: 'head', count: 2, spare: 1, steps: [{ do: 'fold', mend: ['again'] }] }],
    threads: [{ role: 'head', material: 't', finish_turns: 2, optional: true }],
  };
  expect(writtenDressing(completeDressing(kept))).toEqual(kept);
});

test('a list of one dressing is not another’s', () => {
  const [one, other] = [completeDressing(FULL), completeDressing(FULL)];
  one.parts[0]!.also.push('x');
  one.steps[0]!.mend.push('x');
  one.switches[0]!.stages.push('mayfly/dun');
  expect([other.parts[0]!.also, other.steps[0]!.mend, other.switches[0]!.stages]).toEqual([[], [], []]);
});

describe('what the schema of a dressing refuses', () => {
  const schema = dressingSchema(KNOWN);
  const whole = () => completeDressing(BARE);
  const part = (more: object) => ({ parts: [{ ...whole().parts[0]!, ...more }] });
  const hook = (x_long: unknown) => ({ hooks: [{ bend: 'round', x_long, wire: [] }] });
  test.each<[string, object]>([
    ['a range that is no list', { length_mm: 7 }],
    ['a range of three', { length_mm: [1, 2, 3] }],
    ['a range of one', { length_mm: [6] }],
    ['a range that falls', { length_mm: [12, 6] }],
    ['a range of one length', { length_mm: [8, 8] }],
    ['a range without an end', { length_mm: [6, null] }],
    ['a range without a beginning', { length_mm: [null, 6] }],
    ['an X that falls', hook([2, 1])],
    ['an X of words', hook(['a', 'b'])],
    ['an X of three', hook([0, 1, 2])],
    ['a size by a water nobody fishes', { size_by_water: { moon: 1 } }],
    ['half a size', { size_by_water: { fast: 0.5 } }],
    ['four sizes', { size_by_water: { fast: 4 } }],
    ['sizes that are no map', { size_by_water: 'fast' }],
    ['sizes of null', { size_by_water: null }],
    ['a base that is none', part({ base: 'moon' })],
    ['a base of a part with a blank', part({ base: 'part:a b' })],
    ['a station that is none', part({ from: 'moon' })],
    ['a station with words before its part', part({ from: 'at part:tail' })],
    ['a station with words after its part', part({ from: 'part:tail/rear/more' })],
  ])('%s', (_, more) => expect(schema.isValidSync({ ...whole(), ...more })).toBe(false));
  test.each<[string, object]>([
    ['three sizes', { size_by_water: { fast: 3, slow: -3 } }],
    ['an X of one', hook([1, 1])],
    ['any X', hook(null)],
    ['a base of a part', part({ base: 'part:tail' })],
    ['a base between landmarks', part({ base: 'landmark:one-third..bend-start' })],
    ['a station behind a part', part({ from: 'part:tail/rear' })],
    ['a station so far from a landmark', part({ from: 'one-third+0.5gape' })],
    ['no station', part({ from: null })],
  ])('%s passes', (_, more) => expect(schema.isValidSync({ ...whole(), ...more })).toBe(true));
});
