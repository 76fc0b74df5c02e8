import { configureStore, type Middleware, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { cleanEntities, DEVICE_ID, stamped, type Clocks, type Entities, type EventOp, type Kind } from '@/records';
import { inMemory, localStamp, type Ports } from './ports';
import { keyOf } from './storage/envelope';
import { readHistory } from './storage/history';
import { persist, type Persistence } from './storage/persistence';
import { load, type Loaded } from './storage/load';
import { changed, loaded, recordsReducer, redone, undone, type Changed, type RecordsState } from './storage/slice';
import { keptInMemory, noteAnswer, sessionReducer, started } from './session';
import { again, back, NO_HISTORY, touchedBy, type Change, type Step } from './undo';

/** What an action does to the records, for those who keep them. */
type Edit = Pick<Changed, 'touched' | 'events' | 'clocks'>;

const editOf = (step: Step | undefined): Edit | null =>
  step ? { touched: touchedBy(step.patches), events: step.events, clocks: {} } : null;

/** What an action changes that is to be kept; null for what is only shown. */
function editBy(action: unknown, before: RecordsState): Edit | null {
  if (changed.match(action)) return action.payload;
  if (undone.match(action)) return editOf(back(before)?.step);
  if (redone.match(action)) return editOf(again(before)?.step);
  return null;
}

export function createStore(ports: Ports) {
  const watching = new Set<(edit: Edit) => void>();
  /** Of every record, by key, when its parts were edited. No screen shows it. */
  const clocks = new Map<string, Clocks>();
  const watched: Middleware =
    ({ getState }) =>
    (next) =>
    (action) => {
      const { records } = getState() as { records: RecordsState };
      const result = next(action);
      const edit = editBy(action, records);
      if (edit) {
        const { entities } = (getState() as { records: RecordsState }).records;
        for (const { kind, id } of edit.touched) {
          const key = keyOf(kind, id);
          clocks.set(
            key,
            edit.clocks[key] ??
              stamped(kind, records.entities[kind][id], entities[kind][id], clocks.get(key), ports.now()),
          );
        }
        for (const watch of watching) watch(edit);
      }
      return result;
    };
  const store = configureStore({
    reducer: { records: recordsReducer, session: sessionReducer },
    middleware: (getDefault) =>
      getDefault({
        thunk: { extraArgument: { ports, clocks } },
        serializableCheck: false,
        immutableCheck: false,
      }).concat(watched),
  });
  return Object.assign(store, {
    ports,
    clocks,
    /** What keeps the store in step with storage, once it is open. */
    persistence: { current: null as Persistence | null },
    /** Hears every change of this tab that is to be kept, undo and redo too. */
    onWrite(watch: (edit: Edit) => void): () => void {
      watching.add(watch);
      return () => void watching.delete(watch);
    },
  });
}

export type Store = ReturnType<typeof createStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
export type Thunk<R = void> = ThunkAction<R, State, Pick<Store, 'ports' | 'clocks'>, UnknownAction>;

export interface Start {
  /** `clean` or `demo`, followed on an empty store only. */
  start: string | null;
  clock: string | null;
  /** The system is set to dark: the first light on an empty store. */
  dark?: boolean;
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

/** All records at once, as they are at a first start: no step to take back. */
function arrival({ entities, events }: { entities: Entities; events: EventOp[] }) {
  return changed({
    entities,
    touched: (Object.keys(entities) as Kind[]).flatMap((kind) =>
      Object.keys(entities[kind]).map((id) => ({ kind, id })),
    ),
    events,
    clocks: {},
    change: null,
  });
}

/** Opens the store: reads what is stored, or begins with the demo valley; then keeps storage, and other tabs, in step. Does not reject: without a store the app runs in memory and says so. */
export async function openStore(store: Store, { start, clock, dark = false }: Start): Promise<Persistence> {
  const first = await read(store);
  for (const [key, clocks] of first.clocks) store.clocks.set(key, clocks);
  const history = await readHistory(store.ports).catch(() => NO_HISTORY);
  store.dispatch(loaded({ ...first, history }));
  const persistence = persist(store, first.revisions);
  store.persistence.current = persistence;
  // Either way something is written, so that the choice made on an empty store holds from then on.
  if (first.empty) {
    const begun =
      start === 'clean'
        ? { entities: cleanEntities(), events: [] }
        : (await import('@/records/demo-valley')).demoStart(clock === null ? localStamp(store.ports.now()) : undefined);
    if (dark) begun.entities.device[DEVICE_ID]!.theme = 'dusk';
    store.dispatch(arrival(begun));
    await persistence.flush();
  }
  store.dispatch(started({ frozenClock: clock }));
  return persistence;
}

export { noteAnswer, redone, undone, type Change };
