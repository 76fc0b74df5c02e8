import { eyeOf } from './practice-eye';

const guess = (share: number, trueMm = 10) => ({ guessMm: trueMm * share, trueMm });

test('fewer than three guesses tell nothing', () => expect(eyeOf([guess(1.1), guess(0.9)])).toBeNull());

test('an eye that reads a tenth long says so, and its ± holds it', () => {
  const eye = eyeOf(Array.from({ length: 12 }, (_, index) => guess(index % 2 ? 1.08 : 1.12, 5 + index)))!;
  expect(eye.bias).toBeCloseTo(0.1, 2);
  expect(eye.halfShare).toBeGreaterThan(1.96 * 0.1);
});

test('a sure eye comes in under the usual 15 %, slowly; a wild one stays above it', () => {
  const sure = (n: number) => eyeOf(Array.from({ length: n }, (_, index) => guess(index % 2 ? 1.02 : 0.98)))!.halfShare;
  expect(sure(4)).toBeLessThan(0.15);
  expect(sure(20)).toBeLessThan(sure(4));
  expect(sure(20)).toBeGreaterThan(0.04);
  expect(eyeOf([guess(1.4), guess(0.7), guess(1.2), guess(0.8)])!.halfShare).toBeGreaterThan(0.3);
});

test('with three even guesses the spread is drawn toward the usual one by the weight of four', () => {
  const eye = eyeOf([guess(1), guess(1), guess(1)])!;
  expect(eye).toMatchObject({ n: 3, bias: 0 });
  expect(eye.spread).toBeCloseTo(Math.sqrt(4 / 6) * (0.15 / 1.96), 6);
});
