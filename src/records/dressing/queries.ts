import type { Dressing } from '@/core/dressings';
import type { Entities } from '../kinds';
import type { DressingRecord } from './schema';

/** A dressing's record without what only storage needs. */
export function dressingOf({ demo: _demo, base: _base, ...dressing }: DressingRecord): Dressing {
  return dressing as Dressing;
}

/** The tier's own dressings, by name. */
export function ownDressings(records: Entities['dressing']): Dressing[] {
  return Object.values(records)
    .map(dressingOf)
    .sort((a, b) => a.name.localeCompare(b.name));
}
