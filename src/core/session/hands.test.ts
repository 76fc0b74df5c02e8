import { aimFor, biasesOf, learnt, ownMinutes, type Measured } from '.';

const tails = (...offs: number[]): Measured[] => offs.map((off, at) => ({ kind: 'tail', off, nth: at + 1 }));

test('a habit is the mean of what was measured, with its interval: five flies and more than chance', () => {
  const [bias] = biasesOf(tails(0.1, 0.14, 0.12, 0.08, 0.16));
  // Standard deviation 0.0316, Student’s t 2.776 at four degrees.
  expect(bias).toMatchObject({ kind: 'tail', n: 5, mean: expect.closeTo(0.12, 9), certain: true });
  expect(bias!.half).toBeCloseTo((2.7764 * 0.0316228) / Math.sqrt(5), 4);
  expect(biasesOf(tails(0.1, 0.14, 0.12, 0.08))[0]).toMatchObject({ certain: false });
  expect(biasesOf(tails(0.3, -0.2, 0.25, -0.1, 0.1))[0]).toMatchObject({ certain: false });
  // Certain, and too little to be seen.
  expect(biasesOf(tails(0.029, 0.029, 0.0291, 0.0289, 0.029))[0]).toMatchObject({ certain: false });
  expect(biasesOf(tails(0.031, 0.031, 0.0311, 0.0309, 0.031))[0]).toMatchObject({ certain: true });
  expect(biasesOf(tails(0.2))).toEqual([]);
});

test('what is certain stands first, then what is furthest off', () => {
  const wings = tails(0.3, -0.1, 0.2, -0.2, 0.9).map((one) => ({ ...one, kind: 'wing' as const }));
  expect(biasesOf([...wings, ...tails(0.1, 0.11, 0.12, 0.1, 0.1)]).map(({ kind }) => kind)).toEqual(['tail', 'wing']);
});

test('through a session a part may drift: told from six flies on, where the line is more than chance', () => {
  const of = (offs: number[]) => biasesOf(tails(...offs))[0]!.drift;
  const { perFly, from, to } = of([0, 0.02, 0.04, 0.06, 0.08, 0.1])!;
  expect(perFly).toBeCloseTo(0.02, 9);
  expect([from[0], to[0]]).toEqual([1, 6]);
  expect([from[1], to[1]]).toEqual([expect.closeTo(0, 9), expect.closeTo(0.1, 9)]);
  expect(of([0.1, 0.08, 0.061, 0.04, 0.02, 0])!.perFly).toBeLessThan(0);
  expect(of([0, 0.02, 0.04, 0.06, 0.08])).toBeNull();
  expect(of([0, 0.1, -0.1, 0.12, -0.08, 0.05])).toBeNull();
  // All of the first fly of a session: no line.
  const first = tails(0, 0.1, 0.2, 0.3, 0.4, 0.5).map((one) => ({ ...one, nth: 1 }));
  expect(biasesOf(first)[0]!.drift).toBeNull();
});

test('what is aimed at comes out, by these hands, at what the card says', () => {
  expect(aimFor(8, { mean: 0.12 }) * 1.12).toBeCloseTo(8, 9);
  expect(aimFor(8, { mean: -0.2 })).toBeCloseTo(10, 9);
});

test('minutes of one’s own are those once the hand knows the fly: learning is taken out, and four of five lie between quick and slow', () => {
  const flies = [0, 1, 6, 7].map((nth, at) => ({ nth, minutes: learnt(nth) * [9, 11, 9, 11][at]! }));
  const own = ownMinutes(flies)!;
  expect(own.minutes).toBeCloseTo(10, 9);
  const sd = Math.sqrt(4 / 3);
  expect(own.spread.slow).toBeCloseTo(1 + (1.28 * sd) / 10, 9);
  expect(own.spread.quick).toBeCloseTo(1 - (1.28 * sd) / 10, 9);
  expect(ownMinutes(flies.slice(0, 2))).toBeNull();
  expect(ownMinutes(flies.slice(0, 3))).not.toBeNull();
  // Wild hands are not told to tie in no time.
  expect(ownMinutes([1, 30, 2].map((minutes, nth) => ({ nth, minutes })))!.spread.quick).toBe(0.4);
});
