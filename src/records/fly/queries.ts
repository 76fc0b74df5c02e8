import { freeSlot, heldBy, type Held } from '@/core/box/ledger';
import type { Entities } from '../kinds';
import type { FlyRecord } from './schema';

/** Where a fly lies and how many, over every box. */
export function heldOf(fly: FlyRecord): Held[] {
  return heldBy(fly.tally.places);
}

/** What a fly is: a dressing on a hook, or one not tied here. */
export type FlyKind = Pick<
  FlyRecord,
  'name' | 'dressingId' | 'dressingRev' | 'hookId' | 'stage' | 'lengthMm' | 'shade' | 'ride'
>;

/** A kind of which nothing is known. */
export const NO_KIND: FlyKind = {
  name: '',
  dressingId: null,
  dressingRev: null,
  hookId: null,
  stage: null,
  lengthMm: null,
  shade: null,
  ride: null,
};

/** A dressing on a hook. */
export function tiedKind({ id, rev }: { id: string; rev: number }, hook: { id: string }): FlyKind {
  return { ...NO_KIND, dressingId: id, dressingRev: rev, hookId: hook.id };
}

/** Whether a fly of the box is of this kind, so that more of it are the same fly. */
export function sameKind(fly: FlyRecord, kind: FlyKind): boolean {
  return (
    fly.name === kind.name &&
    fly.dressingId === kind.dressingId &&
    fly.hookId === kind.hookId &&
    fly.stage === kind.stage &&
    fly.lengthMm === kind.lengthMm &&
    fly.shade === kind.shade &&
    fly.ride === kind.ride
  );
}

/** Where more of a kind go in a box: where it lies already, else the first free compartment; null when the box is full. */
export function slotFor({ fly, box }: Pick<Entities, 'fly' | 'box'>, boxId: string, kind: FlyKind): string | null {
  const places = Object.values(fly).flatMap((own) =>
    heldOf(own)
      .filter((held) => held.boxId === boxId)
      .map((held) => ({ own, held })),
  );
  const there = places.find(({ own, held }) => sameKind(own, kind) && held.slot !== null);
  return there
    ? there.held.slot
    : freeSlot(
        box[boxId]!,
        places.filter(({ held }) => held.left > 0).map(({ held }) => held.slot),
      );
}

/** The same fly wherever it lies: its records, the first of which stands for it, how many are left in all and are to be, and its places, most first. */
export interface SameFly {
  ids: string[];
  fly: FlyRecord;
  left: number;
  low: number | null;
  places: Held[];
}

const kindKey = (kind: FlyKind) =>
  JSON.stringify([kind.name, kind.dressingId, kind.hookId, kind.stage, kind.lengthMm, kind.shade, kind.ride]);

/** Flies by kind, in the order they are first met; an emptied place stays only where nothing else is left. */
export function sameFlies(flies: readonly (readonly [id: string, fly: FlyRecord])[]): SameFly[] {
  const kinds = new Map<string, SameFly>();
  for (const [id, fly] of flies) {
    const key = kindKey(fly);
    const known = kinds.get(key) ?? { ids: [], fly, left: 0, low: null, places: [] };
    known.ids.push(id);
    if (fly.low !== null) known.low = Math.max(known.low ?? 0, fly.low);
    known.places.push(...heldOf(fly));
    kinds.set(key, known);
  }
  for (const kind of kinds.values()) {
    const filled = kind.places.filter(({ left }) => left > 0);
    kind.places = (filled.length > 0 ? filled : kind.places.slice(0, 1)).sort((a, b) => b.left - a.left);
    kind.left = kind.places.reduce((sum, { left }) => sum + left, 0);
  }
  return [...kinds.values()];
}

/** Whether a fly is to be tied: fewer are left than are to be there, or none. */
export const isShort = ({ left, low }: Pick<SameFly, 'left' | 'low'>): boolean => left < (low ?? 1);

/** Dressings on their hooks that are to be tied: so many are missing to their mark; null for one that ran out and has none. */
export function toTie(
  flies: Entities['fly'],
): { dressingId: string; hookId: string | null; left: number; missing: number | null }[] {
  return sameFlies(Object.entries(flies)).flatMap(({ fly: { dressingId, hookId }, left, low }) =>
    dressingId && isShort({ left, low })
      ? [{ dressingId, hookId: hookId ?? null, left, missing: low === null ? null : low - Math.max(0, left) }]
      : [],
  );
}
