export { calliper, typeInto, type Calliper } from './calliper';
