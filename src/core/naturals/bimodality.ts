/** A sample that is two, as two sexes are: bimodal: indices into the values given, and the mean of each, mm. */
export interface Bimodality {
  shorter: number[];
  longer: number[];
  shorterMm: number;
  longerMm: number;
}

const LEAST_VALUES = 6;
const LEAST_SIDE = 2;
/**
 * Distance of the two means in standard deviations within the parts. Under one normal hatch of 5 % spread the best split of six passes
 * 4.5 about once in twenty samples, of ten or more less often (simulated, 20 000 samples a size).
 */
const APART = 4.5;

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function squares(values: readonly number[]): number {
  const centre = mean(values);
  return values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
}

/**
 * Whether the lengths of a sample fall in two parts, as the two sexes do; null when one heap is as likely. `readingSdMm`: SD of one
 * reading, mm. It is an offer, not a finding. Source: formulas §2.
 */
export function bimodality(valuesMm: readonly number[], readingSdMm: number): Bimodality | null {
  const n = valuesMm.length;
  if (n < LEAST_VALUES) return null;
  const order = valuesMm.map((_, index) => index).sort((a, b) => valuesMm[a]! - valuesMm[b]!);
  const sorted = order.map((index) => valuesMm[index]!);
  const cuts = Array.from({ length: n - 2 * LEAST_SIDE + 1 }, (_, index) => index + LEAST_SIDE);
  const within = (cut: number) => squares(sorted.slice(0, cut)) + squares(sorted.slice(cut));
  const cut = cuts.reduce((best, other) => (within(other) < within(best) ? other : best));
  const [shorterMm, longerMm] = [mean(sorted.slice(0, cut)), mean(sorted.slice(cut))];
  const sd = Math.sqrt(within(cut) / (n - 2) + readingSdMm ** 2);
  return (longerMm - shorterMm) / sd < APART
    ? null
    : { shorter: order.slice(0, cut), longer: order.slice(cut), shorterMm, longerMm };
}
