export type { Look, Material } from './material';
export { staysOff } from './stays-off';
export { materialOf, ownMaterialSchema, type OwnMaterial } from './own-material';
