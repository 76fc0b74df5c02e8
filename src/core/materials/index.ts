export type { Material } from './material';
