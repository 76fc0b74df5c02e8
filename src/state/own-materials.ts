import { createSelector } from '@reduxjs/toolkit';
import type { Material } from '@/core/materials';
import { ownMaterials } from '@/records';
import { selectShipped } from './dressings';
import type { State } from './store';

/** Materials of the tier's own, by name. */
export const selectOwnMaterials = createSelector(
  [(state: State) => state.records.entities.material],
  (records): readonly Material[] => ownMaterials(records),
);

/** The tier's own materials, then the shipped ones. */
export const selectMaterials = createSelector(
  [selectOwnMaterials, selectShipped],
  (own, { materials }): readonly Material[] => (own.length === 0 ? materials : [...own, ...materials]),
);
