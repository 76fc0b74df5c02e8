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
  test('counted fibres with 15 % lost, cut lengths with a tenth, dubbing with a fifth', () => {
    const own = card({
      parts: [
        part('tail', 'fibres', { amount: { need: 5, take: 6 } }),
        part('body', 'thread', { cut_mm: 90 }),
        part('thorax', 'fur', { amount: { dubbingMg: 2 } }),
      ],
    });
    expect(lines(own, 10)).toEqual({
      'fibres count': [6, 71, 0.15],
      'thread mm': [90, 1000, 0.1],
      'fur mg': [2, 25, 0.2],
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
      'hair mm': [30, expect.closeTo(400 / 3, 9), 0.1],
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
      'herl count': [5, 5 + 8, 0.15],
      'herl mm': [9, expect.closeTo(20, 9), 0.1],
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
      'gold-wire mm': [45, 100, 0.1],
      'cock mm': [18, 40, 0.1],
      'bead-tungsten count': [1, 3, 0.15],
    });
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

test('the first six flies take half as long again, the others what is said; without minutes none are said', () => {
  expect([1, 6, 8].map((count) => batchOf(card(), count).minutes)).toEqual([15, 90, 110]);
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
