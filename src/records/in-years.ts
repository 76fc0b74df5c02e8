import { isLeapYear, parseISO } from 'date-fns';

const DAY = /^(\d{4})(-\d{2}-\d{2}(?=T|$).*)$/;

/** A day or a stamp so many years on, its hour as it was; null where that year has no such day. Whatever else stands there is as it was. */
function onIn(text: string, years: number): string | null {
  const [, year, rest] = DAY.exec(text) ?? [];
  if (year === undefined || rest === undefined) return text;
  const moved = `${Number(year) + years}`;
  return rest.startsWith('-02-29') && !isLeapYear(parseISO(moved)) ? null : moved + rest;
}

/** Years by which a made-up season lies so that its own now is the latest such day that is past: 0 where it is. */
export function yearsUntil(clock: string, now: string): number {
  const years = Number(now.slice(0, 4)) - Number(clock.slice(0, 4));
  return now.slice(4, clock.length) >= clock.slice(4) ? years : years - 1;
}

/** A record, or whatever holds some, with every day and stamp so many years on; what stands under a day that year has not is left out, a stamp on it is of the day before. */
export function inYears<T>(value: T, years: number): T {
  if (years === 0) return value;
  if (typeof value === 'string') return (onIn(value, years) ?? onIn(value.replace('-02-29', '-02-28'), years)) as T;
  if (Array.isArray(value)) return value.map((item: unknown) => inYears(item, years)) as T;
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, item]) => {
      const moved = onIn(key, years);
      return moved === null ? [] : [[moved, inYears(item as unknown, years)]];
    }),
  ) as T;
}
