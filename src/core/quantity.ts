import type { Source } from '@/catalogue/ids';

/** A number that was measured or modelled. `sd` is one standard deviation in the value's own unit, null when unknown. */
export interface Quantity {
  value: number;
  sd: number | null;
  source: Source;
}

/** What a view calls "about": every source but a measurement and a typed value. */
export function isAbout(source: Source): boolean {
  return source !== 'measured' && source !== 'typed';
}
