import { cardOn14 } from '../../../tools/test-catalogue';
import { batchOf, takenBy } from './batch';
import { figuresOf, type FiguresInput } from './figures';
import type { Card } from '../card/card-shape';

type Part = Card['parts'][number];

const part = (
  id: string,
  material: string | null,
  more: Partial<Omit<Part, 'amount'>> & { amount?: Partial<Part['amount']> } = {},
): Part =>
  ({
    id,
    part: 'tail',
    material: material === null ? null : { id: material, name: material, function: 'tail.stiff' },
    cut_mm: null,
    ...more,
    amount: { unit: 'fibres', need: null, take: null, dubbingMg: null, ...more.amount },
  }) as unknown as Part;
const card = (more: Partial<Card> = {}): Card =>
  ({
    parts: [],
    ribs: [],
    hackles: [],
    weights: [],
    steps: [],
    assemblies: [],
    threads: [],
    bundles: [],
    hook: { wire_mm: 0.5, shank_mm: 7 },
    minutes: 10,
    ...more,
  }) as unknown as Card;
const rib = (id: string, cut_mm: number, material = 'gold-wire') =>
  ({ part: id, material, cut_mm }) as unknown as Card['ribs'][number];
const hackle = (id: string, stem_mm: number, material = 'cock') =>
  ({ part: id, material, stem_mm }) as unknown as Card['hackles'][number];
const bead = { kind: 'bead', metal: 'tungsten' } as unknown as Card['weights'][number];
const wire = { kind: 'wire', metal: 'lead' } as unknown as Card['weights'][number];
const lines = (of: Card, count: number) =>
  Object.fromEntries(
    batchOf(of, count).lines.map(({ material, unit, each, all, waste }) => [`${material} ${unit}`, [each, all, waste]]),
  );
const prepared = (of: Card, count: number) => batchOf(of, count).prepare.map(({ code, params }) => ({ code, params }));

describe('what a batch needs', () => {
  test('counted fibres with their spare or 15 % lost, cut lengths with a tenth, dubbing as it is lost already', () => {
    const own = card({
      parts: [
        part('tail', 'fibres', { amount: { need: 5, take: 6 } }),
        part('legs', 'barbs', { amount: { need: 6, take: 6 } }),
        part('body', 'thread', { cut_mm: 90 }),
        part('thorax', 'fur', { amount: { dubbingMg: 2 } }),
      ],
    });
    expect(lines(own, 10)).toEqual({
      'fibres count': [6, 60, 1 / 6],
      'barbs count': [6, 71, 11 / 71],
      'thread mm': [90, 1000, expect.closeTo(0.1, 9)],
      'fur mg': [2, 20, expect.closeTo(0.3 / 1.3, 9)],
    });
  });
  test('what has no measure is by eye, also where none is needed or it is pressed hair', () => {
    const own = card({
      parts: [
        part('gills', 'plume'),
        part('legs', 'hair', { cut_mm: 30, amount: { need: 8, take: 8, unit: 'compressed-mm' } }),
        part('none', 'floss', { amount: { need: 0, take: 2 } }),
      ],
    });
    expect(lines(own, 4)).toEqual({
      'plume by-eye': [null, null, 0],
      'hair mm': [30, expect.closeTo(400 / 3, 9), expect.closeTo(0.1, 9)],
      'floss by-eye': [null, null, 0],
    });
  });
  test('the same material in two parts is one line, by unit; what is by eye stays one', () => {
    const own = card({
      parts: [
        part('tail', 'herl', { amount: { need: 2, take: 2 } }),
        part('thorax', 'herl', { amount: { need: 3, take: 3 } }),
        part('rope', 'herl', { cut_mm: 9 }),
        part('a', 'plume'),
        part('b', 'plume'),
      ],
    });
    expect(lines(own, 2)).toEqual({
      'herl count': [5, 5 + 8, expect.closeTo(3 / 13, 9)],
      'herl mm': [9, expect.closeTo(20, 9), expect.closeTo(0.1, 9)],
      'plume by-eye': [null, null, 0],
    });
    expect(batchOf(own, 2).lines).toHaveLength(3);
  });
  test('ribs and hackles by what is cut, and not again by their parts; a bead each, a bead part by its weight', () => {
    const own = card({
      ribs: [rib('rib', 45)],
      hackles: [hackle('hackle', 18)],
      weights: [wire, bead],
      parts: [
        part('rib', 'gold-wire', { cut_mm: 45 }),
        part('hackle', 'cock', { cut_mm: 18 }),
        part('bead', 'bead-tungsten', { part: 'bead', amount: { need: 1, take: 1 } }),
        part('head', null, { cut_mm: 3 }),
      ],
    });
    expect(lines(own, 2)).toEqual({
      'gold-wire mm': [45, 100, expect.closeTo(0.1, 9)],
      'cock mm': [18, 40, expect.closeTo(0.1, 9)],
      'bead-tungsten count': [1, 3, expect.closeTo(1 / 3, 9)],
    });
  });
  test('beads by metal, size and hole, one over in a dozen; wound wire and strips in millimetres', () => {
    const weights = [
      {
        kind: 'bead',
        metal: 'tungsten',
        diameter_mm: 2.4,
        bead_kind: 'slotted',
        turns: null,
        wire_mm: null,
        length_mm: 2.4,
      },
      { kind: 'wound', metal: 'lead', diameter_mm: null, bead_kind: null, turns: 7, wire_mm: 0.4, length_mm: 2.8 },
    ] as unknown as Card['weights'];
    const own = card({ weights });
    expect(batchOf(own, 24).lines.find(({ unit }) => unit === 'count')).toEqual({
      material: 'bead-tungsten',
      unit: 'count',
      each: 1,
      all: 26,
      waste: 2 / 26,
      bead: { mm: 2.4, kind: 'slotted' },
    });
    expect(lines(own, 1)['wire-lead mm']![0]).toBeCloseTo(7 * Math.PI * 0.9 + 20, 9);
    const sides = card({ weights: [{ ...weights[1]!, kind: 'sides', turns: null }] });
    expect(lines(sides, 1)['wire-lead mm']![0]).toBeCloseTo(5.6, 9);
  });
  test('a bunch that makes two parts is taken once, as much as the part that needs most, or as it says', () => {
    const parts = [
      part('tail', 'flank', { amount: { need: 8, take: 8 } }),
      part('beard', 'flank', { amount: { need: 10, take: 10 } }),
    ];
    const of = (amount: number | null) =>
      lines(card({ parts, bundles: [{ parts: ['tail', 'beard'], amount }] }), 10)['flank count']![0];
    expect([of(null), of(14), lines(card({ parts }), 10)['flank count']![0]]).toEqual([10, 14, 18]);
  });
  test('thread by the millimetre: along the shank, at what it holds, in loops and under fur', () => {
    const thread = {
      material: 'thread',
      role: 'foundation',
      diameter_mm: 0.1,
      finish_turns: 5,
    } as unknown as Card['threads'][number];
    const step = (verb: string, turns: number | null = null) =>
      ({ do: verb, part: null, turns }) as unknown as Card['steps'][number];
    const mm = (more: Partial<Card>) => lines(card({ threads: [thread], ...more }), 1)['thread mm']![0] as number;
    const bare = mm({});
    expect(bare).toBeCloseTo((7 / 0.4) * Math.PI * 0.5 + 120, 6);
    expect(mm({ steps: [step('bind'), step('tie-off', 4), step('wind', 9)] }) - bare).toBeCloseTo(9 * Math.PI, 6);
    expect(mm({ steps: [step('finish')] }) - bare).toBeCloseTo(5 * Math.PI, 6);
    const spun = { amount: { loop: { threadMm: 200 }, noodleMm: 30 } } as unknown as Card['parts'][number];
    expect(mm({ parts: [{ ...part('a', null), ...spun }] }) - bare).toBeCloseTo(230, 6);
    const head = lines(card({ threads: [{ ...thread, role: 'head' }] as never }), 1)['thread mm']![0];
    expect(head).toBeCloseTo(5 * Math.PI + 120, 6);
  });
});

describe('what is prepared before the first hook', () => {
  test('always a hook is flexed; nothing else without cause', () =>
    expect(prepared(card({ weights: [wire] }), 3)).toEqual([{ code: 'prepare-flex', params: {} }]));
  test('beads first, then waits by their step, then made-up pieces with one over in six where the first may fail', () => {
    const steps = [
      { n: 1, do: 'wind', wait_s: 0 },
      { n: 4, do: 'resin', wait_s: 20 },
    ] as unknown as Card['steps'];
    const assemblies = [
      { name: 'legs', count: 6, spare: 1 },
      { name: 'eyes', count: 1, spare: 0 },
    ] as unknown as Card['assemblies'];
    expect(prepared(card({ weights: [wire, bead], steps, assemblies }), 7)).toEqual([
      { code: 'prepare-beads', params: { count: 7 } },
      { code: 'prepare-wait', params: { do: { kind: 'verbs', id: 'resin' }, seconds: 20, step: 4 } },
      { code: 'prepare-assembly', params: { name: 'legs', count: 44 } },
      { code: 'prepare-assembly', params: { name: 'eyes', count: 7 } },
      { code: 'prepare-flex', params: {} },
    ]);
  });
});

test('the first six flies take half as long again, the others what is said, less after two dozen; without minutes none are said', () => {
  expect([1, 6, 8, 26].map((count) => batchOf(card(), count).minutes)).toEqual([15, 90, 110, 286]);
  expect(batchOf(card({ minutes: null }), 3)).toMatchObject({ count: 3, minutes: null });
});

describe('figures that a sentence may name', () => {
  const asked = (
    more: { card?: object | null; laid?: object | null; atMm?: number | null; turns?: number | null } = {},
  ) =>
    figuresOf({
      card:
        more.card === null
          ? undefined
          : { mm: 4, count: 6, cut_mm: 60, amount: { noodleMm: 30, loop: { heightMm: 75 }, pieces: 2 }, ...more.card },
      laid: more.laid === null ? undefined : { fromMm: 5, toMm: 3, thickMm: 0.7, wideMm: 1.2, ...more.laid },
      atMm: more.atMm === undefined ? 4.5 : more.atMm,
      turns: more.turns === undefined ? 5.4 : more.turns,
      hook: { shank_mm: 7, eye_mm: 1.4 },
      faceMm: 0.2,
      hookPointMm: 6,
    } as unknown as FiguresInput);
  const all = {
    at: { mm: 4.5 },
    eye: { mm: 1.4 },
    face: { mm: 0.2 },
    n: 5,
    mm: { mm: 4 },
    thick: { mm: 0.7 },
    wide: { mm: 1.2 },
    cut: { mm: 60 },
    from: { mm: 5 },
    to: { mm: 3 },
    count: 6,
    side: 3,
    stretch: { mm: 2 },
    pitch: { mm: 2 / 5.4 },
    past: { mm: 2 },
    over: { mm: 1 },
    tip: { mm: 7 },
    noodle: { mm: 30 },
    loop: { mm: 75 },
    pieces: 2,
  };
  test('all of them where all are known', () => expect(asked()).toEqual(all));
  test('without a part only what belongs to the hook and the step', () => {
    const few = { at: { mm: 4.5 }, eye: { mm: 1.4 }, face: { mm: 0.2 }, n: 5 };
    expect([asked({ card: null }), asked({ laid: null })]).toEqual([few, few]);
    expect(asked({ card: null, atMm: null, turns: null })).toEqual({ eye: { mm: 1.4 }, face: { mm: 0.2 } });
  });
  const without = (...names: string[]) =>
    Object.fromEntries(Object.entries(all).filter(([name]) => !names.includes(name)));
  test('what is not known is left out, and what follows from it', () => {
    expect(asked({ turns: null })).toEqual(without('n', 'pitch'));
    expect(asked({ turns: 0 })).toEqual({ ...without('pitch'), n: 0 });
    expect(asked({ card: { count: null } })).toEqual(without('count', 'side'));
    expect(asked({ card: { count: 0 } })).toEqual(without('count', 'side'));
    expect(asked({ card: { count: 5 } })).toEqual({ ...without('side'), count: 5 });
    expect(asked({ card: { mm: null } })).toEqual(without('mm', 'past', 'over', 'tip'));
    expect(asked({ laid: { fromMm: null } })).toEqual(without('from', 'stretch', 'pitch', 'past', 'over', 'tip'));
    expect(asked({ laid: { toMm: null } })).toEqual({
      ...without('to', 'stretch', 'pitch'),
      over: { mm: 3 },
      tip: { mm: 9 },
    });
    expect(asked({ laid: { wideMm: undefined, thickMm: NaN } })).toEqual(without('wide', 'thick'));
    expect(asked({ card: { amount: { noodleMm: null, loop: null, pieces: null } } })).toEqual(
      without('noodle', 'loop', 'pieces'),
    );
  });
  test('a tip stands past the bend from 0.15 mm on, and over the point as soon as it does', () => {
    expect(asked({ card: { mm: 2.15 } })).not.toHaveProperty('past');
    expect(asked({ card: { mm: 2.16 } })).toHaveProperty('past');
    expect(asked({ card: { mm: 3 } })).toMatchObject({ tip: { mm: 6 } });
    expect(asked({ card: { mm: 3 } })).not.toHaveProperty('over');
  });
});

test('what several flies take together: by the material as the dressing names it, what is lost with it, none by eye', () => {
  const card = cardOn14('first-light-dun');
  const own = batchOf(card, 6).lines.filter(({ all }) => all !== null);
  const taken = takenBy([card, card], 6);
  expect(own.length).toBeGreaterThan(1);
  for (const { material, unit, all } of own)
    expect(taken.get(material)!.find((line) => line.unit === unit)!.all).toBeCloseTo(2 * all!, 9);
  const swapped = { ...card, materials: card.materials.map((line) => ({ ...line, asked: `written-${line.asked}` })) };
  expect([...takenBy([swapped], 6).keys()].every((id) => id.startsWith('written-'))).toBe(true);
});

test.each([
  ['bind', 5],
  ['catch-in', 4],
  ['fold', 4],
  ['tie-off', 3],
  ['divide', 6],
  ['post', 8],
  ['cut', 0],
])('%s takes %i turns of thread where its step counts none', (verb, turns) => {
  const thread = { material: 'thread', role: 'foundation', diameter_mm: 0.1, finish_turns: 5 } as never;
  const mm = (steps: object[]) =>
    lines(card({ threads: [thread], steps: steps as Card['steps'] }), 1)['thread mm']![0] as number;
  expect(mm([{ do: verb, part: null, turns: null }]) - mm([])).toBeCloseTo(turns * Math.PI, 6);
});

test('what is coated is listed by eye, and a head of the thread itself not again', () => {
  const thread = { material: 'thread', role: 'foundation', diameter_mm: 0.1, finish_turns: 5 } as never;
  const steps = [{ do: 'coat', part: 'head', turns: null, material: { id: 'varnish' } }] as unknown as Card['steps'];
  const own = lines(card({ threads: [thread], steps, parts: [part('head', 'thread')] }), 2);
  expect(Object.keys(own)).toEqual(['thread mm', 'varnish by-eye']);
});
