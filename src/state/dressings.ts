import { createSelector } from '@reduxjs/toolkit';
import { shippedIn } from '@/catalogue';
import type { Dressing } from '@/core/dressings';
import { ownDressings } from '@/records';
import type { State } from './store';

/** The tier's own dressings, by name. */
export const selectOwnDressings = createSelector(
  [(state: State) => state.records.entities.dressing],
  (records): readonly Dressing[] => ownDressings(records),
);

/** The shipped lists in the language spoken. */
export const selectShipped = createSelector([(state: State) => state.session.texts], shippedIn);

/** Tools, with what does in their place. */
export const selectTools = createSelector([selectShipped], ({ tools }) => tools);

/** The tier's own dressings, then the shipped library. */
export const selectDressings = createSelector(
  [selectOwnDressings, selectShipped],
  (own, { dressings }): readonly Dressing[] => (own.length === 0 ? dressings : [...own, ...dressings]),
);

/** A dressing by id, own or shipped. */
export function selectDressing(state: State, id: string | null | undefined): Dressing | undefined {
  return selectDressings(state).find((dressing) => dressing.id === id);
}

/** Whether a dressing is the tier's own. */
export function selectIsOwn(state: State, id: string): boolean {
  return Object.values(state.records.entities.dressing).some((record) => record.id === id);
}
