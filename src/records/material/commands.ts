import type { Material } from '@/core/materials';
import { command } from '../command';
import type { Entities } from '../kinds';
import { ownId } from '../own-id';
import { materialSchema } from './schema';

/** Key of the record that holds a material of the tier's own. */
export const materialKey = (id: string) => `material_${id}`;

/** A material of the tier's own in its place. */
function putMaterial(draft: Entities, { id, name, hex, like, functions }: Material): void {
  draft.material[materialKey(id)] = materialSchema.cast({
    ...draft.material[materialKey(id)],
    name,
    hex,
    like,
    functions,
  });
}

/** A material that was just made: put in under an id of its own, which is given back. */
export const makeMaterial = command<{ material: Omit<Material, 'id'> }, string>(
  'material',
  (draft, { material }, { newId }) => {
    const id = ownId('own', `own ${material.name}`, newId);
    putMaterial(draft, { ...material, id });
    return id;
  },
);

export const keepMaterial = command<{ material: Material }>('material', (draft, { material }) =>
  putMaterial(draft, material),
);

export const forgetMaterial = command<{ id: string }>(
  'forget-material',
  (draft, { id }) => void delete draft.material[materialKey(id)],
  { label: 'material' },
);
