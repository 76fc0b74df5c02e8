export { wantedLength } from './wanted-length';
export { carriedFly, type BoxFly, type CarriedFly } from './carried';
export { freeSlot, heldBy, leftIn, slotsOf, type Held, type Move } from './ledger';
export { matchBox, type BoxAnswer, type BoxMatch, type BoxWanted, type TrimId } from './match-box';
