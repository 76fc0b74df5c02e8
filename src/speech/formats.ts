/** How one language writes numbers, days and lists, and how it writes a name inside a sentence. */
export interface Formats {
  /** With so many decimals. */
  decimals(count: number): Intl.NumberFormat;
  /** A day in short. */
  short: Intl.DateTimeFormat;
  /** A day in short with its year. */
  full: Intl.DateTimeFormat;
  /** A month with its year. */
  month: Intl.DateTimeFormat;
  /** A weekday in short, and a month of any year. */
  weekday: Intl.DateTimeFormat;
  season: Intl.DateTimeFormat;
  /** A day with its weekday. */
  long: Intl.DateTimeFormat;
  hour: Intl.DateTimeFormat;
  /** An amount of stored bytes, in the unit that keeps it short. */
  bytes(count: number): string;
  /** What is counted up side by side: `a, b, c`. */
  list: Intl.ListFormat;
  either: Intl.ListFormat;
}

/** Units of stored bytes, the largest first: so many from which on one is used, and what it is. */
const SIZES = [
  ['gigabyte', 1e9],
  ['megabyte', 1e6],
  ['kilobyte', 1e3],
  ['byte', 1],
] as const;

function made(locale: string): Formats {
  const numbers = new Map<number, Intl.NumberFormat>();
  const days = (parts: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, parts);
  return {
    decimals(count) {
      const known =
        numbers.get(count) ??
        new Intl.NumberFormat(locale, {
          minimumFractionDigits: count,
          maximumFractionDigits: count,
          useGrouping: false,
        });
      numbers.set(count, known);
      return known;
    },
    short: days({ day: 'numeric', month: 'short' }),
    full: days({ day: 'numeric', month: 'short', year: 'numeric' }),
    month: days({ month: 'long', year: 'numeric' }),
    weekday: days({ weekday: 'short' }),
    season: days({ month: 'long' }),
    long: days({ weekday: 'long', day: 'numeric', month: 'long' }),
    hour: days({ hour: '2-digit', minute: '2-digit', hour12: false }),
    bytes(count) {
      const [unit, of] = SIZES.find(([, least]) => count >= least) ?? SIZES.at(-1)!;
      const value = count / of;
      return new Intl.NumberFormat(locale, {
        style: 'unit',
        unit,
        maximumFractionDigits: value < 10 ? 1 : 0,
      }).format(value);
    },
    list: new Intl.ListFormat(locale, { type: 'unit', style: 'short' }),
    either: new Intl.ListFormat(locale, { type: 'disjunction' }),
  };
}

const known = new Map<string, Formats>();

/** The formats of a language; made once, because a browser takes longer to make one than to use it a thousand times. */
export function formatsOf(language: string): Formats {
  // Days stand before their month where tiers of this valley read.
  const locale = language === 'en' ? 'en-GB' : language;
  const formats = known.get(locale) ?? made(locale);
  known.set(locale, formats);
  return formats;
}
