export { learnt } from './learnt';
export { readCard } from './read-card';
export {
  guessedMinutes,
  handsOn,
  planSession,
  type FlyToGo,
  type SessionCard,
  type SessionMode,
  type SessionPart,
  type SessionPlan,
  type Spread,
} from './session';
export {
  countedSeconds,
  flyKey,
  freshFly,
  paceOf,
  restOf,
  SPOILS,
  tallyOf,
  totalOf,
  withoutStep,
  withStep,
  type ItemTally,
  type Rest,
  type Running,
  type RunningFly,
  type RunningItem,
  type SpoilId,
} from './running';
export { hooksFor, sessionNeeds, spoiledShare, type HookNeed, type SessionNeeds, type Spoiled } from './needs';
export { LAY_ACTS, layOutOf, type LayAct, type LayLine } from './lay-out';
export {
  checklistOf,
  judged,
  soughtOf,
  VIEWS,
  type Judged,
  type Taken,
  type ToLook,
  type ToMeasure,
  type ViewId,
} from './inspect';
export { aimFor, biasesOf, ownMinutes, type Bias, type FlyMinutes, type Measured } from './hands';
export { spentOf, type Spent } from './spent';
export { soakedBefore } from './soak';
