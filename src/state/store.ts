import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { produceWithPatches, type Patch } from 'immer';
import { cleanEntities, demoEntities, noEntities, type Entities } from '@/records';
import { commit, load } from './records/commit';
import { arrived, loaded, recordsReducer, redone, undone, type Change } from './records/slice';
import { noteAnswer, saving, sessionReducer, started } from './session';
import type { Ports } from './ports';

const WRITE_AFTER_MS = 150;
const WRITE_AT_MOST_MS = 500;

export function createStore(ports: Ports) {
  const store = configureStore({
    reducer: { records: recordsReducer, session: sessionReducer },
    middleware: (getDefault) => getDefault({ thunk: { extraArgument: ports }, serializableCheck: false, immutableCheck: false }),
  });
  return Object.assign(store, { ports });
}

export type Store = ReturnType<typeof createStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
export type Thunk<R = void> = ThunkAction<R, State, Ports, UnknownAction>;

export interface Start {
  /** `clean` or `demo`, followed on an empty store only. */
  start: string | null;
  clock: string | null;
}

/** Opens the store: reads what is stored, or begins with the demo valley; then keeps storage, and other tabs, in step. */
export async function openStore(store: Store, { start, clock }: Start): Promise<{ flush(): Promise<void>; close(): void }> {
  const { ports } = store;
  const first = await load(ports.storage, ports.locks, ports.now());
  store.dispatch(loaded(first));
  const keeper = keepStored(store);
  // Either way something is written, so that the choice made on an empty store holds from then on.
  if (first.empty) {
    const begun = start === 'clean' ? cleanEntities() : demoEntities();
    const [, patches] = produceWithPatches(noEntities(), (draft: Entities) => {
      for (const kind of Object.keys(begun) as (keyof Entities)[]) Object.assign(draft[kind], begun[kind]);
    });
    store.dispatch(arrived(patches));
    await keeper.flush();
  }
  store.dispatch(started({ frozenClock: clock }));
  return keeper;
}

/** Writes 150 ms after the last change and at most 500 ms after the first, and tells other tabs. */
function keepStored(store: Store): { flush(): Promise<void>; close(): void } {
  const { ports } = store;
  let known = store.getState().records.entities;
  let pending: Patch[] = [];
  let hearing = false;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let firstAt = 0;
  let turn = 0;
  let writing: Promise<void> = Promise.resolve();

  const flush = (): Promise<void> => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    const patches = pending;
    pending = [];
    if (patches.length > 0) {
      const own = store.getState().records.entities;
      const mine = ++turn;
      writing = writing.then(() => commit(ports.storage, ports.locks, patches, own, ports.now())).then(() => ports.channel.post(patches));
      writing = writing.then(() => {
        // A later write may be under way by now: only the last one says that all is kept.
        if (pending.length === 0 && mine === turn) store.dispatch(saving(true));
      });
    }
    return writing;
  };

  const unsubscribe = store.subscribe(() => {
    const { entities } = store.getState().records;
    if (entities === known) return;
    const before = known;
    known = entities;
    if (hearing) return;
    const patches = difference(before, entities);
    if (patches.length === 0) return;
    if (pending.length === 0) firstAt = ports.now();
    pending = [...pending, ...patches];
    if (store.getState().session.saved) store.dispatch(saving(false));
    if (timer !== null) clearTimeout(timer);
    timer = setTimeout(() => void flush(), Math.max(0, Math.min(WRITE_AFTER_MS, firstAt + WRITE_AT_MOST_MS - ports.now())));
  });

  const stopListening = ports.channel.listen((message) => {
    hearing = true;
    store.dispatch(arrived(message as Patch[]));
    hearing = false;
  });

  return {
    flush,
    close: () => {
      unsubscribe();
      stopListening();
      if (timer !== null) clearTimeout(timer);
    },
  };
}

/** Patches from one set of records to another: whole added or removed records, else the fields that differ. */
export function difference(before: Entities, after: Entities): Patch[] {
  const patches: Patch[] = [];
  for (const kind of Object.keys(after) as (keyof Entities)[]) {
    if (before[kind] === after[kind]) continue;
    const old = before[kind] as Record<string, unknown>;
    const now = after[kind] as Record<string, unknown>;
    for (const id of Object.keys(old)) if (!(id in now)) patches.push({ op: 'remove', path: [kind, id] });
    for (const [id, record] of Object.entries(now)) {
      if (!(id in old)) patches.push({ op: 'add', path: [kind, id], value: record });
      else if (old[id] !== record) patches.push(...fieldDifference(old[id], record, [kind, id]));
    }
  }
  return patches;
}

function isPlain(value: unknown): value is Record<string, unknown> {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}

/** Lists of records with ids are compared item by item while they keep their order; other lists are replaced whole. */
function fieldDifference(before: unknown, after: unknown, path: (string | number)[]): Patch[] {
  if (before === after) return [];
  if (isPlain(before) && isPlain(after)) {
    const patches: Patch[] = [];
    for (const key of Object.keys(before)) if (!(key in after)) patches.push({ op: 'remove', path: [...path, key] });
    for (const [key, value] of Object.entries(after)) patches.push(...(key in before ? fieldDifference(before[key], value, [...path, key]) : [{ op: 'add' as const, path: [...path, key], value }]));
    return patches;
  }
  if (Array.isArray(before) && Array.isArray(after) && before.length === after.length && after.every((item, index) => isPlain(item) && isPlain(before[index]) && item.id === before[index].id && item.id !== undefined)) {
    return after.flatMap((item, index) => fieldDifference(before[index], item, [...path, index]));
  }
  return [{ op: 'replace', path, value: after }];
}

export { noteAnswer, redone, undone, type Change };
