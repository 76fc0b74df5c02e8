import { migrate, type Kind } from '@/records';
import type { KeyStore, Locks } from '../ports';
import { LOCK } from './commit';
import { ASIDE, BLOB, readEnvelope, splitKey, type Envelope } from './envelope';

/** Records that were deleted by one change and can come back together. */
export interface Deleted {
  /** When, ms since 1970. */
  at: number;
  records: { kind: Kind; id: string; data: unknown }[];
}

async function tombstones(storage: KeyStore): Promise<{ key: string; envelope: Envelope }[]> {
  const keys = (await storage.getAllKeys()).filter((key) => !key.startsWith(BLOB) && !key.startsWith(ASIDE));
  const texts = await storage.getMany(keys);
  return keys.flatMap((key) => {
    const envelope = texts[key] ? readEnvelope(texts[key]) : null;
    return envelope?.gone && envelope.data !== null ? [{ key, envelope }] : [];
  });
}

/** What was deleted and is still kept, the newest first; one that this version cannot read is left out. Rejects with what storage rejects with. */
export async function readDeleted(storage: KeyStore): Promise<Deleted[]> {
  const found = new Map<number, Deleted>();
  for (const { key, envelope } of await tombstones(storage)) {
    const { kind, id } = splitKey(key);
    const read = migrate(kind, envelope.v, envelope.data);
    if (!read.ok) continue;
    const together = found.get(envelope.at) ?? { at: envelope.at, records: [] };
    together.records.push({ kind: kind as Kind, id, data: read.data });
    found.set(envelope.at, together);
  }
  return [...found.values()].sort((a, b) => b.at - a.at);
}

/** Forgets for good what deleted records were; that they are deleted stays, so that a tab that slept still learns of it. */
export async function letGo(storage: KeyStore, locks: Locks): Promise<void> {
  await locks.request(LOCK, async () => {
    const all = await tombstones(storage);
    if (all.length > 0) await storage.setMany(Object.fromEntries(all.map(({ key, envelope }) => [key, JSON.stringify({ ...envelope, data: null })])));
  });
}
