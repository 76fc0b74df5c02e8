export {
  COUNTED,
  DRAWN,
  MATERIAL_KINDS,
  NEEDS,
  PROTECTIONS,
  type Counted,
  type Drawn,
  type Look,
  type Material,
  type MaterialKind,
  type MaterialShade,
  type Need,
  type Protection,
} from './material';
export { inShade, materialsOf, shadesOf, type WrittenMaterial, type WrittenShades } from './shades';
export { staysOff } from './stays-off';
export { materialOf, ownMaterialSchema, type OwnMaterial } from './own-material';
