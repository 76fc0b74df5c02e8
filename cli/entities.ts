import { foldAll, isOwner, noEntities, type Entities, type EventTypes, type OwnerKind } from '../src/records';
import type { Backup } from '../src/records/backup';

/** Records of a backup as they would stand in the app, their ledgers summed. */
export function entitiesOf({ carried }: Backup): Entities {
  const entities = noEntities();
  const ledgers = new Map<string, Record<string, EventTypes[OwnerKind]>>();
  for (const { kind, owner, id, on, event } of carried.events) {
    const key = `${kind}/${owner}`;
    const own = ledgers.get(key) ?? {};
    if (on) own[id] = event;
    ledgers.set(key, own);
  }
  for (const { kind, id, data } of carried.records)
    (entities[kind] as Record<string, unknown>)[id] = isOwner(kind)
      ? { ...data, tally: foldAll(kind, ledgers.get(`${kind}/${id}`) ?? {}) }
      : data;
  return entities;
}
