import fc from 'fast-check';
import { bodyEnds, type Slice } from './body-ends';

const STEP = 0.04;
const BROWN = [45, 20, 30] as const;
const YELLOW: readonly [number, number, number] = [75, 0, 50];
const BLACK = [15, 0, 0] as const;
const PAPER = [96, 0, 0] as const;
const WIRE = [34, 0, 0] as const;

/** Slices of pieces one after the other, each a little off its colour in a way that is always the same. */
function drawn(...pieces: (readonly [lab: readonly [number, number, number], mm: number, weight?: number])[]): Slice[] {
  let at = 0;
  return pieces.flatMap(([lab, mm, weight = 1]) =>
    Array.from({ length: Math.round(mm / STEP) }, (): Slice => {
      at++;
      return { lab: [lab[0] + ((at * 7) % 5) - 2, lab[1] + ((at * 3) % 3) - 1, lab[2]], weight };
    }),
  );
}

/** Before the body the eye: a ring of wire, paper in it and beyond. */
const bare = [
  [WIRE, 0.24],
  [PAPER, 0.48],
  [WIRE, 0.24],
  [PAPER, 0.4],
] as const;

test('an end that is sure is where the colour changes, however far the pieces are off their lengths; nearly all are sure', () => {
  let [sure, all] = [0, 0];
  const off = fc.double({ min: 0.75, max: 1.3, noNaN: true });
  fc.assert(
    fc.property(off, off, off, (a, b, c) => {
      const lengths = [4 * a, 1.6 * b, 1.2 * c].map((mm) => Math.round(mm / STEP) * STEP);
      const slices = drawn([BROWN, lengths[0]!], [YELLOW, lengths[1]!], [BLACK, lengths[2]!], ...bare);
      let sum = 0;
      bodyEnds(slices, STEP, 0, [{ mm: 4 }, { mm: 1.6 }, { mm: 1.2 }])!.forEach(({ at, margin }, k) => {
        sum += lengths[k]!;
        all++;
        if (margin <= 4.5) return;
        sure++;
        expect(Math.abs(at * STEP - sum)).toBeLessThan(0.1);
      });
    }),
    { seed: 5, numRuns: 100 },
  );
  expect(sure).toBeGreaterThan(0.8 * all);
});

test('an end that is hidden by barbs is less sure than one in sight, and one of two pieces alike is not sure', () => {
  const pieces = [{ mm: 4 }, { mm: 1.6 }];
  const marginBy = (weight: number, other = YELLOW) =>
    bodyEnds(drawn([BROWN, 3.4], [BROWN, 0.6, weight], [other, 0.6, weight], [other, 1], ...bare), STEP, 0, pieces)![0]!
      .margin;
  expect(marginBy(0.02)).toBeLessThan(0.5 * marginBy(1));
  expect(marginBy(1, BROWN)).toBeLessThan(4.5);
});

test('a change of colour is sure from about twice the grain on', () => {
  const marginOf = (off: number) => {
    const flat = (lab: readonly [number, number, number], mm: number): Slice[] =>
      Array.from({ length: Math.round(mm / STEP) }, () => ({ lab, weight: 1 }));
    const slices = [
      ...flat([50, 0, 0], 4),
      ...flat([50 + off, 0, 0], 1.6),
      ...flat(BLACK, 1.2),
      ...bare.flatMap(([lab, mm]) => flat(lab, mm)),
    ];
    return bodyEnds(slices, STEP, 0, [{ mm: 4 }, { mm: 1.6 }, { mm: 1.2 }])![0]!.margin;
  };
  expect(marginOf(4)).toBeLessThan(4.5);
  expect(marginOf(6)).toBeGreaterThan(4.5);
});

test('what lies before the first slice counts to the first piece', () => {
  const slices = drawn([BROWN, 2], [YELLOW, 1.6], ...bare);
  const at = (before: number) => bodyEnds(slices, STEP, before, [{ mm: 4 }, { mm: 1.6 }])![0]!.at * STEP;
  expect(at(2)).toBeCloseTo(2, 1);
  // Without it so short a piece is not believed.
  expect(bodyEnds(drawn([BROWN, 1.2]), STEP, 0, [{ mm: 4 }])).toBeNull();
});

test('paper beyond the eye is no piece, also where barbs stand over it', () => {
  const slices = drawn([BROWN, 4], [YELLOW, 1.6], [BLACK, 1.2], [WIRE, 0.24, 0.1], [PAPER, 1, 0.1]);
  const ends = bodyEnds(slices, STEP, 0, [{ mm: 4 }, { mm: 1.6 }, { mm: 1.2 }])!;
  expect(ends.map(({ at }) => at * STEP)).toEqual([
    expect.closeTo(4, 0),
    expect.closeTo(5.6, 0),
    expect.closeTo(6.8, 0),
  ]);
});
