import { createSelector } from '@reduxjs/toolkit';
import { REFERENCE_HOOKS } from '@/catalogue';
import type { Hook } from '@/core/hooks';
import { hooksOf, ownedIn } from '@/records';
import type { State } from './store';

const selectModels = (state: State) => state.records.entities.model;
const selectMakers = (state: State) => state.records.entities.maker;

/** Every hook: the tier's makers, and the maker-less range after them. */
export const selectHooks = createSelector([selectModels, selectMakers], (models, makers): readonly Hook[] => [
  ...Object.values(models).flatMap((model) => hooksOf(model, makers[model.makerId])),
  ...REFERENCE_HOOKS,
]);

/** Hooks owned, by hook id, over every packet. */
export const selectOwned = createSelector([(state: State) => state.records.entities.packet], ownedIn);

/** Ids of the hooks that are there; null until there was any packet. */
export const selectHooksHad = createSelector(
  [selectOwned, (state: State) => Object.keys(state.records.entities.packet).length > 0],
  (owned, any): ReadonlySet<string> | null => (any ? new Set(Object.keys(owned).filter((id) => owned[id]! > 0)) : null),
);
