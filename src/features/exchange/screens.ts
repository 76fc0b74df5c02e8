export { FileReader } from './file-reader';
export { WriteOut } from './write-out';
