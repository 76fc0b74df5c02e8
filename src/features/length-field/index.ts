export { LengthField } from './length-field';
export { NumberField } from './number-field';
