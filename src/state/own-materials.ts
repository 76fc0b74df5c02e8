import { createSelector } from '@reduxjs/toolkit';
import { MATERIALS } from '@/catalogue';
import { materialOf, type Material } from '@/core/materials';
import type { Entities } from '@/records';
import { selectShipped } from './dressings';
import type { State } from './store';

/** One whose model is not known any more is left out. */
function ownMaterials(records: Entities['material']): Material[] {
  return Object.entries(records)
    .flatMap(([key, { name, like, hex }]) =>
      like ? (materialOf({ id: key.replace('material_', ''), name, like, hex }, MATERIALS) ?? []) : [],
    )
    .sort((a, b) => a.name.localeCompare(b.name));
}

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
