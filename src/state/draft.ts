import { createDraft, current, finishDraft, freeze, isDraft, type Patch } from 'immer';
import type { Entities, Kind } from '@/records';
import { withChanges, type Table } from './table';

type Drafts = Record<string, object>;

/** Records as a command changes them, and what came of it. */
export interface Drafted {
  draft: Entities;
  /** The records after it, and the patches there and back; to be called once. */
  finish(): { entities: Entities; patches: Patch[]; inverse: Patch[] };
}

function holdsDraft(value: unknown): boolean {
  if (isDraft(value)) return true;
  return (
    value !== null && typeof value === 'object' && !Object.isFrozen(value) && Object.values(value).some(holdsDraft)
  );
}

/** A value without drafts in it: what is put into another record must outlive the draft it was read from. */
function plain<T>(value: T): T {
  if (isDraft(value)) return current(value as object) as T;
  if (!holdsDraft(value)) return value;
  if (Array.isArray(value)) return value.map(plain) as T;
  return Object.fromEntries(Object.entries(value as object).map(([key, item]) => [key, plain(item)])) as T;
}

/** A record of one table in a change: the draft of one that is there, what is put in its place, or null for one that goes. */
type Entry = { drafted: object } | { put: object } | { gone: true };

/** One table, of which only the records that are asked for are drafted: a change of one must not cost a walk through ten thousand. */
function draftedTable(table: Table): { proxy: Drafts; entries: Map<string, Entry> } {
  const entries = new Map<string, Entry>();
  const own = (id: string): object | undefined => {
    const entry = entries.get(id);
    if (entry) return 'drafted' in entry ? entry.drafted : 'put' in entry ? entry.put : undefined;
    const record = Object.hasOwn(table, id) ? table[id] : undefined;
    if (record === undefined) return undefined;
    const drafted = createDraft(record);
    entries.set(id, { drafted });
    return drafted;
  };
  const has = (id: string | symbol) => {
    const entry = typeof id === 'string' ? entries.get(id) : undefined;
    return entry ? !('gone' in entry) : Object.hasOwn(table, id);
  };
  const proxy = new Proxy({} as Drafts, {
    get: (_, id) => (typeof id === 'string' ? own(id) : undefined),
    has: (_, id) => has(id),
    set(_, id, value: object) {
      entries.set(String(id), { put: value });
      return true;
    },
    deleteProperty(_, id) {
      if (has(id)) entries.set(String(id), { gone: true });
      return true;
    },
    ownKeys: () => [
      ...Object.keys(table).filter(has),
      ...[...entries.keys()].filter((id) => has(id) && !Object.hasOwn(table, id)),
    ],
    getOwnPropertyDescriptor: (_, id) =>
      has(id) ? { configurable: true, enumerable: true, writable: true, value: own(String(id)) } : undefined,
  });
  return { proxy, entries };
}

/** Records to be changed in place; what is not touched costs nothing. */
export function draftOf(entities: Entities): Drafted {
  const tables = new Map<Kind, ReturnType<typeof draftedTable>>();
  const draft = Object.defineProperties(
    {},
    Object.fromEntries(
      (Object.keys(entities) as Kind[]).map((kind) => {
        const get = () => {
          const known = tables.get(kind) ?? draftedTable(entities[kind] as Table);
          tables.set(kind, known);
          return known.proxy;
        };
        // A table that is assigned anew holds what it is given.
        const set = (next: Table) => {
          const own = get();
          for (const id of Object.keys(own)) if (!(id in next)) delete own[id];
          for (const [id, record] of Object.entries(next))
            if (record !== (entities[kind] as Table)[id]) own[id] = record;
        };
        return [kind, { enumerable: true, get, set }];
      }),
    ),
  ) as Entities;
  return {
    draft,
    finish() {
      const all = new Map<Kind, Map<string, object | null>>();
      const [patches, inverse]: [Patch[], Patch[]] = [[], []];
      // Before any draft is let go: what is put in may hold some of another record.
      for (const { entries } of tables.values())
        for (const [id, entry] of entries) if ('put' in entry) entries.set(id, { put: freeze(plain(entry.put), true) });
      for (const [kind, { entries }] of tables) {
        const before = entities[kind] as Table;
        const changed = new Map<string, object | null>();
        for (const [id, entry] of entries) {
          const path = [kind, id];
          if ('drafted' in entry) {
            const record = finishDraft(entry.drafted, (there, back) => {
              patches.push(...there.map((patch) => ({ ...patch, path: [...path, ...patch.path] })));
              inverse.push(...back.map((patch) => ({ ...patch, path: [...path, ...patch.path] })));
            }) as object;
            if (record !== before[id]) changed.set(id, record);
            continue;
          }
          const was = before[id];
          if ('put' in entry) {
            const value = entry.put;
            if (value === was) continue;
            changed.set(id, value);
            patches.push({ op: was === undefined ? 'add' : 'replace', path, value });
          } else if (was !== undefined) {
            changed.set(id, null);
            patches.push({ op: 'remove', path });
          } else continue;
          inverse.push(
            was === undefined ? { op: 'remove', path } : { op: 'gone' in entry ? 'add' : 'replace', path, value: was },
          );
        }
        all.set(kind, changed);
      }
      return { entities: patches.length > 0 ? withChanges(entities, all) : entities, patches, inverse };
    },
  };
}
