import {
  entriesOf,
  isOwner,
  KINDS,
  LEDGERS,
  migrate,
  noEntities,
  TALLY,
  withoutTally,
  type Clocks,
  type Entities,
  type EventOp,
  type Kind,
  type OwnerKind,
  type Tally,
} from '@/records';
import type { KeyStore, Locks } from '../ports';
import { LOCK } from './commit';
import {
  ASIDE,
  BLOB,
  clocksOf,
  EVENTS,
  isThing,
  keyOf,
  readEnvelope,
  splitKey,
  SUM,
  UNDO,
  type Envelope,
} from './envelope';
import { countAgain, entering, ownerOf, readSum, sumKey, type Summed } from './events';

/** Tombstones are kept this long, so that a tab that slept still learns of a deletion. */
const SWEEP_MS = 30 * 24 * 3600 * 1000;

/** A stored record that could not be opened: kept under `aside/`, named and exportable. */
export interface Quarantined {
  key: string;
  reason: string;
  detail: string;
  /** The stored text as it was found. */
  text: string;
}

export interface Loaded {
  entities: Entities;
  /** Of every record, by key, when its parts were edited. */
  clocks: Map<string, Clocks>;
  aside: Quarantined[];
  /** No record of any kind was stored, not even a tombstone. */
  empty: boolean;
  /** Of every stored record and sum, by key, the revision that was read. */
  revisions: Map<string, number>;
}

/** What an opening finds. */
interface Found extends Loaded {
  events: EventOp[];
  /** Records that hold their ledger inside, or are entries of one: stored anew without it. */
  old: { key: string; envelope: Envelope; data: object | null }[];
  sums: Map<string, Tally>;
  texts: Record<string, string | null>;
  moved: Record<string, string>;
}

function open(keys: readonly string[], texts: Record<string, string | null>): Found {
  const found: Found = {
    entities: noEntities(),
    clocks: new Map(),
    aside: [],
    empty: keys.length === 0,
    revisions: new Map(),
    events: [],
    old: [],
    sums: new Map(),
    texts,
    moved: {},
  };
  for (const key of keys) {
    const text = texts[key];
    if (!text) continue;
    if (key.startsWith(ASIDE)) {
      found.aside.push(asideOf(key, text));
      continue;
    }
    const envelope = readEnvelope(text);
    if (envelope) found.revisions.set(key, envelope.rev);
    if (key.startsWith(SUM)) {
      const [owner, sum] = [ownerOf(key), readSum(text)];
      if (owner && sum) found.sums.set(keyOf(owner.kind, owner.owner), sum.tally);
      continue;
    }
    const { kind, id } = splitKey(key);
    if (envelope) found.clocks.set(key, clocksOf(envelope));
    if (envelope?.gone) continue;
    const entries = envelope && entriesOf(kind, envelope.data, id);
    if (entries) {
      found.events.push(...entries);
      found.old.push({ key, envelope, data: null });
      continue;
    }
    const result = envelope
      ? migrate(kind, envelope.v, envelope.data, id)
      : ({ ok: false, reason: 'schema', detail: 'envelope' } as const);
    if (result.ok) {
      (found.entities[kind as Kind] as Record<string, unknown>)[id] = result.data;
      if (result.events.length > 0)
        found.old.push({ key, envelope: envelope!, data: withoutTally(result.data as object) });
      found.events.push(...result.events);
    } else if (!texts[`${ASIDE}${key}`]) {
      const item: Quarantined = { key, reason: result.reason, detail: result.detail, text };
      found.aside.push(item);
      found.moved[`${ASIDE}${key}`] = JSON.stringify(item);
    }
  }
  return found;
}

/** Stores ledgers apart that lay inside their records, and works out sums that are not there; the sums that came of it. */
async function takeApart(
  storage: KeyStore,
  { events, old, sums }: Found,
  stored: readonly string[],
  now: number,
): Promise<Summed[]> {
  const owners = new Map(
    stored.flatMap((key) => {
      const owner = key.startsWith(EVENTS) ? ownerOf(key) : null;
      return owner && !sums.has(keyOf(owner.kind, owner.owner))
        ? [[keyOf(owner.kind, owner.owner), owner] as const]
        : [];
    }),
  );
  // Sums first: what is entered adds to them.
  const counted = owners.size > 0 ? await countAgain(storage, [...owners.values()], now) : { entries: {}, sums: [] };
  if (owners.size > 0) await storage.setMany(counted.entries);
  if (events.length === 0) return counted.sums;
  const entered = await entering(storage, events, now);
  const anew = Object.fromEntries(
    old
      .filter(({ data }) => data !== null)
      .map(({ key, envelope, data }) => [
        key,
        JSON.stringify({
          ...envelope,
          v: KINDS[splitKey(key).kind as Kind].version,
          rev: envelope.rev + 1,
          clocks: clocksOf(envelope),
          data,
        } satisfies Envelope),
      ]),
  );
  const eyes = entered.sums
    .filter(({ kind }) => kind === 'eye')
    .map(({ owner }) => [
      keyOf('eye', owner),
      JSON.stringify({
        v: KINDS.eye.version,
        id: owner,
        rev: 1,
        at: now,
        clocks: { '': now },
        data: { demo: false },
      } satisfies Envelope),
    ]);
  const there = await storage.getMany(eyes.map(([key]) => key!));
  await storage.setMany({ ...entered.entries, ...anew, ...Object.fromEntries(eyes.filter(([key]) => !there[key!])) });
  const gone = old.filter(({ data }) => data === null).map(({ key }) => key);
  if (gone.length > 0) await storage.removeMany(gone);
  return [...counted.sums, ...entered.sums];
}

/** Reads every record and what its ledger comes to; what fails its schema or migration is set aside by name and the rest opens. Events and pictures are not read. Old tombstones are swept. */
export async function load(storage: KeyStore, locks: Locks, now: number): Promise<Loaded> {
  return locks.request(LOCK, async () => {
    const stored = await storage.getAllKeys();
    const keys = stored.filter(isThing);
    const found = open(keys, await storage.getMany(keys));
    if (Object.keys(found.moved).length > 0) await storage.setMany(found.moved);
    for (const { kind, owner, tally, rev } of await takeApart(storage, found, stored, now)) {
      found.sums.set(keyOf(kind, owner), tally);
      found.revisions.set(sumKey(kind, owner), rev);
      if (kind === 'eye') found.entities.eye[owner] ??= KINDS.eye.schema.cast({});
    }
    for (const { key, envelope, data } of found.old) if (data) found.revisions.set(key, envelope.rev + 1);
    const { entities } = found;
    for (const kind of Object.keys(LEDGERS) as OwnerKind[]) {
      for (const [id, record] of Object.entries(entities[kind]))
        (entities[kind] as Record<string, unknown>)[id] = {
          ...record,
          [TALLY]: found.sums.get(keyOf(kind, id)) ?? LEDGERS[kind].none,
        };
    }
    const old = [...sweepable(found.texts, stored, now), ...orphans(stored, found.texts, now)];
    if (old.length > 0) await storage.removeMany(old);
    return { entities, clocks: found.clocks, aside: found.aside, empty: found.empty, revisions: found.revisions };
  });
}

/** What was set aside; an entry that is damaged itself is named like any other. */
function asideOf(key: string, text: string): Quarantined {
  try {
    const item = JSON.parse(text) as Partial<Quarantined> | null;
    if (item && [item.key, item.reason, item.detail, item.text].every((part) => typeof part === 'string'))
      return item as Quarantined;
  } catch {
    // It is told below.
  }
  return { key: key.slice(ASIDE.length), reason: 'schema', detail: 'envelope', text };
}

/** Keys of tombstones older than 30 days, and of what their ledgers held. */
function sweepable(texts: Record<string, string | null>, stored: readonly string[], now: number): string[] {
  const old = new Set(
    Object.entries(texts).flatMap(([key, text]) => {
      const envelope = text ? readEnvelope(text) : null;
      return envelope?.gone && now - envelope.at > SWEEP_MS ? [key] : [];
    }),
  );
  if (![...old].some((key) => isOwner(splitKey(key).kind))) return [...old];
  const ledgers = stored.filter((key) => {
    const owner = ownerOf(key);
    return owner !== null && old.has(keyOf(owner.kind, owner.owner));
  });
  return [...old, ...ledgers];
}

const DAY_MS = 24 * 3600 * 1000;

/** Pictures whose record is gone, a day after it went, so that undo and a slow tab still find them, and changes of tabs that closed a day ago; an id carries the time it was made. */
function orphans(keys: readonly string[], texts: Record<string, string | null>, now: number): string[] {
  return keys.filter((key) => {
    if (key.startsWith(UNDO)) return now - madeAt(key.slice(UNDO.length)) > DAY_MS;
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
export function asideFile(items: readonly Quarantined[]): string {
  return `${JSON.stringify({ aubade: 'set-aside', version: 1, items }, null, 2)}\n`;
}
