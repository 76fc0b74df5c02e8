export { MatchScreen } from './match-screen';
