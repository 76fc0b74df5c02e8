export { OwnMaterial } from './own-material';
