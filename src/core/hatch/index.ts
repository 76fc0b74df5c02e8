export {
  BANDS,
  bandsOf,
  clockOf,
  comesOf,
  hourAt,
  FROM_H,
  NOT_LEARNT,
  STAGE_OF,
  worthOf,
  type Band,
  type BandId,
  type Comes,
  type HatchDay,
  type HatchGroup,
  type Learnt,
  type Trigger,
} from './bands';
export { broughtOn, degreeDays, fitDegreeDays, T0, t0Of, warmthFrom, type DegreeDays } from './degree-days';
export { bandOfStage, bandSeen, learnt, toldBefore, type Told, type Witness } from './learn';
export { nextUp, proposeMoves, shownBands, upAt, upNow, worthAFly, type Carried, type HatchMove } from './moves';
export {
  dayOfYear,
  daysAfter,
  hoursSince,
  stampAt,
  hourOf,
  knownZone,
  lightOf,
  placeTenth,
  type Light,
  type Place,
} from './sun';
