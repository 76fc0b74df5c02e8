export { fieldCardPdf } from './field-card-pdf';
export { fieldCardSvg, PAGES_MM } from './field-card-svg';
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
  type ImagePoint,
} from './geometry';
