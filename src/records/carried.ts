import { current, isDraft } from 'immer';
import { readJson } from '@/core/archive/read-json';
import type { Coded } from '@/core/code';
import { enter, type Around } from './command';
import { BACK, GONE, type Clocks } from './clocks';
import { KINDS, type Entities, type Kind } from './kinds';
import { isOwner, LEDGERS, type EventOp, type Tally } from './ledger';
import { lives, mendedBy, mergeCopies, withoutTally, type Copy } from './merge';
import { migrate } from './migrate';

/** One record of a file: schema version of its kind, when its parts were edited (absent in files of before), and its data. */
export interface RecordItem {
  kind: Kind;
  id: string;
  v: number;
  clocks?: Clocks;
  data: unknown;
}

/** One entry of a ledger in a file; one that was taken out again says so, so that no one brings it back. */
export interface EventItem {
  kind: 'event';
  id: string;
  of: EventOp['kind'];
  owner: string;
  on: boolean;
  data: EventOp['event'];
}

/** The items of a file of records of one kind (`aubade`), as they stand in it; what is none of it, or newer than `version`, is refused. */
export function itemsOf(
  text: string,
  aubade: string,
  version: number,
): { ok: true; items: readonly unknown[] } | { ok: false; fault: Coded } {
  const other = { ok: false, fault: { code: `${aubade}-other`, params: {} } } as const;
  const read = readJson(text);
  if (!read.ok) return read.fault.code === 'file-no-json' ? other : read;
  const file = read.value as { aubade?: unknown; version?: unknown; items?: unknown } | null;
  if (file?.aubade !== aubade || !Array.isArray(file.items)) return other;
  if (typeof file.version !== 'number' || file.version > version)
    return { ok: false, fault: { code: 'file-newer', params: { version: Number(file.version) } } };
  const records = file.items.reduce(
    (sum: number, item) => sum + ((item as { kind?: unknown } | null)?.kind === 'event' ? 0 : 1),
    0,
  );
  if (records > MOST_RECORDS || file.items.length - records > MOST_EVENTS)
    return { ok: false, fault: { code: 'too-many-records', params: { most: MOST_RECORDS } } };
  return { ok: true, items: file.items };
}

/** Records of a file, and entries of their ledgers: ten seasons are under a tenth of either, and more would be checked for minutes. */
const MOST_RECORDS = 20_000;
const MOST_EVENTS = 200_000;

/** Records of a file, brought to the present schema; without clocks their file does not say when they were edited. */
export interface Carried {
  records: { kind: Kind; id: string; data: object; clocks: Clocks | null }[];
  events: EventOp[];
}

/** A record as an item of a file, no demo's any more. */
export function recordItem(kind: Kind, id: string, record: object, clocks: Clocks | undefined): RecordItem {
  return { kind, id, v: KINDS[kind].version, ...(clocks ? { clocks } : {}), data: own(withoutTally(record)) };
}

/** A record as the tier's own: what goes out and comes in is no demo's. */
function own(record: object): object {
  return 'demo' in record ? { ...record, demo: false } : record;
}

const areClocks = (value: unknown): value is Clocks =>
  value !== null && typeof value === 'object' && Object.values(value).every((at) => Number.isFinite(at));

/** Reads a record of a file, with what its ledger held inside it before; a newer or broken one is a fault. */
export function readItem(item: Partial<RecordItem>): { ok: true; carried: Carried } | { ok: false; fault: Coded } {
  const [kind, id, version] = [item.kind, item.id, Number(item.v)];
  const read =
    typeof kind === 'string' && typeof id === 'string' && id !== '' ? migrate(kind, version, item.data, id) : null;
  if (read?.ok)
    return {
      ok: true,
      carried: {
        records: [
          {
            kind: kind!,
            id: id!,
            data: withoutTally(read.data as object),
            clocks: areClocks(item.clocks) ? item.clocks : null,
          },
        ],
        events: [...read.events],
      },
    };
  return {
    ok: false,
    fault:
      read?.reason === 'newer'
        ? { code: 'file-newer', params: { version } }
        : { code: 'bundle-broken', params: { what: id || '?' } },
  };
}

/** A record as it stands in a draft, read at once: walking through a draft costs at every step. */
export function standing(draft: Entities, kind: Kind, id: string): object | undefined {
  const record = draft[kind][id] as object | undefined;
  return isDraft(record) ? current(record) : record;
}

/** A record of a file merged with the one here; one that was deleted here comes back, for reading a file asks for it. */
function merged(
  draft: Entities,
  { kind, id, data, clocks }: Carried['records'][number],
  { at, clocksOf }: Around,
): Copy {
  const here = standing(draft, kind, id);
  // What a file does not say the time of, it says now.
  const there: Copy = { data, clocks: clocks ?? { '': at } };
  const known = clocksOf(kind, id);
  if (here) return mergeCopies(kind, { data: withoutTally(here), clocks: known ?? {} }, there);
  return known && GONE in known
    ? { data, clocks: { ...there.clocks, [GONE]: known[GONE]!, [BACK]: Math.max(at, known[GONE]! + 1) } }
    : there;
}

/** Takes records of a file in, each merged with the one that is here, and enters its events, of which none is in the ledgers yet. Whatever is read, twice is once, and nothing is lost that only one side has. */
export function takeCarried(draft: Entities, { records, events }: Carried, around: Around): void {
  for (const item of records) {
    const { kind, id } = item;
    const copy = merged(draft, item, around);
    const table = draft[kind] as Record<string, { tally?: Tally }>;
    const before = table[id];
    const whole: { tally?: Tally } = { ...own(lives(copy) ? mendedBy(kind, copy.data!) : copy.data!) };
    if (isOwner(kind)) whole.tally = before?.tally ?? (LEDGERS[kind].none as Tally);
    // What stays as it is, is no change.
    if (before === undefined) table[id] = whole;
    else
      for (const field of Object.keys(whole) as (keyof typeof whole)[])
        if (JSON.stringify(before[field as 'tally']) !== JSON.stringify(whole[field]))
          (before as Record<string, unknown>)[field] = whole[field];
    around.clocked(kind, id, copy.clocks);
  }
  for (const op of events) if (draft[op.kind][op.owner]) enter(draft, op, around);
}
