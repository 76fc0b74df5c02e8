import type { Coded } from '@/core/code';
import type { Clocks } from './clocks';
import { itemsOf, readItem, recordItem, type Carried, type EventItem, type RecordItem } from './carried';
import type { Entities, Kind } from './kinds';
import { isOwner, LEDGERS, type EventOp } from './ledger';

const VERSION = 2;

/** Records by their keys (`kind/id`), with entries of their ledgers, as one file (docs/formats/records.md); one that is gone is left out. */
export function recordsFile(
  entities: Entities,
  clocks: ReadonlyMap<string, Clocks>,
  keys: readonly string[],
  events: readonly EventOp[],
): string {
  const items = keys.flatMap((key): RecordItem[] => {
    const at = key.indexOf('/');
    const [kind, id] = [key.slice(0, at) as Kind, key.slice(at + 1)];
    const data = entities[kind]?.[id];
    return data === undefined ? [] : [recordItem(kind, id, data, clocks.get(key))];
  });
  const entries = events.map(({ kind, owner, id, on, event }): EventItem => ({
    kind: 'event',
    id,
    of: kind,
    owner,
    on,
    data: event,
  }));
  return `${JSON.stringify({ aubade: 'records', version: VERSION, items: [...items, ...entries] }, null, 1)}\n`;
}

/** Keys of every record that is the tier's own. */
export function ownKeys(entities: Entities): string[] {
  return (Object.keys(entities) as Kind[]).flatMap((kind) =>
    Object.entries(entities[kind]).flatMap(([id, record]) =>
      (record as { demo?: boolean }).demo ? [] : [`${kind}/${id}`],
    ),
  );
}

export type RecordsRead = { ok: true; carried: Carried } | { ok: false; fault: Coded };

const refused = (code: string, params: Coded['params'] = {}): RecordsRead => ({ ok: false, fault: { code, params } });

/** An entry of a ledger as a file has it; null when it is none. */
function eventOf({ of, owner, id, on, data }: Partial<EventItem>): EventOp | null {
  const known =
    typeof of === 'string' &&
    isOwner(of) &&
    typeof owner === 'string' &&
    typeof id === 'string' &&
    typeof on === 'boolean';
  return known && LEDGERS[of].schema.isValidSync(data) ? ({ kind: of, owner, id, on, event: data } as EventOp) : null;
}

/** Reads records from a file. A newer file, and one with a record that is newer or broken, is refused untouched. */
export function readRecords(text: string): RecordsRead {
  const file = itemsOf(text, 'records', VERSION);
  if (!file.ok) return file;
  const carried: Carried = { records: [], events: [] };
  for (const item of file.items as (Partial<RecordItem> | Partial<EventItem>)[]) {
    if (item?.kind === 'event') {
      const op = eventOf(item as Partial<EventItem>);
      if (!op) return refused('bundle-broken', { what: item.id ?? '?' });
      carried.events.push(op);
      continue;
    }
    const read = readItem((item ?? {}) as Partial<RecordItem>);
    if (!read.ok) return read;
    carried.records.push(...read.carried.records);
    carried.events.push(...read.carried.events);
  }
  return carried.records.length + carried.events.length === 0 ? refused('records-other') : { ok: true, carried };
}
