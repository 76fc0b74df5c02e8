export { MatchScreen } from './match-screen';
export { TieScreen } from '@/features/bench';
