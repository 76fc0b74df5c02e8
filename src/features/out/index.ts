export { OnOutings } from './on-outings';
export { WaterSays } from './water-says';
