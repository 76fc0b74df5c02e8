import equal from 'fast-deep-equal';
import {
  folded,
  LEDGERS,
  lives,
  mendedBy,
  mergeCopies,
  TALLY,
  withoutTally,
  type EventOp,
  type Kind,
  type OwnerKind,
  type Tally,
} from '@/records';
import type { Store } from '../store';
import { notWritten, saving, type Unwritten } from '../session';
import { commit, NewerStored, readStored, type Mine, type Written } from './commit';
import { keyOf, splitKey, SUM } from './envelope';
import { ownerOf, sumKey, type Summed } from './events';
import { persistHistory } from './history';
import { heard, type Heard } from './slice';

const WRITE_AFTER_MS = 150;
const WRITE_AT_MOST_MS = 500;
/** A write that failed is tried again after a second, then after twice as long each time, up to a minute. */
const RETRY_MS = [1000, 60_000] as const;

/** Keeps storage, and other tabs, in step with what the screen shows. None of its promises rejects. */
export interface Persistence {
  /** Writes what waits, now. */
  flush(): Promise<void>;
  /** Looks whether all that was kept is still stored, writes again what is not, and tries what failed: for a page that is seen again. */
  look(): Promise<void>;
  /** Events that wait to be written. */
  unwritten(): readonly EventOp[];
  close(): void;
}

/** What a tab tells the others: which records and sums it wrote, and the revision each has now. */
interface Told {
  written: { key: string; rev: number }[];
}

/** What waits to be written: records by key with the time of their first edit, events, and sums whose events are lost. */
interface Waiting {
  records: Map<string, number>;
  events: EventOp[];
  sums: Map<string, { kind: OwnerKind; owner: string }>;
}

const nothing = (): Waiting => ({ records: new Map(), events: [], sums: new Map() });
const isEmpty = ({ records, events, sums }: Waiting) => records.size + events.length + sums.size === 0;

/** What waited first and what came since, as one. */
function both(first: Waiting, later: Waiting): Waiting {
  return {
    records: new Map([...later.records, ...first.records]),
    events: [...first.events, ...later.events],
    sums: new Map([...first.sums, ...later.sums]),
  };
}

function whyOf(error: unknown): Unwritten {
  if (error instanceof NewerStored) return 'newer';
  const { name, message } = error as Error;
  return /quota/i.test(`${name} ${message}`) ? 'full' : 'refused';
}

/** Keys of the records that something waits for. */
function keysOf({ records, events, sums }: Waiting): string[] {
  return [
    ...new Set([
      ...records.keys(),
      ...events.map(({ kind, owner }) => keyOf(kind, owner)),
      ...[...sums.values()].map(({ kind, owner }) => keyOf(kind, owner)),
    ]),
  ];
}

/** Writes 150 ms after the last change and at most 500 ms after the first; what fails stays pending and is tried again. `revisions` are those of the opening. */
export function persist(store: Store, revisions: Map<string, number>): Persistence {
  const { ports, clocks } = store;
  let pending = nothing();
  let flying = nothing();
  let timer: ReturnType<typeof setTimeout> | null = null;
  let firstAt = 0;
  let failures = 0;
  let writing: Promise<void> = Promise.resolve();
  let closed = false;
  const history = persistHistory(ports);

  const entities = () => store.getState().records.entities;
  const recordOf = (kind: string, id: string) => (entities()[kind as Kind]?.[id] ?? null) as object | null;
  const tallyOf = (kind: OwnerKind, owner: string) => (recordOf(kind, owner) as { tally?: Tally } | null)?.tally;
  const wait = (ms: number) => {
    if (timer !== null) clearTimeout(timer);
    timer = closed ? null : setTimeout(() => void flush(), ms);
  };

  /** Shows records and sums as storage has them, with what of this tab is not written yet on top. */
  const show = (records: readonly Written[], sums: readonly Summed[]) => {
    const open = both(flying, pending);
    const said = new Map<string, Tally>();
    for (const { kind, owner, tally } of sums) {
      const own = open.events.filter((op) => op.kind === kind && op.owner === owner);
      said.set(keyOf(kind, owner), own.reduce(folded, tally));
    }
    const changes: Heard[] = [];
    for (const { kind, id, data, clocks: edited, unclocked } of records) {
      const key = keyOf(kind, id);
      const own = recordOf(kind, id);
      // What a version without clocks wrote stands as it is, but for what is not written here yet.
      const alone = unclocked && !open.records.has(key);
      const merged = alone
        ? { data, clocks: edited }
        : mergeCopies(
            kind,
            { data: own && withoutTally(own), clocks: clocks.get(key) ?? {} },
            { data, clocks: edited },
          );
      clocks.set(key, merged.clocks);
      const here = lives(merged) ? mendedBy(kind, merged.data!) : null;
      const tally =
        kind in LEDGERS
          ? (said.get(key) ?? (own as { tally?: unknown } | null)?.tally ?? LEDGERS[kind as OwnerKind].none)
          : undefined;
      said.delete(key);
      const next = here && tally !== undefined ? { ...here, [TALLY]: tally } : here;
      if (!equal(own, next)) changes.push({ kind, id, data: next });
    }
    for (const [key, tally] of said) {
      const { kind, id } = splitKey(key);
      const own = recordOf(kind, id);
      if (own && !equal((own as { tally?: unknown }).tally, tally))
        changes.push({ kind: kind as Kind, id, data: { ...own, [TALLY]: tally } });
    }
    if (changes.length > 0) store.dispatch(heard(changes));
  };

  const mine = ({ records }: Waiting): Mine[] =>
    [...records].map(([key, since]) => {
      const { kind, id } = splitKey(key);
      return { kind: kind as Kind, id, data: recordOf(kind, id), clocks: clocks.get(key) ?? {}, since };
    });

  const write = async (): Promise<void> => {
    if (isEmpty(pending)) return;
    flying = pending;
    pending = nothing();
    try {
      const sums = [...flying.sums.values()].flatMap(({ kind, owner }) => {
        const tally = tallyOf(kind, owner);
        return tally ? [{ kind, owner, tally }] : [];
      });
      const stored = await commit(
        ports.storage,
        ports.locks,
        { records: mine(flying), events: flying.events, sums },
        ports.now(),
      );
      flying = nothing();
      failures = 0;
      const { unkept } = store.getState().session;
      if (unkept) store.dispatch(notWritten(null));
      // What another tab wrote in between is shown.
      const emptied = stored.written.some(
        ({ kind, id, base }) => base === 0 && (revisions.get(keyOf(kind, id)) ?? 0) > 0,
      );
      show(stored.written, stored.sums);
      for (const { kind, id, rev } of stored.written) revisions.set(keyOf(kind, id), rev);
      for (const { kind, owner, rev } of stored.sums) revisions.set(sumKey(kind, owner), rev);
      ports.channel.post({
        written: [
          ...stored.written.map(({ kind, id, rev }) => ({ key: keyOf(kind, id), rev })),
          ...stored.sums.map(({ kind, owner, rev }) => ({ key: sumKey(kind, owner), rev })),
        ],
      } satisfies Told);
      // Storage was emptied under the open page: what it held is written again.
      if (ports.storage.wasEmptied?.() || emptied) await restore();
      if (isEmpty(pending)) store.dispatch(saving(true));
      await history.keep(store.getState().records);
    } catch (error) {
      pending = both(flying, pending);
      flying = nothing();
      failures++;
      store.dispatch(notWritten({ keys: keysOf(pending), why: whyOf(error) }));
      wait(Math.min(RETRY_MS[1], RETRY_MS[0] * 2 ** (failures - 1)));
    }
  };

  const flush = (): Promise<void> => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    writing = writing.then(write);
    return writing;
  };

  const enqueue = (next: Waiting) => {
    if (isEmpty(next)) return;
    if (isEmpty(pending)) firstAt = ports.now();
    pending = both(pending, next);
    if (store.getState().session.saved) store.dispatch(saving(false));
    wait(Math.max(0, Math.min(WRITE_AFTER_MS, firstAt + WRITE_AT_MOST_MS - ports.now())));
  };

  /** Writes again what was stored once and is not any more. */
  const restore = async () => {
    // What is written while it is asked is not missed.
    const known = [...revisions.keys()];
    const stored = new Set(await ports.storage.getAllKeys());
    const lost = nothing();
    for (const key of known) {
      if (stored.has(key)) continue;
      revisions.delete(key);
      const owner = key.startsWith(SUM) ? ownerOf(key) : null;
      const { kind, id } = splitKey(key);
      if (owner) lost.sums.set(key, owner);
      else if (recordOf(kind, id)) lost.records.set(key, ports.now());
    }
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

  const hear = async (message: Told | { path: (string | number)[] }[]) => {
    // A tab of before this version tells the patches themselves: their records are read.
    const written = Array.isArray(message)
      ? message.map(({ path }) => ({ key: keyOf(String(path[0]), String(path[1])), rev: Infinity }))
      : message.written;
    const busy = new Set([...flying.records.keys(), ...flying.events.map(({ kind, owner }) => sumKey(kind, owner))]);
    // What this tab is writing just now it reads under the lock itself.
    const news = written
      .filter(({ key, rev }) => rev > (revisions.get(key) ?? 0) && !busy.has(key))
      .map(({ key }) => key);
    if (news.length === 0) return;
    const read = await readStored(ports.storage, [...new Set(news)]);
    const isNewer = (key: string, rev: number) => rev > (revisions.get(key) ?? 0);
    const records = read.records.filter(({ kind, id, rev }) => isNewer(keyOf(kind, id), rev));
    const sums = read.sums.filter(({ kind, owner, rev }) => isNewer(sumKey(kind, owner), rev));
    for (const { kind, id, rev } of records) revisions.set(keyOf(kind, id), rev);
    for (const { kind, owner, rev } of sums) revisions.set(sumKey(kind, owner), rev);
    if (records.length + sums.length > 0) show(records, sums);
    // An older version keeps ledgers inside its records: what it entered is entered here.
    enqueue({ ...nothing(), events: read.events });
  };

  const stopHearing = ports.channel.listen((message) => void hear(message as Told).catch(() => undefined));
  const stopWatching = store.onWrite(({ touched, events }) =>
    enqueue({
      records: new Map(touched.map(({ kind, id }) => [keyOf(kind, id), ports.now()])),
      events: [...events],
      sums: new Map(),
    }),
  );
  return {
    flush,
    look,
    unwritten: () => [...flying.events, ...pending.events],
    close: () => {
      closed = true;
      stopWatching();
      stopHearing();
      if (timer !== null) clearTimeout(timer);
    },
  };
}
