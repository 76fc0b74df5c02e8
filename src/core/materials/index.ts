export type { Material } from './material';
export { staysOff } from './stays-off';
