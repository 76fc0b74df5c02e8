export { EndScreen } from './end-screen';
export { HandsScreen } from './hands-screen';
export { InspectScreen } from './inspect-screen';
export { SessionScreen } from './session-screen';
export { TieMatch } from './tie-match';
export { TieSession } from './tie-session';
export { ViseScreen } from './vise-screen';
