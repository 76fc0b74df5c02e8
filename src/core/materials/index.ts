export type { Material } from './material';
export { staysOff } from './stays-off';
export { materialOf, ownMaterialSchema, type OwnMaterial } from './own-material';
