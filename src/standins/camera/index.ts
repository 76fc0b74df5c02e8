export { anyScene } from './any-scene';
export type { InsectPlan, InsectTruth } from './insect';
export { takePhoto, type Photo, type Scene, type Taken } from './take-photo';
