export { MatchScreen, STEPS, type Step } from './match-screen';
