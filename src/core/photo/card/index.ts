export { fieldCardPdf, fieldCardSvg, PAGES_MM } from './draw-card';
export { cardShapes, type CardGeometry, type CardShape, type CardSize, type CardWords, type FieldCards, type Ink, type PageSize, type Rect, type Spot } from './geometry';
