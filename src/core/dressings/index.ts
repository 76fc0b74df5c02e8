export { dressingSchema, type BaseSpec, type Dressing, type DressingPart, type DressingStep, type DressingWeight, type KnownIds, type Station } from './dressing';
export { rankDressings, type RankedDressing } from './rank';
export { checkDressing, orderFaults, type CheckCatalogue, type DressingFault, type LaysOut } from './check';
export { readiness } from './readiness';
