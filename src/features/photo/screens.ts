export { FieldCardScreen } from './field-card-screen';
export { KeptPhotos } from './kept-photos';
export { PhotoView } from './photo-view';
export { PictureBoard } from './picture-board';
export { usePictureInk } from './picture-ink';
