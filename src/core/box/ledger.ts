import type { MoveId } from '@/catalogue/ids';

/** One entry of the ledger of a fly: how many came (+) or went (−), where and why. Never changed once written. */
export interface Move {
  /** Local time, `2033-05-24T04:50`. */
  at: string;
  boxId: string;
  /** Compartment, row letter and column: `b3`. Null where the box has none or it is not noted. */
  slot: string | null;
  count: number;
  why: MoveId;
}

/** What lies in one compartment. */
export interface Held {
  boxId: string;
  slot: string | null;
  left: number;
}

/**
 * What the ledger leaves in each compartment, most first. A place that was emptied stays, with 0, while nothing else is left: it is
 * where the fly belongs. Amounts are sums of moves, so that two tabs or devices merge without loss; a sum below 0 shows as 0.
 */
export function heldBy(moves: readonly Move[]): Held[] {
  const places = new Map<string, Held>();
  for (const { boxId, slot, count } of moves) {
    const key = `${boxId} ${slot ?? ''}`;
    const place = places.get(key) ?? { boxId, slot, left: 0 };
    places.set(key, { ...place, left: place.left + count });
  }
  const all = [...places.values()].map((place) => ({ ...place, left: Math.max(0, place.left) }));
  const filled = all.filter((place) => place.left > 0);
  return (filled.length > 0 ? filled : all.slice(-1)).sort((a, b) => b.left - a.left);
}

/** How many are left over all compartments of the boxes named; of every box when none is. */
export function leftIn(moves: readonly Move[], boxes: ReadonlySet<string> | null = null): number {
  return heldBy(moves).reduce((sum, place) => sum + (boxes === null || boxes.has(place.boxId) ? place.left : 0), 0);
}

/** Compartments of a box of so many rows and columns: `a1`, `a2` … */
export function slotsOf({ rows, columns }: { rows: number; columns: number }): string[] {
  return Array.from({ length: rows * columns }, (_, index) => `${String.fromCharCode(97 + Math.floor(index / columns))}${(index % columns) + 1}`);
}

/** The first compartment with nothing in it; null when every one holds something. */
export function freeSlot(box: { rows: number; columns: number }, taken: Iterable<string | null>): string | null {
  const full = new Set(taken);
  return slotsOf(box).find((slot) => !full.has(slot)) ?? null;
}
