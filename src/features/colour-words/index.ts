export { ALL_HUES, NATURAL_HUES, ShadeWords } from './shade-words';
