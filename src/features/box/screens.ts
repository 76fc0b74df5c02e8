export { BoxScreen } from './box-screen';
export { BoxesScreen } from './boxes-screen';
export { EnterScreen } from './enter-screen';
