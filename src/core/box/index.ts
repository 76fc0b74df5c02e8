export { carriedFly, type BoxFly, type CarriedFly } from './carried';
export { matchBox, type BoxAnswer, type BoxMatch, type BoxWanted, type TrimId } from './match-box';
