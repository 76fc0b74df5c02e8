export { BellyInWords } from './belly-in-words';
export { ALL_HUES, ShadeWords, shadeWord } from './shade-words';
export { shadeSaid } from './shade-said';
