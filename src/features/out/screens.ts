export { OutingScreen } from './outing-screen';
export { OutingsScreen } from './outings-screen';
export { RunningNow } from './running-now';
