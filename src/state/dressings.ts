import { createSelector } from '@reduxjs/toolkit';
import { DRESSINGS } from '@/catalogue';
import type { Dressing } from '@/core/dressings';
import type { Entities, RecordTypes } from './records/schemas';
import type { State } from './store';

/** A dressing's record without what only storage needs. */
export function dressingOf({ demo: _demo, base: _base, ...dressing }: RecordTypes['dressing']): Dressing {
  return dressing as Dressing;
}

/** The tier's own dressings, by name. */
export const selectOwnDressings = createSelector([(state: State) => state.records.entities.dressing], (records): readonly Dressing[] =>
  Object.values(records).map(dressingOf).sort((a, b) => a.name.localeCompare(b.name)));

/** The tier's own dressings, then the shipped library. */
export const selectDressings = createSelector([selectOwnDressings], (own): readonly Dressing[] => (own.length === 0 ? DRESSINGS : [...own, ...DRESSINGS]));

/** A dressing by id, own or shipped. */
export function selectDressing(state: State, id: string | null | undefined): Dressing | undefined {
  return selectDressings(state).find((dressing) => dressing.id === id);
}

/** Whether a dressing is the tier's own. */
export function selectIsOwn(state: State, id: string): boolean {
  return Object.values(state.records.entities.dressing).some((record) => record.id === id);
}

/** Key of the record that holds a dressing of the tier's own. */
const keyOf = (id: string) => `dressing_${id}`;

/** Puts a dressing of the tier's own in its place; a revision that a fly was tied by is kept by number, and this is the next. */
export function putDressing(draft: Entities, dressing: Dressing): void {
  const before = draft.dressing[keyOf(dressing.id)];
  const tied = before !== undefined && Object.values(draft.fly).some((fly) => fly.dressingId === before.id && fly.dressingRev === before.rev);
  draft.dressing[keyOf(dressing.id)] = { ...structuredClone(dressing), demo: before?.demo ?? false, base: null, rev: tied ? before.rev + 1 : dressing.rev } as RecordTypes['dressing'];
}

/** Takes a dressing of the tier's own out; what was tied by it keeps its id. */
export function dropDressing(draft: Entities, id: string): void {
  delete draft.dressing[keyOf(id)];
}
