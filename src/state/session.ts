import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Texts } from '@/catalogue';

/** What an answer was when it was last looked at, so that a change can be told. */
export interface Seen {
  hook: string | null;
  dressing: string | null;
  /** What was noted of the natural, as text: another text is another question. */
  of: string;
}

/** Why a change could not be written: no room, written by a newer version, or the store refuses. */
export type Unwritten = 'full' | 'newer' | 'refused';

export interface SessionState {
  ready: boolean;
  /** Minutes of the valley's own clock; null where the demo has left. Frozen by `?clock=`. */
  frozenClock: string | null;
  seen: Record<string, Seen>;
  /** The last change of an answer, told until the next. */
  told: Record<
    string,
    { hook: [string | null, string | null] | null; dressing: [string | null, string | null] | null }
  >;
  saved: boolean;
  /** What could not be written yet and is tried again: keys of records, and why; null while all goes well. */
  unkept: { keys: string[]; why: Unwritten } | null;
  /** Nothing outlives this page: the browser gives no room to keep anything. */
  inMemory: boolean;
  /** The match this tab began last. */
  begun: string | null;
  /** Words of the shipped lists in the language spoken; null for theirs. */
  texts: Texts | null;
  /** The last change that was refused whole, and why; null once it was read. */
  refused: { name: string; detail: string } | null;
}

const slice = createSlice({
  name: 'session',
  initialState: (): SessionState => ({
    ready: false,
    frozenClock: null,
    seen: {},
    told: {},
    saved: true,
    unkept: null,
    inMemory: false,
    refused: null,
    begun: null,
    texts: null,
  }),
  reducers: {
    started(state, { payload }: PayloadAction<{ frozenClock: string | null }>) {
      state.ready = true;
      state.frozenClock = payload.frozenClock;
    },
    saving(state, { payload }: PayloadAction<boolean>) {
      state.saved = payload;
    },
    notWritten(state, { payload }: PayloadAction<SessionState['unkept']>) {
      state.unkept = payload;
    },
    keptInMemory(state) {
      state.inMemory = true;
    },
    refused(state, { payload }: PayloadAction<SessionState['refused']>) {
      state.refused = payload;
    },
    began(state, { payload }: PayloadAction<string>) {
      state.begun = payload;
    },
    spokenIn(state, { payload }: PayloadAction<Texts | null>) {
      state.texts = payload;
    },
    /** The tier has read that a change was refused. */
    closeRefused(state) {
      state.refused = null;
    },
    /** Notes what an answer is now and keeps what changed since it was last seen. */
    noteAnswer(state, { payload }: PayloadAction<{ key: string; seen: Seen }>) {
      const before = state.seen[payload.key];
      state.seen[payload.key] = payload.seen;
      if (!before) return;
      // Looked at again with nothing changed: what the last change did stays said.
      if (
        before.hook === payload.seen.hook &&
        before.dressing === payload.seen.dressing &&
        before.of === payload.seen.of
      )
        return;
      const hook: [string | null, string | null] | null =
        before.hook === payload.seen.hook ? null : [before.hook, payload.seen.hook];
      const dressing: [string | null, string | null] | null =
        before.dressing === payload.seen.dressing ? null : [before.dressing, payload.seen.dressing];
      state.told[payload.key] = { hook, dressing };
    },
  },
});

export const sessionReducer = slice.reducer;
export const { started, saving, notWritten, keptInMemory, noteAnswer, refused, closeRefused, spokenIn, began } =
  slice.actions;
