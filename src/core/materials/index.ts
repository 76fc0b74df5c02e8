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
export { materialsOf, shadesOf, type WrittenMaterial, type WrittenShades } from './shades';
export { staysOff } from './stays-off';
export { materialOf, ownMaterialSchema, type OwnMaterial } from './own-material';
export {
  calledHeld,
  everyHeld,
  heldBy,
  hexHeld,
  idsHeld,
  materialCalled,
  withCalled,
  withHeld,
  type Held,
  type Named,
} from './held';
export { nearestShade } from './nearest';
export { fleckFor, mixables, type Mixable } from './mixable';
export { underbodies, type Underbody } from './underbody';
