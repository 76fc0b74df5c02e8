import type { Material } from '@/core/materials';
import { command, found } from '../command';
import type { Entities } from '../kinds';
import { ownId } from '../own-id';
import { stashKey } from '../stash/commands';
import { stashSchema } from '../stash/schema';
import { materialSchema, type MaterialRecord } from './schema';

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

/** A blend that was weighed out: kept as a material of one's own that behaves like the most of it, with what goes in. */
export const keepBlend = command<{ material: Omit<Material, 'id'>; recipe: MaterialRecord['recipe'] }, string>(
  'blend',
  (draft, { material, recipe }, { newId }) => {
    const id = ownId('own', `own ${material.name}`, newId);
    putMaterial(draft, { ...material, id });
    Object.assign(draft.material[materialKey(id)]!, { recipe });
    const item = { materialId: id, shadeId: null };
    draft.stash[stashKey(item)] ??= stashSchema.cast(item);
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

/** The colour of a material of one's own, as it was measured. */
export const setMaterialHex = command<{ id: string; hex: string }>(
  'material-colour',
  (draft, { id, hex }) => void Object.assign(found(draft.material, id), { hex }),
  { field: ({ id }) => id },
);
