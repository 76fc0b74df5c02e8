export { wantedLength } from './wanted-length';
export { carriedFly, type BoxFly, type CarriedFly } from './carried';
export { lookFor, sizesToLookFor, type LookFor } from './look-for';
export {
  FLY_RESULTS,
  freeSlot,
  heldBy,
  leftIn,
  NO_RESULTS,
  slotsOf,
  type FlyResult,
  type Held,
  type Move,
  type PlaceTally,
  type ResultCount,
  type ResultTally,
} from './ledger';
export { matchBox, type BoxAnswer, type BoxMatch, type BoxWanted, type TrimId } from './rank-flies';
