import { type Patch } from 'immer';
import { type Entities, type Kind } from '@/records';
import type { Store } from '../store';
import { notWritten, saving, type Unwritten } from '../session';
import { commit, NewerStored, readStored, type Written } from './commit';
import { keyOf } from './envelope';
import { applySafely, heard } from './slice';

const WRITE_AFTER_MS = 150;
const WRITE_AT_MOST_MS = 500;
/** A write that failed is tried again after a second, then after twice as long each time, up to a minute. */
const RETRY_MS = [1000, 60_000] as const;

/** Keeps storage, and other tabs, in step with what the screen shows. None of its promises rejects. */
export interface Keeper {
  /** Writes what waits, now. */
  flush(): Promise<void>;
  /** Looks whether all that was kept is still stored, writes again what is not, and tries what failed: for a page that is seen again. */
  look(): Promise<void>;
  close(): void;
}

/** What a tab tells the others: which records it wrote, and the revision each has now. */
interface Told {
  written: { key: string; rev: number }[];
}

function whyOf(error: unknown): Unwritten {
  if (error instanceof NewerStored) return 'newer';
  const { name, message } = error as Error;
  return /quota/i.test(`${name} ${message}`) ? 'full' : 'refused';
}

const keyOfPatch = ({ path }: Patch) => keyOf(String(path[0]), String(path[1]));

/** Patches by which every record that is there would be written anew. */
function whole(entities: Entities, wanted: (key: string) => boolean): Patch[] {
  return (Object.keys(entities) as Kind[]).flatMap((kind) => Object.entries(entities[kind]).flatMap(([id, value]): Patch[] => (wanted(keyOf(kind, id)) ? [{ op: 'add', path: [kind, id], value }] : [])));
}

/** Writes 150 ms after the last change and at most 500 ms after the first; what fails stays pending and is tried again. `revisions` are those of the opening. */
export function keepStored(store: Store, revisions: Map<string, number>): Keeper {
  const { ports } = store;
  let pending: Patch[] = [];
  let flying: Patch[] = [];
  let timer: ReturnType<typeof setTimeout> | null = null;
  let firstAt = 0;
  let failures = 0;
  let writing: Promise<void> = Promise.resolve();
  let closed = false;

  const entities = () => store.getState().records.entities;
  const wait = (ms: number) => {
    if (timer !== null) clearTimeout(timer);
    timer = closed ? null : setTimeout(() => void flush(), ms);
  };

  /** Shows records as storage has them, with what of this tab is not written yet on top. */
  const show = (records: readonly Written[]) => {
    const open = [...flying, ...pending];
    store.dispatch(heard(records.map(({ kind, id, data }) => {
      const own = open.filter((patch) => keyOfPatch(patch) === keyOf(kind, id));
      if (own.length === 0) return { kind, id, data };
      const base = { ...entities(), [kind]: data === null ? {} : { [id]: data } } as Entities;
      return { kind, id, data: applySafely(base, own)[kind][id] ?? null };
    })));
  };

  const write = async (): Promise<void> => {
    if (pending.length === 0) return;
    flying = pending;
    pending = [];
    try {
      const written = await commit(ports.storage, ports.locks, flying, entities(), ports.now());
      flying = [];
      failures = 0;
      // Another tab wrote in between: what it wrote is shown, and what this one has not written yet.
      const others = written.filter(({ kind, id, base }) => base !== (revisions.get(keyOf(kind, id)) ?? 0));
      for (const { kind, id, rev } of written) revisions.set(keyOf(kind, id), rev);
      if (others.length > 0) show(others);
      ports.channel.post({ written: written.map(({ kind, id, rev }) => ({ key: keyOf(kind, id), rev })) } satisfies Told);
      const { unkept } = store.getState().session;
      if (unkept) store.dispatch(notWritten(null));
      if (pending.length === 0) store.dispatch(saving(true));
      // Storage was emptied under the open page: what it held is written again.
      if (others.some(({ base }) => base === 0)) await restore();
    } catch (error) {
      pending = [...flying, ...pending];
      flying = [];
      failures++;
      store.dispatch(notWritten({ keys: [...new Set(pending.map(keyOfPatch))], why: whyOf(error) }));
      wait(Math.min(RETRY_MS[1], RETRY_MS[0] * 2 ** (failures - 1)));
    }
  };

  const flush = (): Promise<void> => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    writing = writing.then(write);
    return writing;
  };

  const enqueue = (patches: readonly Patch[]) => {
    if (patches.length === 0) return;
    if (pending.length === 0) firstAt = ports.now();
    pending = [...pending, ...patches];
    if (store.getState().session.saved) store.dispatch(saving(false));
    wait(Math.max(0, Math.min(WRITE_AFTER_MS, firstAt + WRITE_AT_MOST_MS - ports.now())));
  };

  /** Writes again what was stored once and is not any more. */
  const restore = async () => {
    // What is written while it is asked is not missed.
    const known = new Set(revisions.keys());
    const stored = new Set(await ports.storage.getAllKeys());
    const lost = whole(entities(), (key) => known.has(key) && !stored.has(key));
    for (const patch of lost) revisions.delete(keyOfPatch(patch));
    enqueue(lost);
  };

  const look = async () => {
    try {
      await restore();
    } catch {
      // A store that cannot be asked now is asked again when the next change is written.
    }
    await flush();
  };

  const hear = async (message: Told | Patch[]) => {
    // A tab of before this version tells the patches themselves: their records are read.
    const written = Array.isArray(message) ? message.map((patch) => ({ key: keyOfPatch(patch), rev: Infinity })) : message.written;
    const busy = new Set(flying.map(keyOfPatch));
    // What this tab is writing just now it reads under the lock itself.
    const news = written.filter(({ key, rev }) => rev > (revisions.get(key) ?? 0) && !busy.has(key)).map(({ key }) => key);
    if (news.length === 0) return;
    const records = await readStored(ports.storage, [...new Set(news)]);
    const newer = records.filter(({ kind, id, rev }) => rev > (revisions.get(keyOf(kind, id)) ?? 0));
    for (const { kind, id, rev } of newer) revisions.set(keyOf(kind, id), rev);
    if (newer.length > 0) show(newer);
  };

  const stopHearing = ports.channel.listen((message) => void hear(message as Told | Patch[]).catch(() => undefined));
  const stopWatching = store.onWrite(enqueue);
  return {
    flush,
    look,
    close: () => {
      closed = true;
      stopWatching();
      stopHearing();
      if (timer !== null) clearTimeout(timer);
    },
  };
}
