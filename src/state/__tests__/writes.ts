import { noEntities, stamped, type Clocks, type Entities, type EventOp, type Kind } from '@/records';
import { commit, type Mine } from '../storage/commit';
import type { KeyStore, Locks } from '../ports';

export const noWait: Locks = { request: (_name, task) => task() };

/** A tab that edits records as the store does, and writes when it is told: what a test of storage needs of one. */
export function tabOver(storage: KeyStore, from: Entities = noEntities(), clocks = new Map<string, Clocks>()) {
  let entities = from;
  const dirty = new Map<string, number>();
  return {
    get entities() {
      return entities;
    },
    clocks,
    edit(now: number, next: (entities: Entities) => Entities) {
      const after = next(entities);
      for (const kind of Object.keys(after) as Kind[]) {
        for (const id of new Set([...Object.keys(entities[kind]), ...Object.keys(after[kind])])) {
          const [was, is] = [entities[kind][id], after[kind][id]];
          if (was === is) continue;
          clocks.set(`${kind}/${id}`, stamped(kind, was, is, clocks.get(`${kind}/${id}`), now));
          if (!dirty.has(`${kind}/${id}`)) dirty.set(`${kind}/${id}`, now);
        }
      }
      entities = after;
    },
    async write(now: number, events: readonly EventOp[] = []) {
      const records = [...dirty].map(([key, since]): Mine => {
        const [kind, id] = [key.slice(0, key.indexOf('/')) as Kind, key.slice(key.indexOf('/') + 1)];
        return { kind, id, data: (entities[kind][id] ?? null) as object | null, clocks: clocks.get(key)!, since };
      });
      const stored = await commit(storage, noWait, { records, events, sums: [] }, now);
      dirty.clear();
      return stored;
    },
  };
}
