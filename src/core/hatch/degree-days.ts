import { differenceInCalendarDays, parseISO } from 'date-fns';
import jStat from 'jstat';
import type { Trigger } from './bands';
import { daysAfter } from './sun';

/** What a group counts warmth from, °C. Source: domain §8. */
export const T0 = { cold: 4, warm: 9 } as const;

/** The same of one group: what its trigger has, else what its band counts from. */
export const t0Of = (group: string, triggers: readonly Trigger[], band: number): number =>
  triggers.find(({ groups }) => groups.includes(group))?.t0 ?? band;

/** Of the days of a year up to a hatch so many have to be known. */
const KNOWN_DAYS = 0.8;
/** Fitted on fewer years a sum says nothing. */
const LEAST_YEARS = 2;

export interface DegreeDays {
  /** Σ max(0, daily mean − T₀) from midwinter to the first that were seen. */
  sum: number;
  sd: number;
  years: number;
}

/** The day a year's warmth is counted from: New Year, or south of the equator the first of July. */
export function warmthFrom(date: string, south: boolean): string {
  const year = Number(date.slice(0, 4));
  return south ? `${date.slice(5, 7) < '07' ? year - 1 : year}-07-01` : `${year}-01-01`;
}

/** Degree-days from one day to another; a day that is not known counts as the mean of those that are. Null where too few are. */
export function degreeDays(
  means: Readonly<Record<string, number>>,
  from: string,
  date: string,
  t0: number,
): number | null {
  const days = differenceInCalendarDays(parseISO(date), parseISO(from)) + 1;
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
  south: boolean,
): DegreeDays | null {
  const sums = firsts.flatMap((date) => degreeDays(means, warmthFrom(date, south), date, t0) ?? []);
  if (sums.length < LEAST_YEARS) return null;
  return { sum: jStat.mean(sums), sd: jStat.stdev(sums, true), years: sums.length };
}

/** Fitted sums of two years are no surer than this share of themselves. */
const LEAST_SD = 0.08;

/** Chance that warmth so far has brought a hatch on. */
export const broughtOn = (sum: number, fit: DegreeDays): number =>
  jStat.normal.cdf((sum - fit.sum) / Math.max(fit.sd, LEAST_SD * fit.sum), 0, 1);
