export { FieldCardScreen } from './field-card-screen';
export { KeptPhotos } from './kept-photos';
