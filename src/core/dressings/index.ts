export { CHANGE_KINDS, dressingSchema, type BaseSpec, type ChangeKind, type Dressing, type DressingAssembly, type DressingPart, type DressingSwitch, type DressingStep, type DressingWeight, type KnownIds, type Station } from './dressing';
export { askedFor, CRITERIA, NO_PICKING, type Asked, type Criterion, type Picking, type Results } from './picking';
export { rankDressings, whyNot, type RankCatalogue, type RankedDressing } from './rank';
export { checkDressing, orderFaults, type CheckCatalogue, type DressingFault, type LaysOut } from './check';
export { readiness } from './readiness';
export { completeDressing, PART_DEFAULTS, STEP_DEFAULTS, writtenDressing, type WrittenDressing } from './complete-dressing';
export type { Tool } from './tool';
export { AS_A_RULE, leftOut, type Switched } from './left-out';
