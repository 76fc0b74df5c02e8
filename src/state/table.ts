import type { Entities, Kind } from '@/records';

/** Records of one kind by id. */
export type Table = Readonly<Record<string, object>>;

/** What becomes of records of one table: another in its place, or null for one that goes. */
export type Changes = ReadonlyMap<string, object | null>;

/** Up to so many records a table is copied: to copy ten thousand costs as much as an answer. */
const COPIED_MOST = 256;
/** So many changes lie over a table before they are laid into it. */
const OVER_MOST = 64;

/** A large table with a few changes over it: it reads like any other, in the same order. */
interface Over {
  base: Table;
  over: Changes;
}

const overs = new WeakMap<Table, Over>();
const sizes = new WeakMap<Table, number>();

function sizeOf(table: Table): number {
  const known = sizes.get(table) ?? Object.keys(table).length;
  sizes.set(table, known);
  return known;
}

function laidOver({ base, over }: Over): Table {
  let keys: string[] | null = null;
  const has = (id: string | symbol): id is string =>
    typeof id === 'string' && (over.has(id) ? over.get(id) !== null : Object.hasOwn(base, id));
  const get = (id: string) =>
    over.has(id) ? (over.get(id) ?? undefined) : Object.hasOwn(base, id) ? base[id] : undefined;
  const table = new Proxy({} as Table, {
    get: (_, id) => (typeof id === 'string' ? get(id) : undefined),
    has: (_, id) => has(id),
    ownKeys: () =>
      (keys ??= [
        ...Object.keys(base).filter(has),
        ...[...over.keys()].filter((id) => has(id) && !Object.hasOwn(base, id)),
      ]),
    getOwnPropertyDescriptor: (_, id) =>
      has(id) ? { configurable: true, enumerable: true, writable: false, value: get(id) } : undefined,
    set: () => false,
    deleteProperty: () => false,
  });
  overs.set(table, { base, over });
  return table;
}

function copied(table: Table, changes: Changes): Table {
  const next = { ...table } as Record<string, object>;
  for (const [id, record] of changes)
    if (record === null) delete next[id];
    else next[id] = record;
  return next;
}

/** A table with some records changed; its cost follows the changes and not the table. */
function changedTable(table: Table, changes: Changes): Table {
  let size = sizeOf(table);
  for (const [id, record] of changes) size += Number(record !== null) - Number(table[id] !== undefined);
  const known = overs.get(table) ?? { base: table, over: new Map() };
  const over = new Map([...known.over, ...changes]);
  const next =
    size <= COPIED_MOST
      ? copied(table, changes)
      : over.size > OVER_MOST
        ? copied(known.base, over)
        : laidOver({ base: known.base, over });
  sizes.set(next, size);
  return next;
}

/** Records with some of them changed, by kind. */
export function withChanges(entities: Entities, changes: ReadonlyMap<Kind, Changes>): Entities {
  const next = { ...entities } as Record<Kind, Table>;
  for (const [kind, own] of changes) if (own.size > 0) next[kind] = changedTable(entities[kind] as Table, own);
  return next as Entities;
}

/** Changes gathered one after another, each seen by the next. */
export function gathering(entities: Entities) {
  const changes = new Map<Kind, Map<string, object | null>>();
  return {
    /** A record as it is after what was put so far. */
    at(kind: Kind, id: string): object | undefined {
      const own = changes.get(kind);
      return own?.has(id) ? (own.get(id) ?? undefined) : (entities[kind] as Table)[id];
    },
    put(kind: Kind, id: string, record: object | null): void {
      changes.set(kind, (changes.get(kind) ?? new Map<string, object | null>()).set(id, record));
    },
    entities: () => (changes.size > 0 ? withChanges(entities, changes) : entities),
  };
}
