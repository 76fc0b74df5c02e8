export { PhotoFault } from './photo-fault';
export { useKeepPhoto } from './use-keep-photo';
export { PictureBoard } from './picture-board';
export { usePictureInk } from './picture-ink';
