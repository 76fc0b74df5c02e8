import { createSelector } from '@reduxjs/toolkit';
import { MATERIALS } from '@/catalogue';
import { materialOf, type Material } from '@/core/materials';
import { materialSchema, type Entities } from './records/schemas';
import type { State } from './store';

const keyOf = (id: string) => `material_${id}`;

/** Materials of the tier's own, by name. */
export const selectOwnMaterials = createSelector([(state: State) => state.records.entities.material], (records): readonly Material[] =>
  Object.entries(records).flatMap(([key, { name, like, hex }]) => (like ? (materialOf({ id: key.replace('material_', ''), name, like, hex }, MATERIALS) ?? []) : [])).sort((a, b) => a.name.localeCompare(b.name)));

/** The tier's own materials, then the shipped ones. */
export const selectMaterials = createSelector([selectOwnMaterials], (own): readonly Material[] => (own.length === 0 ? MATERIALS : [...own, ...MATERIALS]));

/** Puts a material of the tier's own in its place. */
export function putMaterial(draft: Entities, { id, name, hex, like, functions }: Material): void {
  draft.material[keyOf(id)] = materialSchema.cast({ ...draft.material[keyOf(id)], name, hex, like, functions });
}

/** Takes a material of the tier's own out. */
export function dropMaterial(draft: Entities, id: string): void {
  delete draft.material[keyOf(id)];
}
