import type { StageId } from '@/catalogue/ids';
import type { Dressing } from './dressing';

/** What a tier switched: `without` holds switches (or parts) turned off by hand, `added` switches turned on that are off as a rule. */
export interface Switched {
  without: readonly string[];
  added: readonly string[];
}

export const AS_A_RULE: Switched = { without: [], added: [] };

/** The ways a dressing is checked in: with its switches as a rule, all on and all off. */
export function switchedWays(dressing: Dressing): Switched[] {
  const all = dressing.switches.map((item) => item.id);
  return all.length === 0 ? [AS_A_RULE] : [AS_A_RULE, { without: [], added: all }, { without: all, added: [] }];
}

/** Whether a switch is on as a rule for a natural: by its stages where it names any and the stage is known. */
export function onAsRule(item: Dressing['switches'][number], stage: StageId | null): boolean {
  return item.stages.length > 0 && stage !== null ? item.stages.includes(stage) : item.on;
}

/** Parts left out of a dressing for a natural: those of switches that are off, and parts named. */
export function leftOut(
  dressing: Dressing,
  { without, added }: Switched = AS_A_RULE,
  stage: StageId | null = null,
): string[] {
  const off = dressing.switches
    .filter((item) => without.includes(item.id) || (!onAsRule(item, stage) && !added.includes(item.id)))
    .flatMap((item) => item.parts);
  return [...new Set([...off, ...without.filter((id) => dressing.parts.some((part) => part.id === id))])];
}
