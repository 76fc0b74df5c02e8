import {
  folded,
  foldAll,
  isOwner,
  LEDGERS,
  type EventOp,
  type EventTypes,
  type OwnerKind,
  type Tally,
} from '@/records';
import type { KeyStore } from '../ports';
import { EVENTS, keyOf, readEnvelope, SUM, type Envelope } from './envelope';

/** Grows when the shape of a tally does: sums of before are then worked out anew. */
const VERSION = 1;

/** What a ledger comes to as it is stored. */
export interface Summed {
  kind: OwnerKind;
  owner: string;
  tally: Tally;
  rev: number;
  /** The revision it was written upon; 0 where there was none. */
  base: number;
}

/** A year of one owner's events; one that was taken out again stays as null, so that no one brings it back. */
type Chunk = Record<string, EventTypes[OwnerKind] | null>;

/** A stored sum; `from` is what it came to when its events were lost with the store. */
interface Sum {
  from: Tally | null;
  tally: Tally;
}

export const sumKey = (kind: string, owner: string) => `${SUM}${keyOf(kind, owner)}`;
const yearsOf = (kind: string, owner: string) => `${EVENTS}${keyOf(kind, owner)}/`;
const chunkKey = ({ kind, owner, event }: EventOp) =>
  `${yearsOf(kind, owner)}${/^\d{4}/.exec(event.at)?.[0] ?? '0000'}`;

/** Kind and id of the owner whose events or sum a key holds; null for another key. */
export function ownerOf(key: string): { kind: OwnerKind; owner: string } | null {
  const [prefix, kind, ...rest] = key.split('/');
  const owner = (prefix === EVENTS.slice(0, -1) ? rest.slice(0, -1) : prefix === SUM.slice(0, -1) ? rest : []).join(
    '/',
  );
  return kind !== undefined && isOwner(kind) && owner !== '' ? { kind, owner } : null;
}

function read<T>(text: string | null | undefined): { data: T; rev: number } | null {
  const envelope = text ? readEnvelope(text) : null;
  return envelope && envelope.v === VERSION ? { data: envelope.data as T, rev: envelope.rev } : null;
}

/** Reads a stored sum; null when there is none, or one of another version. */
export function readSum(text: string | null | undefined): { tally: Tally; rev: number } | null {
  const sum = read<Sum>(text);
  return sum && { tally: sum.data.tally, rev: sum.rev };
}

const written = (id: string, rev: number, at: number, data: unknown) =>
  JSON.stringify({ v: VERSION, id, rev, at, data } satisfies Envelope);

/** Every event of some owners, by id; one that was taken out again is left out. */
export async function readEvents(
  storage: KeyStore,
  owners: readonly { kind: OwnerKind; owner: string }[],
): Promise<Map<string, Record<string, EventTypes[OwnerKind]>>> {
  const wanted = new Set(owners.map(({ kind, owner }) => keyOf(kind, owner)));
  const found = new Map<string, Record<string, EventTypes[OwnerKind]>>([...wanted].map((key) => [key, {}]));
  if (wanted.size === 0) return found;
  const keys = (await storage.getAllKeys()).filter((key) => {
    const own = key.startsWith(EVENTS) ? ownerOf(key) : null;
    return own !== null && wanted.has(keyOf(own.kind, own.owner));
  });
  const texts = await storage.getMany(keys);
  for (const key of keys) {
    const { kind, owner } = ownerOf(key)!;
    const chunk = read<Chunk>(texts[key]);
    for (const [id, event] of Object.entries(chunk?.data ?? {}))
      if (event !== null) found.get(keyOf(kind, owner))![id] = event;
  }
  return found;
}

/** Every entry of the ledgers of some owners as it was made; one that was taken out again is left out. */
export async function readOps(
  storage: KeyStore,
  owners: readonly { kind: OwnerKind; owner: string }[],
): Promise<EventOp[]> {
  const found = await readEvents(storage, owners);
  return owners.flatMap(({ kind, owner }) =>
    Object.entries(found.get(keyOf(kind, owner)) ?? {}).map(
      ([id, event]) => ({ kind, owner, id, on: true, event }) as EventOp,
    ),
  );
}

/** Of entries that a file has, those that change a ledger: what was taken out of it stays out. */
export async function unentered(storage: KeyStore, ops: readonly EventOp[]): Promise<EventOp[]> {
  const texts = await storage.getMany([...new Set(ops.map(chunkKey))]);
  const chunks = new Map(Object.entries(texts).map(([key, text]) => [key, read<Chunk>(text)?.data]));
  return ops.filter((op) => {
    const there = chunks.get(chunkKey(op))?.[op.id];
    return op.on ? there === undefined : there !== null && there !== undefined;
  });
}

/** What entering some events would store, and what the ledgers come to then: one that is there is not entered twice. To be written under the lock it is asked under. */
export async function entering(
  storage: KeyStore,
  ops: readonly EventOp[],
  now: number,
): Promise<{ entries: Record<string, string>; sums: Summed[] }> {
  const owners = [...new Map(ops.map(({ kind, owner }) => [keyOf(kind, owner), { kind, owner }])).values()];
  const texts = await storage.getMany([
    ...new Set([...ops.map(chunkKey), ...owners.map(({ kind, owner }) => sumKey(kind, owner))]),
  ]);
  const chunks = new Map<string, { data: Chunk; rev: number }>();
  const sums = new Map(owners.map(({ kind, owner }) => [keyOf(kind, owner), read<Sum>(texts[sumKey(kind, owner)])]));
  const tallies = new Map<string, Tally>(
    owners.map(({ kind, owner }) => [
      keyOf(kind, owner),
      sums.get(keyOf(kind, owner))?.data.tally ?? LEDGERS[kind].none,
    ]),
  );
  const anew = new Set<string>();
  for (const op of ops) {
    const key = chunkKey(op);
    const chunk = chunks.get(key) ?? { rev: 0, ...read<Chunk>(texts[key]), data: { ...read<Chunk>(texts[key])?.data } };
    chunks.set(key, chunk);
    const there = chunk.data[op.id] ?? null;
    if (op.on === (there !== null)) continue;
    chunk.data[op.id] = op.on ? op.event : null;
    const owner = keyOf(op.kind, op.owner);
    if (op.on) tallies.set(owner, folded(tallies.get(owner)!, op));
    else anew.add(owner);
  }
  // What a tally was before its latest entry only the ledger knows.
  const whole = await readEvents(
    storage,
    owners.filter(({ kind, owner }) => anew.has(keyOf(kind, owner))),
  );
  for (const [owner, events] of whole) {
    const { kind } = owners.find((item) => keyOf(item.kind, item.owner) === owner)!;
    for (const [key, chunk] of chunks) {
      const own = ownerOf(key)!;
      if (keyOf(own.kind, own.owner) === owner)
        for (const [id, event] of Object.entries(chunk.data))
          if (event === null) delete events[id];
          else events[id] = event;
    }
    tallies.set(owner, foldAll(kind, events, sums.get(owner)?.data.from));
  }
  const entries: Record<string, string> = {};
  for (const [key, chunk] of chunks) entries[key] = written(key, chunk.rev + 1, now, chunk.data);
  return {
    entries: Object.assign(
      entries,
      ...owners.map(({ kind, owner }) => ({
        [sumKey(kind, owner)]: written(owner, (sums.get(keyOf(kind, owner))?.rev ?? 0) + 1, now, {
          from: sums.get(keyOf(kind, owner))?.data.from ?? null,
          tally: tallies.get(keyOf(kind, owner)),
        }),
      })),
    ),
    sums: owners.map(({ kind, owner }) => {
      const base = sums.get(keyOf(kind, owner))?.rev ?? 0;
      return { kind, owner, tally: tallies.get(keyOf(kind, owner))!, rev: base + 1, base };
    }),
  };
}

/** What storing sums would write whose events were lost with the store: what they came to is where they go on from. */
export function sumsAlone(
  sums: readonly { kind: OwnerKind; owner: string; tally: Tally }[],
  now: number,
): Record<string, string> {
  return Object.fromEntries(
    sums.map(({ kind, owner, tally }) => [
      sumKey(kind, owner),
      written(owner, 1, now, { from: tally, tally } satisfies Sum),
    ]),
  );
}

/** Works out anew what the ledgers of some owners come to, from their events. */
export async function countAgain(
  storage: KeyStore,
  owners: readonly { kind: OwnerKind; owner: string }[],
  now: number,
): Promise<{ entries: Record<string, string>; sums: Summed[] }> {
  const events = await readEvents(storage, owners);
  const sums = owners.map(({ kind, owner }): Summed => ({
    kind,
    owner,
    tally: foldAll(kind, events.get(keyOf(kind, owner)) ?? {}),
    rev: 1,
    base: 0,
  }));
  return {
    entries: Object.fromEntries(
      sums.map(({ kind, owner, tally }) => [sumKey(kind, owner), written(owner, 1, now, { from: null, tally })]),
    ),
    sums,
  };
}
