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
  /** What a fish did; such an entry moves none. */
  result?: FlyResult;
  /** The match it was fished for. */
  matchId?: string;
}

/** A fish took it, or came to it and turned away. */
export const FLY_RESULTS = ['took', 'refused'] as const;
export type FlyResult = (typeof FLY_RESULTS)[number];

export type ResultCount = Readonly<Record<FlyResult, number>>;

/** What came of a fly: in all, and for each match by its id. */
export interface ResultTally {
  all: ResultCount;
  of: Readonly<Record<string, ResultCount>>;
}

export const NO_RESULTS: ResultTally = { all: { took: 0, refused: 0 }, of: {} };

/** Results with one more (`by` 1) or less (−1); an entry that has none changes nothing. */
export function withResult(results: ResultTally, { result, matchId }: Move, by: 1 | -1 = 1): ResultTally {
  if (!result) return results;
  const more = (count: ResultCount = NO_RESULTS.all) => ({ ...count, [result]: count[result] + by });
  return {
    all: more(results.all),
    of: matchId === undefined ? results.of : { ...results.of, [matchId]: more(results.of[matchId]) },
  };
}

/** The sum of a fly's moves in one compartment; two tabs that each lose the last one bring it below 0. */
export interface PlaceTally {
  boxId: string;
  slot: string | null;
  count: number;
  /** The latest move there. */
  at: string;
}

/** What lies in one compartment. */
export interface Held {
  boxId: string;
  slot: string | null;
  left: number;
}

export const NO_FLIES: PlaceTally[] = [];

/** A tally with a move more (`by` 1) or less (−1); places in the order they were first moved to. */
export function withMove(
  places: readonly PlaceTally[],
  { boxId, slot, count, at, result }: Move,
  by: 1 | -1 = 1,
): PlaceTally[] {
  if (result) return [...places];
  const known = places.find((place) => place.boxId === boxId && place.slot === slot);
  if (!known) return [...places, { boxId, slot, count: by * count, at }];
  return places.map((place) =>
    place === known ? { ...place, count: place.count + by * count, at: at > place.at ? at : place.at } : place,
  );
}

/**
 * What is left in each compartment, most first. A place that was emptied stays, with 0, while nothing else is left: it is where the
 * fly belongs. Amounts are sums of moves, so that two tabs or devices merge without loss; a sum below 0 shows as 0.
 */
export function heldBy(places: readonly PlaceTally[]): Held[] {
  const all = places.map(({ boxId, slot, count, at }) => ({ at, held: { boxId, slot, left: Math.max(0, count) } }));
  const filled = all.filter(({ held }) => held.left > 0);
  const last = all.reduce<(typeof all)[number] | null>(
    (one, other) => (one === null || other.at >= one.at ? other : one),
    null,
  );
  return (filled.length > 0 ? filled : last ? [last] : []).map(({ held }) => held).sort((a, b) => b.left - a.left);
}

/** How many are left over all compartments of the boxes named; of every box when none is. */
export function leftIn(places: readonly PlaceTally[], boxes: ReadonlySet<string> | null = null): number {
  return heldBy(places).reduce((sum, place) => sum + (boxes === null || boxes.has(place.boxId) ? place.left : 0), 0);
}

/** Compartments of a box of so many rows and columns: `a1`, `a2` … */
export function slotsOf({ rows, columns }: { rows: number; columns: number }): string[] {
  return Array.from(
    { length: rows * columns },
    (_, index) => `${String.fromCharCode(97 + Math.floor(index / columns))}${(index % columns) + 1}`,
  );
}

/** The first compartment with nothing in it; null when every one holds something. */
export function freeSlot(box: { rows: number; columns: number }, taken: Iterable<string | null>): string | null {
  const full = new Set(taken);
  return slotsOf(box).find((slot) => !full.has(slot)) ?? null;
}
