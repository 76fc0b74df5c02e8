export type { Crop } from './field/balanced';
export type { RegionColour } from './body/region-colours';
export {
  measureByScale,
  measurePhoto,
  type PhotoAsked,
  type PhotoInsect,
  type PhotoMeasure,
  type CropReader,
  type Report,
  type View,
} from './measure-photo';
export { photographOf, type Grey, type Photograph, type Picture, type Piece } from './picture';
export { unsureOf, type LengthError } from './body/length-error';
