export {
  lately,
  LOGGED,
  NO_EVENTS,
  NONE_LOGGED,
  notedOf,
  notedWith,
  UNKNOWN_FLY,
  withEvent,
  type LoggedCount,
  type LoggedId,
  type OutingEvent,
  type OutingTally,
} from './events';
export { outingFaults, type OutingTimes } from './faults';
export { flyStats, type Flown, type FlyStats } from './stats';
export {
  dressingFaults,
  hookFaults,
  ruleFaults,
  type RuledDressing,
  type RuledFly,
  type RuledHook,
  type WaterRules,
} from './rules';
export { DEEPEST_MM, LONGEST_FISH_MM } from './limits';
