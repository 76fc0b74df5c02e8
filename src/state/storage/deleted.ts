import { isOwner, LEDGERS, migrate, TALLY, type Kind } from '@/records';
import type { KeyStore, Locks } from '../ports';
import { LOCK } from './commit';
import { ASIDE, isThing, readEnvelope, splitKey, type Envelope } from './envelope';
import { readSum, sumKey } from './events';

/** Records that were deleted by one change and can come back together. */
export interface Deleted {
  /** When, ms since 1970. */
  at: number;
  records: { kind: Kind; id: string; data: unknown }[];
}

async function tombstones(storage: KeyStore): Promise<{ key: string; envelope: Envelope }[]> {
  const keys = (await storage.getAllKeys()).filter((key) => isThing(key) && !key.startsWith(ASIDE));
  const texts = await storage.getMany(keys);
  return keys.flatMap((key) => {
    const envelope = texts[key] ? readEnvelope(texts[key]) : null;
    return envelope?.gone && envelope.data !== null ? [{ key, envelope }] : [];
  });
}

/** What was deleted and is still kept, the newest first; one that this version cannot read is left out. Rejects with what storage rejects with. */
export async function readDeleted(storage: KeyStore): Promise<Deleted[]> {
  const found = new Map<number, Deleted>();
  const all = await tombstones(storage);
  const sums = await storage.getMany(
    all
      .map(({ key }) => splitKey(key))
      .filter(({ kind }) => isOwner(kind))
      .map(({ kind, id }) => sumKey(kind, id)),
  );
  for (const { key, envelope } of all) {
    const { kind, id } = splitKey(key);
    const read = migrate(kind, envelope.v, envelope.data, id);
    if (!read.ok) continue;
    const together = found.get(envelope.at) ?? { at: envelope.at, records: [] };
    const data = isOwner(kind)
      ? { ...(read.data as object), [TALLY]: readSum(sums[sumKey(kind, id)])?.tally ?? LEDGERS[kind].none }
      : read.data;
    together.records.push({ kind: kind as Kind, id, data });
    found.set(envelope.at, together);
  }
  return [...found.values()].sort((a, b) => b.at - a.at);
}

/** Forgets for good what deleted records were; that they are deleted stays, so that a tab that slept still learns of it. */
export async function letGo(storage: KeyStore, locks: Locks): Promise<void> {
  await locks.request(LOCK, async () => {
    const all = await tombstones(storage);
    if (all.length > 0)
      await storage.setMany(
        Object.fromEntries(all.map(({ key, envelope }) => [key, JSON.stringify({ ...envelope, data: null })])),
      );
  });
}
