export {
  dressingSchema,
  PLUS,
  type BaseSpec,
  type ChangeKind,
  type Dressing,
  type DressingAssembly,
  type DressingPart,
  type DressingSwitch,
  type DressingStep,
  type DressingWeight,
  type KnownIds,
  type Station,
} from './dressing';
export { askedFor, CRITERIA, NO_PICKING, type Asked, type Criterion, type Picking, type Results } from './picking';
export { beforeSecond, rankDressings, whyNot, type RankCatalogue, type RankedDressing } from './rank';
export { checkDressing, type CheckCatalogue, type DressingFault, type LaysOut } from './check';
export { isBenchLack, readiness, readyAtBench, type Bench } from './readiness';
export { neededBy, standInFor, type StandIn, type Wanted } from './stand-in';
export { changesBetween, doesIn, refusedIn, substitutesFor, type Refused, type Substitute } from './substitutes';
export { comparedMm, referenceRangeOf, type RangeHook } from './hook-range';
export {
  completeDressing,
  completeHead,
  ordered,
  PART_DEFAULTS,
  STEP_DEFAULTS,
  without,
  writtenDressing,
  writtenHead,
  type WrittenDressing,
  type WrittenHead,
} from './complete-dressing';
export type { Tool } from './tool';
export { AS_A_RULE, leftOut, onAsRule, switchedWays, type Switched } from './left-out';
export {
  derive,
  differences,
  same,
  dropPart,
  movedRun,
  recheckCounts,
  rechecks,
  runOf,
  setMaterial,
  type NotedChange,
  type Difference,
  type EndOfRange,
} from './derive';
export { addPart, newPartId, setOptional } from './add-part';
export {
  addAssembly,
  setThread,
  addWeight,
  dropWeight,
  addBundle,
  dropAssembly,
  setAssembly,
  setBundle,
  setLayers,
  type DressingBundle,
} from './shared-parts';
export { shoppingList, type ShoppingLine } from './shopping';
