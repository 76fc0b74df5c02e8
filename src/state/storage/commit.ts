import { applyPatches, enablePatches, type Patch } from 'immer';
import { KINDS, migrate, noEntities, type Entities, type Kind } from '@/records';
import type { KeyStore, Locks } from '../ports';
import { ASIDE, BLOB, keyOf, readEnvelope, splitKey, type Envelope } from './envelope';

enablePatches();

export const LOCK = 'aubade-records';
/** Tombstones are kept this long, so that a tab that slept still learns of a deletion. */
const SWEEP_MS = 30 * 24 * 3600 * 1000;

/** A stored record that could not be opened: kept under `aside/`, named and exportable. */
export interface Aside {
  key: string;
  reason: string;
  detail: string;
  /** The stored text as it was found. */
  text: string;
}

export interface Loaded {
  entities: Entities;
  aside: Aside[];
  /** No record of any kind was stored, not even a tombstone. */
  empty: boolean;
  /** Of every stored record, by key, the revision that was read. */
  revisions: Map<string, number>;
}

/** A record as it is stored after a write; null where it was deleted. */
export interface Written {
  kind: Kind;
  id: string;
  rev: number;
  /** The revision it was written upon; 0 where there was none. */
  base: number;
  data: unknown;
}

/** What is stored was written by a newer version of the app: this one must not write over it. */
export class NewerStored extends Error {
  constructor(readonly key: string) {
    super(`newer: ${key}`);
    this.name = 'NewerStored';
  }
}

function touched(patches: readonly Patch[]): { kind: Kind; id: string }[] {
  const keys = new Map(patches.map((patch) => [keyOf(String(patch.path[0]), String(patch.path[1])), { kind: patch.path[0] as Kind, id: String(patch.path[1]) }]));
  return [...keys.values()];
}

/** Patches onto the records as they are stored now; a patch whose place is gone takes this tab's own copy of that record. */
function patched(stored: Entities, patches: readonly Patch[], own: Entities): Entities {
  let entities = stored;
  for (const { kind, id } of touched(patches)) {
    const mine = patches.filter((patch) => patch.path[0] === kind && String(patch.path[1]) === id);
    try {
      entities = applyPatches(entities, mine as Patch[]);
    } catch {
      const copy = own[kind][id];
      const table = { ...entities[kind] } as Record<string, unknown>;
      if (copy === undefined) delete table[id];
      else table[id] = copy;
      entities = { ...entities, [kind]: table };
    }
  }
  return entities;
}

/**
 * Writes a change: under one lock it reads the touched records as they are now, applies this tab's patches, and stores
 * them in one transaction. Deleting writes a tombstone in that same transaction, which keeps what the record was. Gives the records as they are stored now.
 * Throws what storage throws, and `NewerStored`; then nothing was written.
 */
export async function commit(storage: KeyStore, locks: Locks, patches: readonly Patch[], own: Entities, now: number): Promise<Written[]> {
  if (patches.length === 0) return [];
  return locks.request(LOCK, async () => {
    const records = touched(patches);
    const texts = await storage.getMany(records.map(({ kind, id }) => keyOf(kind, id)));
    const base = noEntities();
    const revisions = new Map<string, number>();
    for (const { kind, id } of records) {
      const key = keyOf(kind, id);
      const envelope = texts[key] ? readEnvelope(texts[key]) : null;
      if (envelope && envelope.v > KINDS[kind].version) throw new NewerStored(key);
      revisions.set(key, envelope?.rev ?? 0);
      const data = envelope && !envelope.gone ? migrate(kind, envelope.v, envelope.data) : null;
      if (data?.ok) (base[kind] as Record<string, unknown>)[id] = data.data;
    }
    const next = patched(base, patches, own);
    const entries: Record<string, string> = {};
    const written = records.map(({ kind, id }): Written => {
      const key = keyOf(kind, id);
      const data = next[kind][id];
      const rev = revisions.get(key)! + 1;
      const was = base[kind][id] as { demo?: boolean } | undefined;
      const envelope: Envelope = { v: KINDS[kind].version, id, rev, at: now, ...(data === undefined ? { gone: true as const } : {}), data: data ?? (was && !was.demo ? was : null) };
      entries[key] = JSON.stringify(envelope);
      return { kind, id, rev, base: rev - 1, data: data ?? null };
    });
    await storage.setMany(entries);
    return written;
  });
}

/** Records as they are stored now, by key; one that is not there, or cannot be read, is left out. */
export async function readStored(storage: KeyStore, keys: readonly string[]): Promise<Written[]> {
  const texts = await storage.getMany([...keys]);
  return keys.flatMap((key): Written[] => {
    const envelope = texts[key] ? readEnvelope(texts[key]) : null;
    const { kind, id } = splitKey(key);
    if (!envelope) return [];
    const read = envelope.gone ? { ok: true as const, data: null } : migrate(kind, envelope.v, envelope.data);
    return read.ok ? [{ kind: kind as Kind, id, rev: envelope.rev, base: envelope.rev, data: read.data }] : [];
  });
}

/** Reads every record; what fails its schema or migration is set aside by name and the rest opens. Old tombstones are swept. */
export async function load(storage: KeyStore, locks: Locks, now: number): Promise<Loaded> {
  return locks.request(LOCK, async () => {
    const stored = await storage.getAllKeys();
    // Pictures are read one at a time, when they are looked at.
    const keys = stored.filter((key) => !key.startsWith(BLOB));
    const texts = await storage.getMany(keys);
    const entities = noEntities();
    const aside: Aside[] = [];
    const moved: Record<string, string> = {};
    const revisions = new Map<string, number>();
    for (const key of keys) {
      const text = texts[key];
      if (!text) continue;
      if (key.startsWith(ASIDE)) {
        aside.push(asideOf(key, text));
        continue;
      }
      const { kind, id } = splitKey(key);
      const envelope = readEnvelope(text);
      if (envelope) revisions.set(key, envelope.rev);
      if (envelope?.gone) continue;
      const result = envelope ? migrate(kind, envelope.v, envelope.data) : ({ ok: false, reason: 'schema', detail: 'envelope' } as const);
      if (result.ok) (entities[kind as Kind] as Record<string, unknown>)[id] = result.data;
      else if (!texts[`${ASIDE}${key}`]) {
        const item: Aside = { key, reason: result.reason, detail: result.detail, text };
        aside.push(item);
        moved[`${ASIDE}${key}`] = JSON.stringify(item);
      }
    }
    if (Object.keys(moved).length > 0) await storage.setMany(moved);
    const old = [...sweepable(texts, now), ...orphans(stored, texts, now)];
    if (old.length > 0) await storage.removeMany(old);
    return { entities, aside, empty: keys.length === 0, revisions };
  });
}

/** What was set aside; an entry that is damaged itself is named like any other. */
function asideOf(key: string, text: string): Aside {
  try {
    const item = JSON.parse(text) as Partial<Aside> | null;
    if (item && [item.key, item.reason, item.detail, item.text].every((part) => typeof part === 'string')) return item as Aside;
  } catch {
    // It is told below.
  }
  return { key: key.slice(ASIDE.length), reason: 'schema', detail: 'envelope', text };
}

/** Keys of tombstones older than 30 days. */
function sweepable(texts: Record<string, string | null>, now: number): string[] {
  return Object.entries(texts).flatMap(([key, text]) => {
    const envelope = text ? readEnvelope(text) : null;
    return envelope?.gone && now - envelope.at > SWEEP_MS ? [key] : [];
  });
}

const DAY_MS = 24 * 3600 * 1000;

/** Pictures whose record is gone, a day after it went, so that undo and a slow tab still find them; an id carries the time it was made. */
function orphans(keys: readonly string[], texts: Record<string, string | null>, now: number): string[] {
  return keys.filter((key) => {
    if (!key.startsWith(BLOB)) return false;
    const id = key.slice(BLOB.length);
    const text = texts[keyOf('photo', id)];
    const envelope = text ? readEnvelope(text) : null;
    if (envelope) return envelope.gone === true && now - envelope.at > DAY_MS;
    return now - madeAt(id) > DAY_MS;
  });
}

/** Milliseconds since 1970 that a UUIDv7 begins with; 0 for another id. */
function madeAt(id: string): number {
  const hex = /_([0-9a-f]{8})-([0-9a-f]{4})-7/.exec(id);
  return hex ? parseInt(hex[1]! + hex[2]!, 16) : 0;
}

/** What was set aside as one file: every stored text as it was found, and why it could not be opened. */
export function asideFile(items: readonly Aside[]): string {
  return `${JSON.stringify({ aubade: 'set-aside', version: 1, items }, null, 2)}\n`;
}
