export {
  colourOf,
  deltaE,
  hexOfLab,
  isShown,
  labOfBytes,
  labOfHex,
  parseColour,
  type Colour,
  type Lab,
  type Reflectance,
} from './colour';
export { airHeld, openedTo, stackColour, wetHex, type Film, type LayerMaterial } from './film';
export { shadeOf, type Hue, type Shade, type Tone } from './shade';
export { colourWord } from './colour-word';
export { solveBlend, spread, type Blend, type BlendAsked, type BlendShade } from './blend';
export { onPlane } from './plane';
