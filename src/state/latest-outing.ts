import { createSelector } from '@reduxjs/toolkit';
import { fewLatest, runningOuting } from '@/records';
import type { State } from './store';

const outings = (state: State) => state.records.entities.outing;

/** The outing that goes on; null where none does. Thousands are not gone through anew for what changed elsewhere. */
export const selectRunningOuting = createSelector([outings], runningOuting);

/** So many are the head of the journal. */
const FEW = 5;

/** The outings that began last, the latest first: as many as a screen begins with. */
export const selectLatestOutings = createSelector([outings], (all) => fewLatest(all, FEW));

/** The outing that began last; null where none is. */
export const selectLatestOuting = (state: State): string | null => selectLatestOutings(state)[0] ?? null;
