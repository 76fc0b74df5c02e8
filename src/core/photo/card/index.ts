export { fieldCardPdf } from './card-pdf';
export { fieldCardSvg, PAGES_MM } from './card-svg';
export {
  cardShapes,
  type CardGeometry,
  type CardShape,
  type CardSize,
  type CardWords,
  type FieldCards,
  type Ink,
  type PageSize,
  type Rect,
  type Spot,
} from './geometry';
