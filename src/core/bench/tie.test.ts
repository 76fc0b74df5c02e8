import fc from 'fast-check';
import type { BenchHook, BenchStep, RuleId } from './bench-shape';
import { gaps, overlap, tie } from './tie';

const HOOK: BenchHook = { shankMm: 7, gapeMm: 4.3, wireMm: 0.4, eyeMm: 1.4, tieDownMm: 7, bead: null };
const BEADED: BenchHook = { ...HOOK, bead: { frontMm: 0, rearMm: 2.4 } };
const STEP: Omit<BenchStep, 'n' | 'do'> = {
  part: null,
  kind: null,
  does: null,
  material: null,
  byThread: false,
  at: null,
  span: null,
  cover: 'none',
  points: 'out',
  endMm: 0,
  waits: 'show',
  leavesWaste: false,
  stays: false,
  cuts: null,
  heldBy: null,
  turns: null,
  wanted: null,
  layMm: null,
  side: null,
  vise: null,
  checked: true,
  never: false,
  waitS: 0,
  seconds: 10,
  lock: false,
  as: null,
};
type Made = Partial<BenchStep> & Pick<BenchStep, 'do'>;
const numbered = (steps: Made[]): BenchStep[] => steps.map((step, index) => ({ ...STEP, ...step, n: index + 1 }));
const rules = (steps: Made[], hook = HOOK) =>
  tie(numbered(steps), hook).refusals.map(
    ({ rule, step, part }) => `${rule}${step === null ? '' : ` ${step}`}${part === null ? '' : ` ${part}`}`,
  );
const has = (steps: Made[], rule: RuleId, hook = HOOK) =>
  rules(steps, hook).some((item) => item.startsWith(`${rule} `) || item === rule);

const start: Made = { do: 'start-thread', material: 'thread', byThread: true, at: 3.5 };
const tail: Made[] = [
  { do: 'bind', part: 'tail', kind: 'tail', does: 'tail.stiff', at: 7, points: 'rear', endMm: 7, leavesWaste: true },
  { do: 'cut', part: 'tail', kind: 'tail', cuts: 'waste', at: 6, never: true },
];
const rib: Made = {
  do: 'catch-in',
  part: 'rib',
  kind: 'rib',
  does: 'rib.wire',
  at: 7,
  points: 'rear',
  endMm: 0,
  waits: 'wind',
};
const quill: Made[] = [
  { do: 'catch-in', part: 'abdomen', kind: 'abdomen', does: 'body.quill', at: 7, waits: 'wind', points: 'rear' },
  {
    do: 'wind',
    part: 'abdomen',
    kind: 'abdomen',
    does: 'body.quill',
    at: 7,
    span: { rear: 7, front: 3 },
    cover: 'closed',
    layMm: 0.5,
  },
  { do: 'tie-off', part: 'abdomen', kind: 'abdomen', at: 3 },
  { do: 'cut', part: 'abdomen', kind: 'abdomen', cuts: 'waste', at: 3, never: true },
];
const ribbed: Made[] = [
  {
    do: 'wind',
    part: 'rib',
    kind: 'rib',
    does: 'rib.wire',
    at: 7,
    span: { rear: 7, front: 3 },
    cover: 'open',
    turns: 5,
    wanted: 5,
    layMm: 0.14,
  },
  { do: 'tie-off', part: 'rib', kind: 'rib', at: 3 },
  { do: 'cut', part: 'rib', kind: 'rib', cuts: 'waste', at: 3, never: true },
];
const thorax: Made = {
  do: 'dub',
  part: 'thorax',
  kind: 'thorax',
  does: 'body.dubbed',
  at: 3,
  span: { rear: 3, front: 1.4 },
  cover: 'closed',
};
const hackle: Made[] = [
  { do: 'catch-in', part: 'hackle', kind: 'hackle', does: 'hackle.stiff', at: 3, waits: 'wind', points: 'out' },
  thorax,
  {
    do: 'wind',
    part: 'hackle',
    kind: 'hackle',
    does: 'hackle.stiff',
    at: 3,
    span: { rear: 3, front: 1.4 },
    cover: 'open',
    turns: 4,
    layMm: 0.3,
  },
  { do: 'tie-off', part: 'hackle', kind: 'hackle', at: 1.4 },
  { do: 'cut', part: 'hackle', kind: 'hackle', cuts: 'waste', at: 1.4, never: true },
];
const end: Made[] = [
  {
    do: 'finish',
    part: 'head',
    kind: 'head',
    does: 'thread',
    material: 'thread',
    byThread: true,
    at: 1.4,
    span: { rear: 1.4, front: 0 },
    cover: 'closed',
  },
  { do: 'cut', part: 'head', kind: 'head', cuts: 'thread', at: 1.4, never: true },
  { do: 'free-eye' },
];
const fly: Made[] = [start, ...tail, rib, ...quill, ...ribbed, ...hackle, ...end];
const without = (steps: Made[], ...gone: Made[]) => steps.filter((step) => !gone.includes(step));
const before = (steps: Made[], mark: Made, ...put: Made[]) =>
  steps.flatMap((step) => (step === mark ? [...put, step] : [step]));
const bead: Made = { do: 'seat-bead', part: 'bead', kind: 'bead', does: 'bead', at: 0, lock: true };

test('a fly that can be tied is tied without a word', () => expect(rules(fly)).toEqual([]));

describe('what hands cannot do is refused, at its step', () => {
  const cases: [RuleId, string, Made[], BenchHook?][] = [
    ['T1', 'binding before there is a thread', without(fly, start)],
    [
      'T1',
      'side strips before there is a thread',
      [{ do: 'lay-weight', part: 'weight', kind: 'weight', span: { rear: 5, front: 2 }, cover: 'none' }, ...fly],
    ],
    [
      'T2',
      'thread led back over a finished body',
      before(fly, end[0]!, { do: 'bind', part: 'spikes', kind: 'tail', at: 7, points: 'rear' }),
    ],
    [
      'T4',
      'a second thread while the first hangs for nothing',
      [
        ...before(without(fly, ...end), hackle[0]!, { ...start, material: 'other', at: 3 }),
        { ...end[0]!, material: 'other' },
        end[1]!,
      ],
    ],
    [
      'T5',
      'whipped by a thread that is not on',
      [...without(fly, ...end), { ...end[0]!, material: 'other' }, end[1]!, end[2]!],
    ],
    ['T6', 'thread left on', without(fly, end[1]!)],
    ['P1', 'whipped inside the bead', [bead, ...fly], BEADED],
    ['P1', 'bound inside the bead', [bead, start, { do: 'bind', part: 'legs', kind: 'legs', at: 1.2 }], BEADED],
    [
      'P2',
      'a body over another’s place',
      before(fly, hackle[0]!, {
        do: 'dub',
        part: 'second',
        kind: 'thorax',
        does: 'body.dubbed',
        at: 5,
        span: { rear: 5, front: 3 },
        cover: 'closed',
      }),
    ],
    [
      'P5',
      'bare wire between thorax and head',
      fly.map((step) => (step === thorax ? { ...thorax, span: { rear: 3, front: 2 } } : step)),
    ],
    [
      'P7',
      'bound past the tie-down',
      before(fly, rib, { do: 'bind', part: 'tag', kind: 'tag', at: 9, points: 'rear' }),
    ],
    [
      'P8',
      'a bead that nothing locks',
      [{ ...bead, lock: false }, start, { ...end[0]!, at: 2.6, span: { rear: 2.8, front: 2.4 } }, end[1]!],
      BEADED,
    ],
    ['E1', 'wound without being caught in', without(fly, quill[0]!)],
    [
      'E1',
      'held by an end that is not there',
      before(fly, quill[3]!, { do: 'tie-off', part: 'abdomen', kind: 'abdomen', heldBy: 'wire', at: 3 }),
    ],
    ['E2', 'caught far from where it is wound', fly.map((step) => (step === hackle[0] ? { ...step, at: 5.6 } : step))],
    [
      'E3',
      'a wing wound over',
      before(fly, hackle[0]!, {
        do: 'bind',
        part: 'tuft',
        kind: 'tuft',
        does: 'wing.tuft',
        at: 2.3,
        points: 'rear',
        endMm: 7,
      }),
    ],
    ['E4', 'caught in and never wound', without(fly, ...ribbed)],
    ['E4', 'tied off and never wound', without(fly, hackle[2]!)],
    ['E5', 'wound and never tied off', without(fly, quill[2]!, quill[3]!)],
    ['E6', 'waste covered', without(fly, quill[3]!)],
    ['E6', 'waste at the whip', without(fly, hackle[4]!)],
    ['E7', 'a thread cut that was not whipped', without(fly, end[0]!)],
    [
      'E8',
      'cut inside a finished body',
      before(
        fly,
        hackle[0]!,
        { do: 'bind', part: 'wing', kind: 'wing', at: 2.4, points: 'up', leavesWaste: true },
        { do: 'cut', part: 'wing', kind: 'wing', cuts: 'waste', at: 4 },
      ),
    ],
    [
      'E10',
      'a rib caught after its body began',
      [...without(fly, rib).slice(0, 5), rib, ...without(fly, rib).slice(5)],
    ],
    ['E10', 'a rib wound before its body closed', [start, ...tail, rib, ...ribbed, ...quill, ...hackle, ...end]],
    ['E10', 'a rib wound where no body is', [start, rib, ...ribbed]],
    ['E11', 'placed twice', before(fly, rib, tail[0]!)],
    ['O1', 'a bead after what it must pass', before(fly, quill[0]!, bead)],
    [
      'O3',
      'resin over what is not tied off',
      before(fly, quill[2]!, {
        do: 'coat',
        part: 'abdomen',
        kind: 'abdomen',
        does: 'coat.resin',
        span: { rear: 7, front: 3 },
      }),
    ],
    ['O4', 'bound on a finished body', before(fly, end[0]!, { do: 'bind', part: 'legs', kind: 'legs', at: 5 })],
    [
      'O5',
      'glue beside a plume',
      before(
        fly,
        hackle[0]!,
        { do: 'bind', part: 'tuft', kind: 'tuft', does: 'wing.tuft', at: 3.2, points: 'up' },
        { do: 'coat', part: 'abdomen', kind: 'abdomen', does: 'coat.glue', span: { rear: 7, front: 3 } },
      ),
    ],
    [
      'O6',
      'cut without a look',
      fly.map((step) => (step === quill[2] || step === quill[3] ? { ...step, checked: false } : step)),
    ],
    [
      'O7',
      'a post trimmed before the last cover',
      before(fly, hackle[0]!, { do: 'cut', part: 'post', kind: 'post', cuts: 'show', at: 2.4 }),
    ],
    [
      'O8',
      'a case folded over a case',
      before(
        fly,
        end[0]!,
        ...['one', 'two'].flatMap((part): Made[] => [
          { do: 'catch-in', part, kind: 'wing-case', at: 3, waits: 'fold' },
          { do: 'fold', part, kind: 'wing-case', span: { rear: 3, front: 1.4 } },
          { do: 'tie-off', part, kind: 'wing-case', at: 1.4 },
        ]),
      ),
    ],
    [
      'F1',
      'another number of turns than the part has',
      fly.map((step) => (step === ribbed[0] ? { ...step, turns: 28 } : step)),
    ],
    ['F2', 'more turns than the stretch takes', fly.map((step) => (step === hackle[2] ? { ...step, turns: 9 } : step))],
  ];
  test.each(cases.map(([rule, what, steps, hook]) => [rule, what, steps, hook ?? HOOK] as const))(
    '%s: %s',
    (rule, _, steps, hook) => expect(has(steps as Made[], rule, hook)).toBe(true),
  );
});

describe('what hands can do is let pass', () => {
  const cases: [RuleId, string, Made[], BenchHook?][] = [
    [
      'T4',
      'a first thread that is used again',
      [
        start,
        { ...start, material: 'other', at: 3 },
        { do: 'wind', byThread: true, material: 'thread', part: 'tag', kind: 'tag', at: 3 },
      ],
    ],
    [
      'T2',
      'thread led over what is covered later',
      before(
        fly,
        quill[0]!,
        {
          do: 'wind',
          part: 'base',
          kind: 'tag',
          byThread: true,
          material: 'thread',
          at: 7,
          span: { rear: 7, front: 5 },
          cover: 'closed',
        },
        { do: 'bind', part: 'spikes', kind: 'tail', at: 7, points: 'rear' },
      ),
    ],
    [
      'P1',
      'whipped behind the bead',
      [bead, start, { ...end[0]!, at: 2.8, span: { rear: 2.8, front: 2.4 } }, end[1]!],
      BEADED,
    ],
    [
      'E3',
      'an upright wing with the thorax wound round it',
      before(fly, hackle[0]!, { do: 'bind', part: 'wing', kind: 'wing', at: 2.3, points: 'up', endMm: 7 }),
    ],
    [
      'E6',
      'waste that is left as taper',
      fly.map((step) => (step === tail[0] ? { ...step, stays: true } : step)).filter((step) => step !== tail[1]),
    ],
    [
      'O4',
      'bound on a body that something later covers',
      before(fly, thorax, { do: 'bind', part: 'legs', kind: 'legs', at: 2.5 }),
    ],
    [
      'P5',
      'a gap no wider than a turn of thread',
      fly.map((step) => (step === thorax ? { ...thorax, span: { rear: 3, front: 1.55 } } : step)),
    ],
  ];
  test.each(cases.map(([rule, what, steps, hook]) => [rule, what, steps, hook ?? HOOK] as const))(
    '%s: %s',
    (rule, _, steps, hook) => expect(has(steps as Made[], rule, hook)).toBe(false),
  );
});

describe('states', () => {
  const { states } = tie(numbered(fly), HOOK);
  const after = (step: Made) => states[fly.indexOf(step)]!;
  test('one after each step, and the clock goes on', () => {
    expect(states.map((state) => state.step)).toEqual(fly.map((_, index) => index + 1));
    expect(states[states.length - 1]!.clockS).toBe(fly.length * 10);
  });
  test('a rib hangs from where it was caught until it is wound, and then stands as waste until it is cut', () => {
    expect(after(quill[1]!).ends).toContainEqual(expect.objectContaining({ part: 'rib', x: 7, used: false }));
    expect(after(ribbed[0]!).ends).toContainEqual(expect.objectContaining({ part: 'rib', x: 3, used: true }));
    expect(after(ribbed[1]!).waste).toEqual([expect.objectContaining({ part: 'rib', x: 3 })]);
    expect(after(ribbed[2]!).waste).toEqual([]);
  });
  test('bare hook grows less with each body and ends at nothing', () => {
    const bare = states.map((state) => state.bareMm);
    expect(bare[0]).toBe(7);
    expect(after(quill[1]!).bareMm).toBeCloseTo(3, 9);
    expect(bare[bare.length - 1]).toBeCloseTo(0, 9);
    bare.forEach((value, index) => {
      if (index > 0) expect(value).toBeLessThanOrEqual(bare[index - 1]! + 1e-9);
    });
  });
  test('what is wet is wet until its time', () => {
    const coated: Made[] = [
      start,
      { do: 'coat', part: 'abdomen', kind: 'abdomen', does: 'coat.varnish', span: { rear: 7, front: 3 }, waitS: 25 },
      { do: 'check' },
      { do: 'check' },
      { do: 'check' },
    ];
    expect(tie(numbered(coated), HOOK).states.map((state) => state.wet.length)).toEqual([0, 1, 1, 0, 0]);
  });
  test('a step that was taken away never makes a fly without a fault', () => {
    // Without its thorax the hackle stands on the bare hook as a collar, which can be tied.
    const needed = fly.filter((step) => step.do !== 'free-eye' && step !== thorax);
    fc.assert(
      fc.property(fc.constantFrom(...needed), (gone) => expect(rules(without(fly, gone)).length).toBeGreaterThan(0)),
    );
  });
});

describe('how near is the same place', () => {
  const headFrom = (rear: number) =>
    fly.map((step) => (step === end[0] ? { ...step, span: { rear, front: 0 } } : step));
  test('a quarter of a millimetre of bare wire passes, more does not', () => {
    expect(has(headFrom(1.16), 'P5')).toBe(false);
    expect(has(headFrom(1.14), 'P5')).toBe(true);
  });
  test('a tenth off a place is that place', () => {
    const caught = (at: number) => fly.map((step) => (step === hackle[0] ? { ...step, at } : step));
    expect(has(caught(3.39), 'E2')).toBe(false);
    expect(has(caught(3.41), 'E2')).toBe(true);
  });
  test('glue is kept a millimetre from a plume', () => {
    const glued = (front: number) =>
      before(
        fly,
        hackle[0]!,
        { do: 'bind', part: 'tuft', kind: 'tuft', does: 'wing.tuft', at: 3, points: 'up' },
        { do: 'coat', part: 'abdomen', kind: 'abdomen', does: 'coat.glue', span: { rear: 7, front } },
      );
    expect(has(glued(4.01), 'O5')).toBe(false);
    expect(has(glued(3.99), 'O5')).toBe(true);
  });
  test('one cut takes one stub: the strand that locked a bead and its end are cut apart', () => {
    const strand: Made = { do: 'bind', part: 'strand', kind: 'rib', at: 1.6, points: 'rear', leavesWaste: true };
    const twice = before(
      fly,
      hackle[0]!,
      { do: 'catch-in', part: 'strand', kind: 'thorax', at: 3, waits: 'wind' },
      { do: 'wind', part: 'strand', kind: 'tag', at: 3, span: { rear: 3, front: 2.9 }, cover: 'open' },
      { do: 'tie-off', part: 'strand', at: 2.9 },
      { do: 'cut', part: 'strand', cuts: 'waste', at: 2.9, never: true },
    );
    expect(rules(before(twice, rib, strand)).some((rule) => rule.startsWith('E6') && rule.endsWith('strand'))).toBe(
      true,
    );
    expect(
      rules(before(twice, rib, strand, { do: 'cut', part: 'strand', cuts: 'waste', at: 1.6, never: true })).some(
        (rule) => rule.startsWith('E6') && rule.endsWith('strand'),
      ),
    ).toBe(false);
  });
});

test('gaps and overlaps of stretches', () => {
  expect(
    gaps({ rear: 7, front: 0 }, [
      { rear: 7, front: 3 },
      { rear: 2, front: 1 },
    ]),
  ).toEqual([
    { front: 0, rear: 1 },
    { front: 2, rear: 3 },
  ]);
  expect(gaps({ rear: 7, front: 0 }, [{ rear: 9, front: -1 }])).toEqual([]);
  expect(overlap({ rear: 7, front: 3 }, { rear: 4, front: 1 })).toBe(1);
});
