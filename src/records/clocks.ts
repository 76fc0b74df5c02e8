/**
 * When each part of a record was last edited, ms since 1970, by the part's path (atoms.ts). A part that is not listed is as old as the record (`''`) where
 * it says something, and has never been edited where it says nothing. `'~'` is when the record was last brought back, `'!'` when it was deleted.
 */
export type Clocks = Readonly<Record<string, number>>;

export const BORN = '';
export const BACK = '~';
export const GONE = '!';

/** The time of the latest edit of anything in a record, its deletion too. */
export function latestOf(clocks: Clocks): number {
  return Math.max(0, ...Object.values(clocks));
}

/** Whether a record is there: something of it was edited, or it was brought back, after it was deleted last. */
export function livesBy(clocks: Clocks): boolean {
  return latestOf(clocks) > (clocks[GONE] ?? -1);
}
