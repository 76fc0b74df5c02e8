export { PhotoFault } from './photo-fault';
export { useKeepPhoto } from './use-keep-photo';
