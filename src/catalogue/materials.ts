import type { Material, MaterialShade } from '@/core/materials/material';
import { materialsOf, shadesOf, type WrittenMaterial, type WrittenShades } from '@/core/materials/shades';
import materials from './materials.json';
import shades from './shades.json';

export const MATERIALS: readonly Material[] = materialsOf(materials as unknown as WrittenMaterial[]);
/** Every colour that the materials are shipped in; `say` puts the word of a shade into a language. */
export const shadesIn = (rows: readonly Material[], say?: (shade: string) => string): MaterialShade[] =>
  shadesOf(rows, shades as unknown as WrittenShades[], say);
/** Every colour that a material is shipped in. */
export const SHADES: readonly MaterialShade[] = shadesIn(MATERIALS);
