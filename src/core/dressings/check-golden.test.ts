import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHIPPED } from '../../../tools/test-catalogue';
import golden from './__tests__/checked.json';
import { checkDressing, type LaysOut } from './check';
import type { Dressing, DressingPart, DressingStep } from './dressing';

const IDS = [
  'first-light-dun',
  'first-light-post-dun',
  'herl-bead-nymph',
  'cheeked-quill-nymph',
  'half-out-dun',
  'trailing-hind-hawthorn',
  'staith-jig-nymph',
  'ellanmere-plume-raft',
];

/** Every size is its share of a hook of 10 mm with a gape of 4, whatever is asked: the checker is tried, not the bench. */
const plain: LaysOut = (dressing) => ({
  fits: true,
  overMm: 0,
  part: null,
  gapeMm: 4,
  eyeMm: 1.2,
  abdomenMm: 6,
  carryMm: 8,
  sizes: new Map(
    dressing.parts.map((part) => [
      part.id,
      (part.factor ?? 0.5) * ({ gape: 4, eye: 1.2, shank: 8, abdomen: 6 }[part.base as string] ?? 8),
    ]),
  ),
});
const crowded: LaysOut = (...given) => ({
  ...plain(...given),
  fits: false,
  overMm: 1.5,
  part: given[0].parts[0]!.id,
  eyeMm: 0.2,
  abdomenMm: null,
});

const part =
  (at: number, more: Partial<DressingPart>) =>
  (dressing: Dressing): Dressing => ({
    ...dressing,
    parts: dressing.parts.map((item, index) => (index === at ? { ...item, ...more } : item)),
  });
const step =
  (at: number, more: Partial<DressingStep>) =>
  (dressing: Dressing): Dressing => ({
    ...dressing,
    steps: dressing.steps.map((item, index) => (index === at ? { ...item, ...more } : item)),
  });

/** One fault at a time, everywhere it can be made. */
function* spoils(dressing: Dressing): Generator<[string, Dressing, LaysOut?]> {
  yield ['as it is', dressing];
  yield ['crowded', dressing, crowded];
  for (const [at, { id, factor }] of dressing.parts.entries()) {
    yield [`${id} of moonlight`, part(at, { material: 'moonlight' })(dressing)];
    yield [`${id} without a factor`, part(at, { factor: null, count: null })(dressing)];
    yield [`${id} without its low end`, part(at, { low: null })(dressing)];
    yield [`${id} without its high end`, part(at, { high: null })(dressing)];
    if (factor !== null) yield [`${id} under its range`, part(at, { low: factor * 1.1, high: factor * 1.2 })(dressing)];
    if (factor !== null) yield [`${id} over its range`, part(at, { low: factor * 0.8, high: factor * 0.9 })(dressing)];
    if (factor !== null) yield [`${id} at an end of its range`, part(at, { low: factor, high: factor })(dressing)];
    yield [`${id} half as long`, part(at, { factor: (factor ?? 1) / 2, low: 0, high: 9 })(dressing)];
    yield [`${id} six times as long`, part(at, { factor: (factor ?? 1) * 6, low: 0, high: 99 })(dressing)];
    yield [`${id} optional the other way`, part(at, { optional: !dressing.parts[at]!.optional })(dressing)];
    yield [`${id} thick as the natural`, part(at, { thick: { base: 'girth', factor: 1 } })(dressing)];
    yield [`${id} without a step`, { ...dressing, steps: dressing.steps.filter((item) => item.part !== id) }];
  }
  for (const at of dressing.steps.keys()) {
    yield [`step ${at + 1} without its caution`, step(at, { caution: null })(dressing)];
    yield [`step ${at + 1} with a caution of flame`, step(at, { caution: 'flame' })(dressing)];
    yield [`step ${at + 1} of a material of another`, step(at, { material: 'peacock-eye-strands' })(dressing)];
    yield [`step ${at + 1} of a part that is none`, step(at, { part: 'propeller' })(dressing)];
    yield [`step ${at + 1} coated with glue`, step(at, { do: 'coat', material: 'head-varnish' })(dressing)];
    yield [`step ${at + 1} with a made part that is none`, step(at, { assembly: 'none' })(dressing)];
    yield [`step ${at + 1} with a tool that is not laid out`, step(at, { tool: 'lathe' })(dressing)];
  }
  yield ['ends before the eye is freed', { ...dressing, steps: dressing.steps.slice(0, -1) }];
  yield ['without cautions', { ...dressing, cautions: [] }];
  yield ['without tools', { ...dressing, tools: [] }];
  yield ['taken on the bed', { ...dressing, levels: ['bed'] }];
  yield ['taken anywhere', { ...dressing, levels: [] }];
  for (const head_room of [0, 0.5, 3]) yield [`with ${head_room} eyes for the head`, { ...dressing, head_room }];
  for (const bend of ['curved-shank', 'continuous-curve', 'jig', 'round'] as const)
    yield [`on a ${bend} alone`, { ...dressing, hooks: [{ bend, x_long: null, wire: [] }] }];
  for (const style of ['post-dun', 'shrimp', 'curved-pupa', 'wide-terrestrial'] as const)
    yield [`in the style ${style}`, { ...dressing, style }];
  yield [
    'with a thread to show through',
    {
      ...dressing,
      threads: [
        ...dressing.threads,
        { role: 'show-through', material: 'silk-yellow', finish_turns: 3, optional: false },
      ],
    },
  ];
  yield [
    'with a switch of nothing',
    {
      ...dressing,
      switches: [
        ...dressing.switches,
        {
          id: 'x',
          name: 'X',
          parts: ['propeller', dressing.parts[0]!.id],
          on: true,
          attracts: false,
          why: 'x',
          stages: [],
        },
      ],
    },
  ];
  yield [
    'with a bunch of another material',
    {
      ...dressing,
      bundles: [
        {
          id: 'b',
          material: 'moonlight',
          parts: [dressing.parts[0]!.id, dressing.parts[1]!.id],
          unit: 'count',
          amount: null,
        },
      ],
    },
  ];
  yield [
    'with a made part that nobody uses',
    {
      ...dressing,
      assemblies: [
        {
          id: 'a',
          name: 'A',
          part: 'propeller',
          count: 1,
          spare: 0,
          steps: [
            { ...dressing.steps[0]!, do: 'fold', material: 'moonlight' },
            { ...dressing.steps[0]!, do: 'coat', material: 'moonlight' },
          ],
        },
      ],
    },
  ];
  yield ['with nothing made beforehand', { ...dressing, assemblies: [] }];
}

test('the golden table of the checker: what each of many faults is told as', () => {
  const now = IDS.map((id) => {
    const own = SHIPPED.dressings.find((dressing) => dressing.id === id)!;
    const told = [...spoils(own)].map(
      ([name, dressing, layOut = plain]) =>
        [
          name,
          checkDressing(dressing, SHIPPED, layOut).map((fault) => [fault.code, fault.part, fault.step, fault.params]),
        ] as const,
    );
    const [, asIs] = told[0]!;
    const usual = new Set(asIs.map((fault) => JSON.stringify(fault)));
    // What the plain hook is told of the whole dressing is told once.
    return {
      id,
      asIs,
      told: Object.fromEntries(
        told.slice(1).map(([name, faults]) => [name, faults.filter((fault) => !usual.has(JSON.stringify(fault)))]),
      ),
    };
  });
  // A change that is meant is written anew with WRITE_GOLDEN=1 and looked through.
  if (process.env.WRITE_GOLDEN)
    return writeFileSync(
      join(__dirname, '__tests__/checked.json'),
      `[\n${now.map((one) => JSON.stringify(one)).join(',\n')}\n]\n`,
    );
  expect(JSON.parse(JSON.stringify(now))).toEqual(golden);
});
