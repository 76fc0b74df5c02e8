export { FieldCardScreen } from './field-card-screen';
export { KeptPhotos, PhotoFault } from './kept-photos';
export { PhotoView } from './photo-view';
export { useKeepPhoto } from './use-keep-photo';
