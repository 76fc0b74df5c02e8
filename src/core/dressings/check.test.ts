import { DRESSINGS, KNOWN, MATERIALS, STAGES, STYLES, tailsOf, TOOLS, WAYS } from '@/catalogue';
import { dressingFaults } from '../faults';
import { dressingSchema, type Dressing } from './dressing';
import { readiness } from './readiness';

const CATALOGUE = { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS, tools: TOOLS, tailsOf };
const faults = (dressing: Dressing) => dressingFaults(dressing, CATALOGUE).map((fault) => fault.code);
const of = (id: string): Dressing => structuredClone(DRESSINGS.find((dressing) => dressing.id === id)!);
const stepOf = (dressing: Dressing, verb: string, part: string) =>
  dressing.steps.findIndex((step) => step.do === verb && step.part === part);
const move = (dressing: Dressing, from: number, to: number) => {
  const [step] = dressing.steps.splice(from, 1);
  dressing.steps.splice(to, 0, step!);
  return dressing;
};

test.each(DRESSINGS.map((dressing) => [dressing.id, dressing] as const))('%s passes', (_, dressing) => {
  expect(dressingFaults(dressing, CATALOGUE)).toEqual([]);
});

test('the library is wide enough and its materials all exist with their function', () => {
  expect(DRESSINGS.length).toBeGreaterThanOrEqual(18);
  for (const dressing of DRESSINGS)
    for (const part of dressing.parts.filter((item) => item.material !== null)) {
      expect(MATERIALS.find((material) => material.id === part.material)!.functions).toContain(part.function);
    }
});

describe('each rule fails when it is broken', () => {
  const broken: [string, () => Dressing][] = [
    [
      'material-unknown',
      () => {
        const d = of('first-light-dun');
        d.parts[0]!.material = 'moonlight';
        return d;
      },
    ],
    [
      'part-without-step',
      () => {
        const d = of('first-light-dun');
        d.steps = d.steps.filter((step) => step.part !== 'tail');
        return d;
      },
    ],
    [
      'step-material-without-part',
      () => {
        const d = of('first-light-dun');
        d.steps[1]!.material = 'peacock-herl';
        return d;
      },
    ],
    [
      'step-part-unknown',
      () => {
        const d = of('first-light-dun');
        d.steps[1]!.part = 'propeller';
        return d;
      },
    ],
    [
      'bench-E1',
      () => {
        const d = of('first-light-dun');
        return move(d, stepOf(d, 'wind', 'hackle'), stepOf(d, 'catch-in', 'hackle'));
      },
    ],
    [
      'bench-E4',
      () => {
        const d = of('first-light-dun');
        d.steps.splice(stepOf(d, 'wind', 'hackle'), 1);
        return d;
      },
    ],
    [
      'bench-E5',
      () => {
        const d = of('first-light-dun');
        d.steps.splice(stepOf(d, 'tie-off', 'hackle'), 1);
        return d;
      },
    ],
    [
      'bench-O1',
      () => {
        const d = of('rough-herl-nymph');
        return move(d, stepOf(d, 'lay-weight', 'weight'), stepOf(d, 'dub', 'abdomen') + 1);
      },
    ],
    [
      'bench-E10',
      () => {
        const d = of('dark-pad-nymph');
        return move(d, stepOf(d, 'catch-in', 'rib'), stepOf(d, 'dub', 'abdomen'));
      },
    ],
    [
      'bench-E10',
      () => {
        const d = of('dark-pad-nymph');
        return move(d, stepOf(d, 'wind', 'rib'), stepOf(d, 'dub', 'abdomen'));
      },
    ],
    [
      'bench-O5',
      () => {
        const d = of('first-light-dun');
        d.steps.splice(d.steps.length - 4, 0, {
          ...of('flat-stone-nymph').steps.find((step) => step.do === 'coat' && step.part === 'wing-case')!,
          part: 'thorax',
        });
        return d;
      },
    ],
    [
      'bench-O7',
      () => {
        const d = of('first-light-post-dun');
        return move(
          d,
          d.steps.findIndex((step) => step.part === 'post' && step.cuts === 'show'),
          stepOf(d, 'post', 'post') + 1,
        );
      },
    ],
    [
      'bench-O6',
      () => {
        const d = of('first-light-dun');
        for (const at of [0, 1]) d.steps[stepOf(d, 'cut', 'wing') - at]!.check = null;
        return d;
      },
    ],
    [
      'caution-missing',
      () => {
        const d = of('flat-stone-nymph');
        d.steps[stepOf(d, 'lay-weight', 'weight')]!.caution = null;
        return d;
      },
    ],
    [
      'caution-unlisted',
      () => {
        const d = of('first-light-dun');
        d.steps[0]!.caution = 'bleach';
        return d;
      },
    ],
    [
      'eye-not-freed',
      () => {
        const d = of('first-light-dun');
        d.steps.pop();
        return d;
      },
    ],
    [
      'factor-range',
      () => {
        const d = of('first-light-dun');
        d.parts[0]!.factor = 3;
        return d;
      },
    ],
    [
      'base-missing',
      () => {
        const d = of('first-light-dun');
        d.parts[0]!.factor = null;
        d.parts[0]!.count = null;
        return d;
      },
    ],
    [
      'thorax-thin',
      () => {
        const d = of('first-light-dun');
        d.parts.find((part) => part.part === 'thorax')!.thick!.factor = 0.5;
        return d;
      },
    ],
    [
      'no-room',
      () => {
        const d = of('first-light-dun');
        const part = d.parts.find((item) => item.part === 'abdomen')!;
        part.factor = 0.9;
        part.high = 0.95;
        return d;
      },
    ],
    [
      'head-long',
      () => {
        const d = of('first-light-dun');
        const part = d.parts.find((item) => item.part === 'thorax')!;
        part.base = 'shank';
        part.factor = 0.1;
        part.low = 0.1;
        part.high = 0.1;
        return d;
      },
    ],
    [
      'hackle-short',
      () => {
        const d = of('first-light-dun');
        const part = d.parts.find((item) => item.part === 'hackle')!;
        part.factor = 1;
        part.low = 0.9;
        return d;
      },
    ],
    [
      'tail-short',
      () => {
        const d = of('first-light-dun');
        const part = d.parts.find((item) => item.part === 'tail')!;
        part.factor = 0.5;
        part.low = 0.4;
        return d;
      },
    ],
    [
      'optional-unswitched',
      () => {
        const d = of('first-light-dun');
        d.parts[0]!.optional = true;
        return d;
      },
    ],
    [
      'switch-part-unknown',
      () => {
        const d = of('cheeked-quill-nymph');
        d.switches[0]!.parts.push('nothing');
        return d;
      },
    ],
    [
      'bundle-material',
      () => {
        const d = of('cheeked-quill-nymph');
        d.bundles.push({ id: 'flank', material: 'duck-flank', parts: ['tail', 'beard'], unit: 'count', amount: 10 });
        d.parts.find((part) => part.id === 'tail')!.material = 'guard-hair';
        return d;
      },
    ],
    [
      'assembly-unused',
      () => {
        const d = of('ellanmere-long-dun');
        for (const step of d.steps) step.assembly = null;
        return d;
      },
    ],
    [
      'assembly-unknown',
      () => {
        const d = of('first-light-dun');
        d.steps[1]!.assembly = 'wings';
        return d;
      },
    ],
    [
      'tool-unlisted',
      () => {
        const d = of('first-light-dun');
        d.tools = ['bobbin'];
        return d;
      },
    ],
    [
      'hook-not-for-style',
      () => {
        const d = of('first-light-dun');
        d.hooks.push({ bend: 'continuous-curve', x_long: null, wire: ['standard'] });
        return d;
      },
    ],
    [
      'head-room-short',
      () => {
        const d = of('hair-roof-adult');
        d.head_room = 0.5;
        return d;
      },
    ],
    [
      'level-ride',
      () => {
        const d = of('first-light-dun');
        d.levels = ['bed'];
        return d;
      },
    ],
    [
      'glue-on-plume',
      () => {
        const d = of('staith-plume-dun');
        d.steps.splice(6, 0, { ...d.steps[1]!, do: 'coat', part: 'wing', material: 'bond-cement', caution: 'solvent' });
        d.cautions.push('solvent');
        return d;
      },
    ],
    [
      'glue-under-show',
      () => {
        const d = of('lit-tube-pupa');
        d.steps.splice(1, 0, {
          ...d.steps[1]!,
          do: 'coat',
          part: 'abdomen',
          material: 'bond-cement',
          caution: 'solvent',
        });
        d.cautions.push('solvent');
        return d;
      },
    ],
    [
      'wing-below-hackle',
      () => {
        const d = of('first-light-dun');
        const part = d.parts.find((item) => item.part === 'wing')!;
        part.factor = 0.5;
        part.low = 0.4;
        part.at_least = null;
        return d;
      },
    ],
  ];
  test.each(broken)('%s', (code, make) => expect(faults(make())).toContain(code));
});

describe('the schema', () => {
  const schema = dressingSchema(KNOWN);
  test.each([
    [
      'a base that is none',
      (d: Dressing) => {
        d.parts[0]!.base = 'moon';
      },
    ],
    [
      'a station that is none',
      (d: Dressing) => {
        d.steps[0]!.at = 'somewhere';
      },
    ],
    [
      'a stage of no order',
      (d: Dressing) => {
        d.stages = ['mayfly/queen' as never];
      },
    ],
    [
      'a range the wrong way',
      (d: Dressing) => {
        d.length_mm = [9, 4];
      },
    ],
  ])('refuses %s', (_, spoil) => {
    const dressing = of('first-light-dun');
    spoil(dressing);
    expect(schema.isValidSync(dressing)).toBe(false);
  });
  test('takes a base that is another part or two landmarks', () => {
    const dressing = of('first-light-dun');
    dressing.parts[0]!.base = 'part:hackle';
    dressing.parts[1]!.base = 'landmark:one-eye..mid-shank';
    expect(schema.isValidSync(dressing)).toBe(true);
  });
});

describe('readiness', () => {
  const dressing = of('first-light-dun');
  const all = new Set([
    ...dressing.parts.flatMap((part) => part.material ?? []),
    ...dressing.threads.map((thread) => thread.material),
  ]);
  const without = (gone: string, ...more: string[]) =>
    readiness(dressing, new Set([...[...all].filter((id) => id !== gone), ...more]), MATERIALS).ready;
  test('unknown until a stash has been begun', () =>
    expect(readiness(dressing, null, MATERIALS).ready).toBe('unknown'));
  test('ready, with substitutes, short', () => {
    expect(readiness(dressing, all, MATERIALS).ready).toBe('ready');
    expect(without('wing-yarn-grey', 'post-yarn-white')).toBe('substitutes');
    expect(without('wing-yarn-grey')).toBe('short');
  });
});
