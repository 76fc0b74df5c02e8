export {
  colourOf,
  deltaE,
  hexOfLab,
  labOfBytes,
  labOfHex,
  parseColour,
  type Colour,
  type Lab,
  type Reflectance,
} from './colour';
export { stackColour, wetHex, type Film, type LayerMaterial } from './film';
export { shadeOf, type Hue, type Shade, type Tone } from './shade';
export { colourWord } from './colour-word';
