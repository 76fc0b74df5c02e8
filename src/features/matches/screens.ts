export { MatchesScreen } from './matches-screen';
