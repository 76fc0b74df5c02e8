import type { Dressing } from '@/core/dressings';
import { slug } from '@/core/exchange';
import type { Entities } from '../kinds';
import type { DressingRecord } from './schema';

/** A dressing's record without what only storage needs. */
export function dressingOf({ demo: _demo, base: _base, ...dressing }: DressingRecord): Dressing {
  return dressing as Dressing;
}

/** The tier's own dressings, by name. */
export function ownDressings(records: Entities['dressing']): Dressing[] {
  return Object.values(records).map(dressingOf).sort((a, b) => a.name.localeCompare(b.name));
}

/** An id that no dressing has yet, from a name. */
export function freeDressingId(name: string, taken: readonly { id: string }[]): string {
  const stem = slug(name).replace(/[^a-z0-9-]/g, '') || 'dressing';
  for (let n = 1; ; n++) {
    const id = n === 1 ? stem : `${stem}-${n}`;
    if (!taken.some((dressing) => dressing.id === id)) return id;
  }
}
