export { chooseFile, openText } from './open-file';
export { saveFile } from './save-file';
