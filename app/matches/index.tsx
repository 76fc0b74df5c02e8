export { MatchesScreen as default } from '@/features/matches';
