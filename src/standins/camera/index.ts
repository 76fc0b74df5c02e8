export { anyScene } from './any-scene';
export type { InsectPlan, InsectTruth } from './insect';
export { takePhoto, type Photo, type Scene, type Taken } from './take-photo';
export { anyFly } from './any-fly';
export type { FlyTruth } from './fly';
