import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { noEntities, type Clocks, type Entities, type EventOp, type Kind } from '@/records';
import { again, back, NO_HISTORY, remembered, stepped, type Change, type History } from '../undo';
import type { Aside, Loaded } from './load';

export interface RecordsState extends History {
  entities: Entities;
  aside: Aside[];
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

/** Patches change a draft in place, so reducers here work on the plain state and return the next. */
function plain(draft: RecordsState): RecordsState {
  return original(draft) as RecordsState;
}

function taken(state: RecordsState, way: 'back' | 'again', found: ReturnType<typeof back>): RecordsState {
  return found ? { ...state, entities: stepped(state.entities, found.step), ...found.history, step: { way, label: found.label, n: (state.step?.n ?? 0) + 1 } } : state;
}

const slice = createSlice({
  name: 'records',
  initialState: (): RecordsState => ({ entities: noEntities(), aside: [], ...NO_HISTORY, step: null }),
  reducers: {
    loaded(draft, { payload }: PayloadAction<Pick<Loaded, 'entities' | 'aside'> & { history: History }>) {
      return { ...plain(draft), entities: payload.entities, aside: payload.aside, ...payload.history };
    },
    changed(draft, { payload }: PayloadAction<Changed>) {
      const state = plain(draft);
      return { ...state, entities: payload.entities, ...(payload.change ? remembered(state, payload.change) : {}) };
    },
    /** Records as they are after another tab wrote them, or this one did: what is null is not there any more. */
    heard(draft, { payload }: PayloadAction<readonly { kind: Kind; id: string; data: unknown }[]>) {
      const state = plain(draft);
      const entities = { ...state.entities } as Record<Kind, Record<string, unknown>>;
      for (const kind of new Set(payload.map((item) => item.kind))) entities[kind] = { ...entities[kind] };
      for (const { kind, id, data } of payload) {
        if (data === null) delete entities[kind][id];
        else entities[kind][id] = data;
      }
      return { ...state, entities: entities as Entities };
    },
    undone(draft) {
      const state = plain(draft);
      return taken(state, 'back', back(state));
    },
    redone(draft) {
      const state = plain(draft);
      return taken(state, 'again', again(state));
    },
  },
});

export const recordsReducer = slice.reducer;
export const { loaded, changed, heard, undone, redone } = slice.actions;
