import { MATERIALS } from '@/catalogue';
import { materialOf, type Material } from '@/core/materials';
import type { Entities } from '../kinds';

/** Materials of the tier's own, by name; one whose model is not known any more is left out. */
export function ownMaterials(records: Entities['material']): Material[] {
  return Object.entries(records)
    .flatMap(([key, { name, like, hex }]) =>
      like ? (materialOf({ id: key.replace('material_', ''), name, like, hex }, MATERIALS) ?? []) : [],
    )
    .sort((a, b) => a.name.localeCompare(b.name));
}
