import { countsTurns, layOnHook } from './lay';
import { figuresOf, type FiguresInput } from '../tying/figures';

const HERL = { lay_mm: 0.8 };

describe('width of a turn on a hook', () => {
  // Worked by hand: a 14 has a shank of 7 mm; on half of it a stem is √½ as wide.
  test.each([
    ['stiff', 'hackle.stiff', 0.3],
    ['soft', 'hackle.soft', 0.6],
    ['a loop of plume', 'hackle.cdc-loop', 0.6],
  ] as const)('%s', (_, does, onFourteen) => {
    expect(layOnHook(null, does, 7)!).toBeCloseTo(onFourteen, 2);
    expect(layOnHook(null, does, 3.5)! / layOnHook(null, does, 7)!).toBeCloseTo(Math.SQRT1_2, 9);
  });
  test('herl is finer on a smaller hook, what is made is as wide everywhere, what is not wound has none', () => {
    expect(layOnHook(HERL, 'body.herl', 3.5)! / layOnHook(HERL, 'body.herl', 7)!).toBeCloseTo(Math.SQRT1_2, 9);
    expect(layOnHook({ lay_mm: 0.18 }, 'body.wire', 3.5)).toBe(0.18);
    expect(layOnHook({ lay_mm: null }, 'wing.post', 7)).toBeNull();
  });
  test('what is wound open lies as far apart as it is said to', () =>
    expect(layOnHook(HERL, 'body.herl', 7, true)!).toBeCloseTo(0.25, 2));
  test('and is finer on a smaller hook too', () =>
    expect(layOnHook(HERL, 'body.herl', 3.5, true)! / layOnHook(HERL, 'body.herl', 7, true)!).toBeCloseTo(
      Math.SQRT1_2,
      9,
    ));
  test('what has no function here lies as its material does', () =>
    expect([
      layOnHook({ lay_mm: 0.4 }, null, 7),
      layOnHook(null, null, 7),
      layOnHook({ lay_mm: null }, 'body.herl', 7),
    ]).toEqual([0.4, null, null]));
});

test('hackles and ribs are counted in turns, plumes of a loop and pieces by themselves', () => {
  expect(countsTurns('hackle', 'hackle.stiff')).toBe(true);
  expect(countsTurns('rib', 'rib.wire')).toBe(true);
  expect(countsTurns('hackle', 'hackle.cdc-loop')).toBe(false);
  expect(countsTurns('legs', 'legs.rubber')).toBe(false);
});

describe('figures that a sentence may name', () => {
  const base = (mm: number, count: number | null, fromMm: number, toMm: number | null, turns: number | null = null) =>
    figuresOf({
      card: {
        mm,
        count,
        cut_mm: null,
        amount: { noodleMm: null, loop: null, pieces: null },
      } as unknown as FiguresInput['card'],
      laid: { fromMm, toMm, thickMm: 0.7, wideMm: null } as unknown as FiguresInput['laid'],
      atMm: fromMm,
      turns,
      hook: { shank_mm: 7, eye_mm: 1.4 } as FiguresInput['hook'],
      faceMm: 0,
      hookPointMm: 6,
    });
  test('turns are as far apart as they share the stretch', () => {
    expect(base(4, 5, 7, 3, 5)).toMatchObject({ n: 5, pitch: { mm: 0.8 }, stretch: { mm: 4 } });
    expect(base(4, null, 7, 3)).not.toHaveProperty('pitch');
  });
  test('a half of them only where they can be halved', () => {
    expect(base(5, 6, 3, null)).toMatchObject({ count: 6, side: 3 });
    expect(base(5, 3, 3, null)).not.toHaveProperty('side');
  });
  test('past the bend and over the point only where the tip stands there', () => {
    expect(base(5, 1, 2.1, null)).not.toHaveProperty('past');
    expect(base(5.2, 1, 2.1, null)).toMatchObject({
      past: { mm: expect.closeTo(0.3, 9) },
      over: { mm: expect.closeTo(1.3, 9) },
    });
    expect(base(3, 1, 2, null)).not.toHaveProperty('over');
  });
  test('what is not known is left out', () => {
    expect(base(5, 1, 2, null)).not.toHaveProperty('wide');
    expect(base(5, 1, 2, null)).not.toHaveProperty('noodle');
  });
});
