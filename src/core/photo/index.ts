export { balancedCrop, type Crop } from './field/balanced';
export { colourOfPixels, type RegionColour } from './body/region-colours';
export { measureByScale, measurePhoto, type Asked, type PhotoInsect, type PhotoMeasure, type Report, type View } from './measure-photo';
export type { Picture } from './picture';
