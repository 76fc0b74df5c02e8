export { LengthField } from './length-field';
