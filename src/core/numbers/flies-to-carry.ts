import jStat from 'jstat';

/** Hours on the water, and flies lost an hour, that are still believed. */
export const HOURS_MOST = 500;
export const RATE_MOST = 100;

/** Chance, 0 to 1, that of so many flies none is left: losses come by chance at a rate (Poisson; formulas.md §10). `mean` is what is lost as a rule. */
export function chanceShort(flies: number, mean: number): number {
  if (flies <= 0) return 1;
  // P(X ≥ n) of a Poisson is the lower regularised gamma function of n at its mean.
  return mean <= 0 ? 0 : jStat.lowRegGamma(flies, mean);
}

/** Fewest flies of which some is left with a chance of at least 1 − `risk`; `rate` lost an hour. */
export function fliesToCarry({ hours, rate, risk }: { hours: number; rate: number; risk: number }): number {
  const mean = hours * rate;
  let [low, high] = [0, 1];
  while (chanceShort(high, mean) > risk) [low, high] = [high, 2 * high];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (chanceShort(middle, mean) > risk) low = middle;
    else high = middle;
  }
  return high;
}
