export { bankChanges, type OnBank } from './bank';
export { bearingOf, type Bearing } from './float';
export { flyInWater, type FlyInWater } from './of-card';
export { rideReasons } from './reasons';
export { depthOverDrift, rideOf, type Ride } from './ride';
export { depthAfter, sinkSpeed, wetWeight } from './sink';
export { tuned, tunedBy, type Tried, type Tuned } from './trial';
