import { createSelector } from '@reduxjs/toolkit';
import { MATERIALS } from '@/catalogue';
import type { Material } from '@/core/materials';
import { ownMaterials } from '@/records';
import type { State } from './store';

/** Materials of the tier's own, by name. */
export const selectOwnMaterials = createSelector(
  [(state: State) => state.records.entities.material],
  (records): readonly Material[] => ownMaterials(records),
);

/** The tier's own materials, then the shipped ones. */
export const selectMaterials = createSelector([selectOwnMaterials], (own): readonly Material[] =>
  own.length === 0 ? MATERIALS : [...own, ...MATERIALS],
);
