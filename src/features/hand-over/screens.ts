export { HandOverScreen } from './hand-over-screen';
