export { BoxScreen, HeldFly } from './box-screen';
export { BoxesScreen, BoxRow } from './boxes-screen';
export { EnterScreen } from './enter-screen';
