/** The card without its PDF, whose library is large: for the app's own page; the worker makes the PDF. */
export { fieldCardSvg } from './field-card-svg';
export { cardShapes, type CardSize, type PageSize } from './geometry';
