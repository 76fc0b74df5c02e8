/** Odds as a tier says them, likeliest first. */
const STEPS: readonly (readonly [p: number, of: readonly [number, number]])[] = [
  [0.97, [49, 50]],
  [0.93, [19, 20]],
  [0.86, [9, 10]],
  [0.775, [4, 5]],
  [0.7, [3, 4]],
  [0.58, [2, 3]],
  [0.42, [1, 2]],
  [0.29, [1, 3]],
  [0.225, [1, 4]],
  [0.18, [1, 5]],
  [0.145, [1, 6]],
  [0.11, [1, 8]],
  [0.085, [1, 10]],
  [0.058, [1, 15]],
  [0.03, [1, 20]],
  [0, [1, 50]],
];

/** `4 in 5` for 0.8: the nearest of a few plain odds, never a false percentage. */
export function plainOdds(p: number): { n: number; of: number } {
  const [n, of] = STEPS.find(([from]) => p >= from)![1];
  return { n, of };
}
