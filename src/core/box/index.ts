export { wantedLength } from './wanted-length';
export { carriedFly, type BoxFly, type CarriedFly } from './carried';
export { lookFor, sizesToLookFor, type LookFor } from './look-for';
export { freeSlot, heldBy, leftIn, NO_FLIES, slotsOf, withMove, type Held, type Move, type PlaceTally } from './ledger';
export { matchBox, type BoxAnswer, type BoxMatch, type BoxWanted, type TrimId } from './rank-flies';
