import type { Dressing } from './dressing';

/** What a tier switched: `without` holds switches (or parts) turned off by hand, `added` switches turned on that are off as a rule. */
export interface Switched {
  without: readonly string[];
  added: readonly string[];
}

export const AS_A_RULE: Switched = { without: [], added: [] };

/** Parts left out of a dressing: those of switches that are off, and parts named. */
export function leftOut(dressing: Dressing, { without, added }: Switched = AS_A_RULE): string[] {
  const off = dressing.switches.filter((item) => without.includes(item.id) || (!item.on && !added.includes(item.id))).flatMap((item) => item.parts);
  return [...new Set([...off, ...without.filter((id) => dressing.parts.some((part) => part.id === id))])];
}
