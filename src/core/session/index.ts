export { learnt } from './learnt';
export { readCard } from './read-card';
export {
  guessedMinutes,
  planSession,
  type SessionCard,
  type SessionMode,
  type SessionPart,
  type SessionPlan,
} from './session';
