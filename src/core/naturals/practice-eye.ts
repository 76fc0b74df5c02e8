import { Z95 } from '../constants';

/** A length judged by eye before it was measured, mm. */
export interface Guess {
  guessMm: number;
  trueMm: number;
}

/** How a tier's eye reads, as shares of the length. */
export interface Eye {
  n: number;
  /** Above 0: reads long. */
  bias: number;
  spread: number;
  /** Half-width at 95 % of the next length judged by it. */
  halfShare: number;
}

/** Before anything is known an eye is good to 15 % (formulas §2), worth this many guesses. */
const USUAL_HALF = 0.15;
const USUAL_WEIGHT = 4;
const LEAST = 3;

/**
 * Bias and spread of guesses against what was measured, as shares; null with fewer than three. The ± of a length by eye holds both, for the
 * number typed is not mended: the spread is drawn toward the usual one as formulas §2 draws a sample's.
 */
export function eyeOf(guesses: readonly Guess[]): Eye | null {
  const n = guesses.length;
  if (n < LEAST) return null;
  const offs = guesses.map(({ guessMm, trueMm }) => Math.log(guessMm / trueMm));
  const mean = offs.reduce((sum, off) => sum + off, 0) / n;
  const own = offs.reduce((sum, off) => sum + (off - mean) ** 2, 0) / (n - 1);
  const spread = Math.sqrt((USUAL_WEIGHT * (USUAL_HALF / Z95) ** 2 + (n - 1) * own) / (n + USUAL_WEIGHT - 1));
  const bias = Math.expm1(mean);
  return { n, bias, spread, halfShare: Z95 * Math.hypot(bias, spread) };
}
