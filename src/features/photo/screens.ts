export { FieldCardScreen } from './field-card-screen';
export { KeptPhotos } from './kept-photos';
export { PictureBoard } from './picture-board';
export { usePictureInk } from './picture-ink';
