export { colourOf, deltaE, hexOfLab, hexOfReflectance, labOfBytes, labOfHex, parseColour, reflectanceOf, type Colour, type Lab, type Reflectance } from './colour';
export { filmFromPad, over, stackColour, wetFilm, wetHex, wetOpaque, wetPad, type Film, type LayerMaterial } from './film';
export { shadeOf, type Hue, type Shade, type Tone } from './shade';
export { colourWord } from './colour-word';
