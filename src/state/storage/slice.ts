import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { applyPatches, enablePatches, type Patch } from 'immer';
import type { Aside, Loaded } from './commit';
import { noEntities, type Entities, type Kind } from '@/records';

enablePatches();

/** One undoable change. `label` is a message code; `group` joins typing in one field. */
export interface Change {
  label: string;
  group: string | null;
  at: number;
  patches: Patch[];
  inverse: Patch[];
}

export interface RecordsState {
  entities: Entities;
  aside: Aside[];
  past: Change[];
  future: Change[];
}

const HISTORY = 100;
const GROUP_MS = 1000;

function joined(last: Change | undefined, next: Change): boolean {
  return last !== undefined && next.group !== null && last.group === next.group && next.at - last.at <= GROUP_MS;
}

/** Patches change a draft in place, so reducers here work on the plain state and return the next. */
function plain(draft: RecordsState): RecordsState {
  return original(draft) as RecordsState;
}

const slice = createSlice({
  name: 'records',
  initialState: (): RecordsState => ({ entities: noEntities(), aside: [], past: [], future: [] }),
  reducers: {
    loaded(draft, { payload }: PayloadAction<Pick<Loaded, 'entities' | 'aside'>>) {
      const state = plain(draft);
      return { ...state, entities: payload.entities, aside: payload.aside };
    },
    /** A change of this tab: applied, and kept for undo. */
    changed(draft, { payload }: PayloadAction<Change>) {
      const state = plain(draft);
      const last = state.past[state.past.length - 1];
      const past = joined(last, payload)
        ? [...state.past.slice(0, -1), { ...last!, at: payload.at, patches: [...last!.patches, ...payload.patches], inverse: [...payload.inverse, ...last!.inverse] }]
        : [...state.past, payload].slice(-HISTORY);
      return { ...state, entities: applyPatches(state.entities, payload.patches), past, future: [] };
    },
    /** A change that is not for undo: the demo at first start, what this device remembers. */
    arrived(draft, { payload }: PayloadAction<Patch[]>) {
      const state = plain(draft);
      return { ...state, entities: applySafely(state.entities, payload) };
    },
    /** Records as storage has them: what another tab wrote, and what stood there when this one did. */
    heard(draft, { payload }: PayloadAction<readonly { kind: Kind; id: string; data: unknown }[]>) {
      const state = plain(draft);
      const entities = { ...state.entities } as Record<Kind, Record<string, unknown>>;
      for (const { kind, id, data } of payload) {
        entities[kind] = { ...entities[kind] };
        if (data === null) delete entities[kind][id];
        else entities[kind][id] = data;
      }
      return { ...state, entities: entities as Entities };
    },
    undone(draft) {
      const state = plain(draft);
      const last = state.past[state.past.length - 1];
      if (!last) return state;
      return { ...state, entities: applySafely(state.entities, last.inverse), past: state.past.slice(0, -1), future: [...state.future, last] };
    },
    redone(draft) {
      const state = plain(draft);
      const next = state.future[state.future.length - 1];
      if (!next) return state;
      return { ...state, entities: applySafely(state.entities, next.patches), past: [...state.past, next], future: state.future.slice(0, -1) };
    },
  },
});

/** Patches onto records that may have changed since; one whose place is gone is left out and the rest applied. */
export function applySafely(entities: Entities, patches: readonly Patch[]): Entities {
  return patches.reduce((now, patch) => {
    try {
      return applyPatches(now, [patch]);
    } catch {
      return now;
    }
  }, entities);
}

export const recordsReducer = slice.reducer;
export const { loaded, changed, arrived, heard, undone, redone } = slice.actions;
