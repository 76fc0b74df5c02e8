export { threadDiameter, woundCut, type Fibre } from './amounts';
export { isSwapFault } from '../bench/swap-faults';
export { batchOf, takenBy } from './batch';
export { buildCard, mirrorCard } from './card';
export type { CardInput, CardNatural } from './card-input';
export type {
  AfterStep,
  BatchLine,
  Card,
  CardMaterial,
  CardPart,
  CardStep,
  CardThread,
  CardWeight,
  NamedColour,
} from '../card/card-shape';
export { effectsOf, type Effect } from './effects';
export { swapKey } from './swap-key';
export { inSchool, placesFor, type UnusedSchool } from './in-school';
export { countsTurns } from '../card/lay';
export type { LaidPart, LayOut } from './lay-out';
export { threadOnCard, threadsThatServe, type Serves, type ThreadVerdict } from './thread-desk';
export { aughtOf, denierOf, threadFacts, type ThreadFacts } from './thread-facts';
export { seenAs, stripIn, stripOf, type StripRow } from './strip';
