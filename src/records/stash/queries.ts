import { heldBy, type Held, type Named } from '@/core/materials/held';
import type { Entities } from '../kinds';
import type { StashRecord } from './schema';

/** Whether anybody counted how much there is. */
export const isCounted = ({ tally }: StashRecord): boolean => tally.latest.length > 0;

/** How much is left, in what its material is counted in; null where nobody has counted it. */
export function leftOf(own: StashRecord): number | null {
  return isCounted(own) ? Math.max(0, own.tally.count) : null;
}

/** Whether some of it is there: it was never counted, or not all is gone. */
export const isThere = (own: StashRecord): boolean => leftOf(own) !== 0;

export function isStashLow(own: StashRecord): boolean {
  const left = leftOf(own);
  return left !== null && (left === 0 || (own.low !== null && left <= own.low));
}

/** One thing of the stash as it is worked with; null where its material is not known here. */
export function heldOfStash({ materialId, shadeId, shade, hex }: StashRecord, named: Named): Held | null {
  const found = heldBy(named, {
    material: materialId,
    shade: shadeId ?? (shade === '' ? null : shade),
    hex: hex as Held['hex'],
  });
  if (found.ok) return found.held;
  // A shade that is not known any more leaves its material.
  const whole = heldBy(named, { material: materialId, hex: hex as Held['hex'] });
  return whole.ok ? whole.held : null;
}

/** What of the stash is there; null until a stash has been begun. */
export function heldIn(stash: Entities['stash'], named: Named): Held[] | null {
  const all = Object.values(stash);
  if (all.length === 0) return null;
  return all.filter(isThere).flatMap((own) => heldOfStash(own, named) ?? []);
}
