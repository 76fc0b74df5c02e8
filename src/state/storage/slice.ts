import { createAction } from '@reduxjs/toolkit';
import { noEntities, type Clocks, type Entities, type EventOp, type Kind } from '@/records';
import { gathering } from '../table';
import { again, back, NO_HISTORY, remembered, stepped, type Change, type History } from '../undo';
import type { Quarantined, Loaded } from './load';

export interface RecordsState extends History {
  entities: Entities;
  aside: Quarantined[];
  /** The last step back or forth, by what it is called, to be spoken; null before there was one. `n` counts them, so that the same one twice is heard twice. */
  step: { way: 'back' | 'again'; label: string; n: number } | null;
}

/** A change as it comes to the store: the records after it, which of them it touched, and for those that were merged when their parts were edited. */
export interface Changed {
  entities: Entities;
  touched: readonly { kind: Kind; id: string }[];
  events: readonly EventOp[];
  clocks: Readonly<Record<string, Clocks>>;
  /** What takes it back; null for what is not for undo: the demo at first start, what this device remembers. */
  change: Change | null;
}

function taken(state: RecordsState, way: 'back' | 'again', found: ReturnType<typeof back>): RecordsState {
  return found
    ? {
        ...state,
        entities: stepped(state.entities, found.step),
        ...found.history,
        step: { way, label: found.label, n: (state.step?.n ?? 0) + 1 },
      }
    : state;
}

/** A record as it is now; null where it is not there any more. */
export interface Heard {
  kind: Kind;
  id: string;
  data: object | null;
}

export const loaded = createAction<Pick<Loaded, 'entities' | 'aside'> & { history: History }>('records/loaded');
export const changed = createAction<Changed>('records/changed');
/** Records as they are after another tab wrote them, or this one did. */
export const heard = createAction<readonly Heard[]>('records/heard');
/** Records that no screen can show, set aside while the app runs. */
export const broken = createAction<readonly Quarantined[]>('records/broken');
export const undone = createAction('records/undone');
export const redone = createAction('records/redone');

function withHeard(state: RecordsState, changes: readonly Heard[]): RecordsState {
  const all = gathering(state.entities);
  for (const { kind, id, data } of changes) all.put(kind, id, data);
  return { ...state, entities: all.entities() };
}

const NOTHING: RecordsState = { entities: noEntities(), aside: [], ...NO_HISTORY, step: null };

/** No toolkit's reducer: it would walk through every record of a table to freeze what a change put in. */
export function recordsReducer(state: RecordsState = NOTHING, action: unknown): RecordsState {
  if (broken.match(action)) {
    const keys = new Set(action.payload.map(({ key }) => key));
    return { ...state, aside: [...state.aside.filter(({ key }) => !keys.has(key)), ...action.payload] };
  }
  if (loaded.match(action))
    return { ...state, entities: action.payload.entities, aside: action.payload.aside, ...action.payload.history };
  if (changed.match(action))
    return {
      ...state,
      entities: action.payload.entities,
      ...(action.payload.change ? remembered(state, action.payload.change) : {}),
    };
  if (heard.match(action)) return withHeard(state, action.payload);
  if (undone.match(action)) return taken(state, 'back', back(state));
  if (redone.match(action)) return taken(state, 'again', again(state));
  return state;
}
