import { isOwner, ownKeys, recordsFile, type Carried } from '@/records';
import { readOps, unentered } from './storage/events';
import { keyOf, splitKey } from './storage/envelope';
import type { Store } from './store';

/** Records as one file, with the entries of their ledgers that are stored or wait to be: those named, or all of the tier's own. */
export async function writeRecords(
  { getState, ports, clocks, persistence }: Store,
  keys: readonly string[] | null,
): Promise<string> {
  const { entities } = getState().records;
  const wanted = keys ?? ownKeys(entities);
  const waiting = persistence.current?.unwritten() ?? [];
  // What is named is what could not be stored: of its ledger only what waits is missing.
  const stored =
    keys === null
      ? await readOps(
          ports.storage,
          wanted.map(splitKey).flatMap(({ kind, id }) => (isOwner(kind) ? [{ kind, owner: id }] : [])),
        )
      : [];
  return recordsFile(entities, clocks, wanted, [...stored, ...waiting]);
}

/** What of a read file is not here yet: entries of ledgers that are in them already, and those taken out of them again, are left out. */
export async function newIn({ ports, persistence }: Store, { records, events }: Carried): Promise<Carried> {
  const waiting = new Set(
    (persistence.current?.unwritten() ?? []).map(({ kind, owner, id }) => keyOf(kind, keyOf(owner, id))),
  );
  return {
    records,
    events: await unentered(
      ports.storage,
      events.filter(({ kind, owner, id }) => !waiting.has(keyOf(kind, keyOf(owner, id)))),
    ),
  };
}
