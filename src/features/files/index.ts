export { chooseFile } from './open-file';
export { saveFile } from './save-file';
export { canShare, copyText, shareFile } from './hand-over';
