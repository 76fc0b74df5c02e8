import jStat from 'jstat';
import type { Trigger } from './bands';
import { dayOfYear, daysAfter } from './sun';

/** What a group counts warmth from, °C. Source: domain §8. */
export const T0 = { cold: 4, warm: 9 } as const;

/** The same of one group: cold unless its trigger has another. */
export const t0Of = (group: string, triggers: readonly Trigger[]): number =>
  triggers.find(({ groups }) => groups.includes(group))?.t0 ?? T0.cold;

/** Of the days of a year up to a hatch so many have to be known. */
const KNOWN_DAYS = 0.8;
/** Fitted on fewer years a sum says nothing. */
const LEAST_YEARS = 2;

export interface DegreeDays {
  /** Σ max(0, daily mean − T₀) from the first of the year to the first that were seen. */
  sum: number;
  sd: number;
  years: number;
}

/** Degree-days of a year up to a day; a day that is not known counts as the mean of those that are. Null where too few are. */
export function degreeDays(means: Readonly<Record<string, number>>, date: string, t0: number): number | null {
  const days = dayOfYear(date);
  const known = Array.from({ length: days }, (_, back) => means[daysAfter(date, -back)]).filter(
    (mean) => mean !== undefined,
  );
  if (known.length < KNOWN_DAYS * days) return null;
  const sum = known.reduce((total, mean) => total + Math.max(0, mean - t0), 0);
  return (sum * days) / known.length;
}

/** The sum a group needs in a water, from the first days it was seen there, a day a year; null under two years that are known. */
export function fitDegreeDays(
  means: Readonly<Record<string, number>>,
  firsts: readonly string[],
  t0: number,
): DegreeDays | null {
  const sums = firsts.flatMap((date) => degreeDays(means, date, t0) ?? []);
  if (sums.length < LEAST_YEARS) return null;
  const sum = sums.reduce((total, own) => total + own, 0) / sums.length;
  const sd = Math.sqrt(sums.reduce((total, own) => total + (own - sum) ** 2, 0) / (sums.length - 1));
  return { sum, sd, years: sums.length };
}

/** Fitted sums of two years are no surer than this share of themselves. */
const LEAST_SD = 0.08;

/** Chance that warmth so far has brought a hatch on. */
export const broughtOn = (sum: number, fit: DegreeDays): number =>
  jStat.normal.cdf((sum - fit.sum) / Math.max(fit.sd, LEAST_SD * fit.sum), 0, 1);
