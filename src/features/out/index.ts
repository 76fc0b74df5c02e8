export { OnOutings } from './on-outings';
