export { bundleDiameter, dubbingMass, fibresTaken, flatThickness, loopFor, threadDiameter, woundCut, type Fibre } from './amounts';
export { batchOf } from './batch';
export { buildCard, mirrorCard, type CardInput, type CardNatural } from './card';
export type { AfterStep, BatchLine, Card, CardPart, CardStep, CardThread, CardWeight, NamedColour } from './card-shape';
export { inSchool, SCHOOL_CODE, placesFor, type UnusedSchool } from './in-school';
export { countsTurns } from './lay';
export { isAlong, layOut, type LaidPart, type LayOut } from './lay-out';
