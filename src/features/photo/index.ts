export { FieldCardScreen } from './field-card-screen';
export { KeptPhotos, PhotoFault } from './kept-photos';
export { useKeepPhoto } from './use-keep-photo';
