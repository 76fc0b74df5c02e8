import { configureStore, type Middleware, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import type { Patch } from 'immer';
import { cleanEntities, demoEntities, type Kind } from '@/records';
import { inMemory, type Ports } from './ports';
import { load, type Loaded } from './storage/commit';
import { keepStored, type Keeper } from './storage/keeper';
import { arrived, changed, loaded, recordsReducer, redone, undone, type Change, type RecordsState } from './storage/slice';
import { keptInMemory, noteAnswer, sessionReducer, started } from './session';

/** Patches that an action makes of the records, for those who keep them; none for what is only shown. */
function patchesOf(action: unknown, before: RecordsState): readonly Patch[] {
  if (changed.match(action)) return action.payload.patches;
  if (arrived.match(action)) return action.payload;
  if (undone.match(action)) return before.past.at(-1)?.inverse ?? [];
  if (redone.match(action)) return before.future.at(-1)?.patches ?? [];
  return [];
}

export function createStore(ports: Ports) {
  const watching = new Set<(patches: readonly Patch[]) => void>();
  const watched: Middleware = ({ getState }) => (next) => (action) => {
    const { records } = getState() as { records: RecordsState };
    const result = next(action);
    const patches = patchesOf(action, records);
    if (patches.length > 0) for (const watch of watching) watch(patches);
    return result;
  };
  const store = configureStore({
    reducer: { records: recordsReducer, session: sessionReducer },
    middleware: (getDefault) => getDefault({ thunk: { extraArgument: ports }, serializableCheck: false, immutableCheck: false }).concat(watched),
  });
  return Object.assign(store, {
    ports,
    /** What keeps the store in step with storage, once it is open. */
    keeper: { current: null as Keeper | null },
    /** Hears every change of this tab that is to be kept, undo and redo too. */
    onWrite(watch: (patches: readonly Patch[]) => void): () => void {
      watching.add(watch);
      return () => void watching.delete(watch);
    },
  });
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

/** What is stored; where nothing can be, an empty store in memory that the session tells of. */
async function read(store: Store): Promise<Loaded> {
  const { ports } = store;
  try {
    return await load(ports.storage, ports.locks, ports.now());
  } catch {
    ports.storage = inMemory();
    store.dispatch(keptInMemory());
    return load(ports.storage, ports.locks, ports.now());
  }
}

/** Opens the store: reads what is stored, or begins with the demo valley; then keeps storage, and other tabs, in step. Does not reject: without a store the app runs in memory and says so. */
export async function openStore(store: Store, { start, clock }: Start): Promise<Keeper> {
  const first = await read(store);
  store.dispatch(loaded(first));
  const keeper = keepStored(store, first.revisions);
  store.keeper.current = keeper;
  // Either way something is written, so that the choice made on an empty store holds from then on.
  if (first.empty) {
    const begun = start === 'clean' ? cleanEntities() : demoEntities();
    store.dispatch(arrived((Object.keys(begun) as Kind[]).flatMap((kind) => Object.entries(begun[kind]).map(([id, value]): Patch => ({ op: 'add', path: [kind, id], value })))));
    await keeper.flush();
  }
  store.dispatch(started({ frozenClock: clock }));
  return keeper;
}

export { noteAnswer, redone, undone, type Change };
