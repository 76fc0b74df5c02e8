export {
  lately,
  LOGGED,
  NO_EVENTS,
  NONE_LOGGED,
  UNKNOWN_FLY,
  withEvent,
  type LoggedCount,
  type LoggedId,
  type OutingEvent,
  type OutingTally,
} from './events';
export { outingFaults, type OutingTimes } from './faults';
export { flyStats, type Flown, type FlyStats } from './stats';
export { ruleFaults, type RuledFly, type WaterRules } from './rules';
