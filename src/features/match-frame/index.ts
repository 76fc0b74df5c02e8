export { MatchScreen } from './match-screen';
export { STEPS, type Step } from './steps';
