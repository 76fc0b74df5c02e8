/** A finite number rounded to `digits` significant digits (6 in every JSON answer); null stays null and so does a non-finite value. */
export function roundSignificant(value: number | null, digits = 6): number | null {
  if (value === null || !Number.isFinite(value)) return null;
  return Number(value.toPrecision(digits));
}

/** The same value with every number in it rounded: plain objects and arrays only. */
export function roundAll<T>(value: T, digits = 6): T {
  if (typeof value === 'number') return roundSignificant(value, digits) as T;
  if (Array.isArray(value)) return value.map((item) => roundAll(item, digits)) as T;
  if (value !== null && typeof value === 'object') {
    return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, roundAll(item, digits)])) as T;
  }
  return value;
}
