import {
  entriesOf,
  KINDS,
  lives,
  mendedBy,
  mergeCopies,
  migrate,
  withoutTally,
  type Clocks,
  type Copy,
  type EventOp,
  type Kind,
  type OwnerKind,
  type Tally,
} from '@/records';
import type { KeyStore, Locks } from '../ports';
import { clocksOf, keyOf, readEnvelope, splitKey, SUM, type Envelope } from './envelope';
import { entering, ownerOf, readSum, sumsAlone, type Summed } from './events';

export const LOCK = 'aubade-records';
/** A record as it is stored after a write; its data are null where it was deleted. */
export interface Written {
  kind: Kind;
  id: string;
  rev: number;
  /** The revision it was written upon; 0 where there was none. */
  base: number;
  data: object | null;
  clocks: Clocks;
  /** It was read as a version wrote it that kept no clocks. */
  unclocked: boolean;
}

/** A record as this tab has it, to be written; its data are null where it was deleted. */
export interface Mine {
  kind: Kind;
  id: string;
  data: object | null;
  clocks: Clocks;
  /** When it was edited first since it was written last. */
  since: number;
}

/** What one write stores. */
export interface Wanted {
  records: readonly Mine[];
  events: readonly EventOp[];
  /** What ledgers come to whose events were lost with the store. */
  sums: readonly { kind: OwnerKind; owner: string; tally: Tally }[];
}

/** What is stored was written by a newer version of the app: this one must not write over it. */
export class NewerStored extends Error {
  constructor(readonly key: string) {
    super(`newer: ${key}`);
    this.name = 'NewerStored';
  }
}

/** A stored record brought to the present schema with what its ledger held inside it before; null where there is none that can be read. */
function copyOf(key: string, envelope: Envelope, before?: number): { copy: Copy; events: readonly EventOp[] } {
  const { kind, id } = splitKey(key);
  const read = envelope.data === null ? null : migrate(kind, envelope.v, envelope.data, id);
  return {
    copy: { data: read?.ok ? withoutTally(read.data as object) : null, clocks: clocksOf(envelope, before) },
    events: read?.ok ? read.events : [],
  };
}

/**
 * Writes what a tab changed: under one lock it reads the records as they are now, merges the tab's with them, enters its events, and stores all
 * of it in one transaction. A deleted record leaves a tombstone that keeps what it was. Gives records and sums as they are stored now.
 * Throws what storage throws, and `NewerStored`; then nothing was written.
 */
export async function commit(
  storage: KeyStore,
  locks: Locks,
  { records, events, sums }: Wanted,
  now: number,
): Promise<{ written: Written[]; sums: Summed[] }> {
  if (records.length + events.length + sums.length === 0) return { written: [], sums: [] };
  return locks.request(LOCK, async () => {
    const texts = await storage.getMany(records.map(({ kind, id }) => keyOf(kind, id)));
    const entries: Record<string, string> = sumsAlone(sums, now);
    const before: EventOp[] = [];
    const written = records.map(({ kind, id, data, clocks, since }): Written => {
      const key = keyOf(kind, id);
      const envelope = texts[key] ? readEnvelope(texts[key]) : null;
      if (envelope && envelope.v > KINDS[kind].version) throw new NewerStored(key);
      const stored = envelope ? copyOf(key, envelope, since) : null;
      if (stored) before.push(...stored.events);
      const mine: Copy = { data: data && withoutTally(data), clocks };
      const merged = stored ? mergeCopies(kind, mine, stored.copy) : mine;
      const here = lives(merged) ? mendedBy(kind, merged.data!) : null;
      const rev = (envelope?.rev ?? 0) + 1;
      const was = merged.data as { demo?: boolean } | null;
      entries[key] = JSON.stringify({
        v: KINDS[kind].version,
        id,
        rev,
        at: now,
        clocks: merged.clocks,
        ...(here ? {} : { gone: true as const }),
        data: here ?? (was?.demo ? null : was),
      } satisfies Envelope);
      return { kind, id, rev, base: rev - 1, data: here, clocks: merged.clocks, unclocked: false };
    });
    const entered = await entering(storage, [...before, ...events], now);
    await storage.setMany(Object.assign(entries, entered.entries));
    return { written, sums: [...entered.sums, ...sums.map((sum) => ({ ...sum, rev: 1, base: 0 }))] };
  });
}

/** Records and sums as they are stored now, by key; one that is not there, or cannot be read, is left out. `events` are what older versions kept inside their records. */
export async function readStored(
  storage: KeyStore,
  keys: readonly string[],
): Promise<{ records: Written[]; sums: Summed[]; events: EventOp[] }> {
  const texts = await storage.getMany([...keys]);
  const found = { records: [] as Written[], sums: [] as Summed[], events: [] as EventOp[] };
  for (const key of keys) {
    const owner = ownerOf(key);
    const sum = owner && key.startsWith(SUM) ? readSum(texts[key]) : null;
    if (owner && sum) found.sums.push({ ...owner, ...sum, base: sum.rev });
    const envelope = texts[key] ? readEnvelope(texts[key]) : null;
    const { kind, id } = splitKey(key);
    if (!envelope || owner) continue;
    found.events.push(...(entriesOf(kind, envelope.data, id) ?? []));
    const { copy, events } = copyOf(key, envelope);
    found.events.push(...events);
    if (envelope.gone || copy.data)
      found.records.push({
        kind: kind as Kind,
        id,
        rev: envelope.rev,
        base: envelope.rev,
        data: envelope.gone ? null : copy.data,
        clocks: copy.clocks,
        unclocked: !envelope.clocks,
      });
  }
  return found;
}
