import { isOwner, ownKeys, type Carried, type EventOp, type PhotoRecord } from '@/records';
import {
  collectionFile,
  mergeBackup,
  onlyOf,
  opsToReplace,
  planBackup,
  replaceByBackup,
  type Backup,
  type BackupPlan,
  type CollectionAsked,
  type CollectionFile,
} from '@/records/backup';
import { keysThatGo, type Goes } from '@/records/hand-over';
import { act, nowOf } from './act';
import { storePicture } from './photos';
import { newIn } from './records-file';
import { BLOB, keyOf, splitKey } from './storage/envelope';
import { readOps } from './storage/events';
import type { Store } from './store';

/** How a backup is taken: joined with what is here, or in its place. */
export type RestoreHow = 'merge' | 'replace';

/** Every entry of some ledgers, those that wait to be stored as well. */
async function opsOf({ ports, persistence }: Store, owners: readonly string[]): Promise<EventOp[]> {
  const of = owners.map(splitKey).flatMap(({ kind, id }) => (isOwner(kind) ? [{ kind, owner: id }] : []));
  const ops = new Map((await readOps(ports.storage, of)).map((op) => [keyOf(op.kind, keyOf(op.owner, op.id)), op]));
  const wanted = new Set(owners);
  for (const op of persistence.current?.unwritten() ?? [])
    if (wanted.has(keyOf(op.kind, op.owner))) {
      const key = keyOf(op.kind, keyOf(op.owner, op.id));
      if (op.on) ops.set(key, op);
      else ops.delete(key);
    }
  return [...ops.values()];
}

/** What a backup of all that is the tier's own would hold, but for the pictures. */
export async function planOwnBackup(store: Store, app: string): Promise<BackupPlan> {
  const { getState, clocks, ports } = store;
  const { entities } = getState().records;
  const keys = ownKeys(entities);
  return planBackup({ entities, clocks, keys, events: await opsOf(store, keys), made: nowOf(getState(), ports), app });
}

/** One collection of the tier's own as a file of a form. */
export async function writeCollection(
  store: Store,
  asked: CollectionAsked,
  words: { title: string; abstract: string },
): Promise<CollectionFile> {
  const { getState, clocks, ports } = store;
  const { entities } = getState().records;
  const keys = ownKeys(entities);
  return collectionFile(
    asked,
    { entities: onlyOf(entities, keys), clocks, events: await opsOf(store, keys) },
    { ...words, made: nowOf(getState(), ports).slice(0, 10) },
  );
}

/** What goes to another device, but for the pictures; null when that is nothing. */
export async function planHandOver(store: Store, goes: Goes, app: string): Promise<BackupPlan | null> {
  const { getState, clocks, ports } = store;
  const { entities } = getState().records;
  const keys = keysThatGo(entities, clocks, goes);
  if (keys.length === 0) return null;
  const events = await opsOf(store, keys);
  return planBackup({ entities, clocks, keys, events, made: nowOf(getState(), ports), app, whole: false });
}

/** What taking a backup would be given: of its ledgers what is not here yet, or what makes them those of the backup. */
export async function readyToTake(
  store: Store,
  carried: Carried,
  how: RestoreHow,
): Promise<{ carried: Carried; ops: EventOp[] }> {
  if (how === 'merge') return { carried: await newIn(store, carried), ops: [] };
  const owners = carried.records.map(({ kind, id }) => keyOf(kind, id));
  return { carried, ops: opsToReplace(carried, await opsOf(store, owners)) };
}

/** Pictures of a backup that are not on this device, by photo. */
export async function picturesMissing(
  { ports }: Store,
  { carried, pictures }: Backup,
): Promise<{ id: string; path: string; type: string }[]> {
  const stored = new Set(await ports.storage.getAllKeys());
  return carried.records.flatMap(({ kind, id, data }) =>
    kind === 'photo' && pictures[id] !== undefined && !stored.has(BLOB + id)
      ? [{ id, path: pictures[id], type: (data as PhotoRecord).type }]
      : [],
  );
}

/**
 * Takes a backup that was read, as one change that undo takes back: first the pictures it has at hand, those of the archive being stored already, or given as
 * `pictures`. Rejects when the browser has no room for one; then no record was changed.
 */
export async function takeBackup(
  store: Store,
  { carried, inline }: Backup,
  how: RestoreHow,
  pictures: Readonly<Record<string, string>> = {},
): Promise<void> {
  const { photo } = store.getState().records.entities;
  // A picture that was measured here is the one its measures are of.
  for (const [id, url] of Object.entries({ ...inline, ...pictures }))
    if (!photo[id]?.overlay) await storePicture(store.ports, id, url);
  const ready = await readyToTake(store, carried, how);
  store.dispatch(how === 'merge' ? act(mergeBackup, ready) : act(replaceByBackup, ready));
}
