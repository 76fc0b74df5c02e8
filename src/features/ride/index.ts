export { FlyRideFold, RideFold } from './ride-fold';
