export { beadMass, beadRange, boreNeeded, stripMassPerMm, usualBead, woundMass } from './bead';
export {
  beadPlace,
  carry,
  eyeShare,
  offsetFactor,
  pathFactor,
  pinnedPathFactor,
  raftLength,
  room,
  target,
} from './carry';
export {
  BEAD_AT,
  columnsOf,
  EYE_AT,
  GAPE_AT,
  ofEveryShape,
  STRIDE,
  SHANK_AT,
  WIRE_AT,
  WIRE_ORDER,
  xOf,
  type HookColumns,
} from './columns';
export { betweenSizes, completeModel, lawTable, scaleNumber } from './complete-model';
export { hookFromRow, hookId, modelKey, type Hook, type HookDimension, type HookRow, type ShapeField } from './hook';
export {
  labelDimensions,
  labelNumber,
  type LabelDimensions,
  type LabelDirection,
  type XLabelSchool,
} from './label-dimensions';
export { hookLength, landmarks } from './landmarks';
export { modelLaw, type LawShank } from './model-law';
export { modelSdSteps, rungBounds, rungProbabilities, type ModelRung, type RungBounds } from './probability';
export { referenceRange, type ReferenceModel } from './reference-range';
export {
  hookMass,
  reads,
  readsGape,
  referenceEye,
  referenceGape,
  referenceShank,
  referenceWire,
  scaleLengthOfGape,
  throatOf,
} from './scale';
export { readSizeLabel, sizeLabelOf, type SizeLabel } from './size-label';
export type { StageRow, Style } from './style';
export {
  barbAllowed,
  bendCost,
  placeReasons,
  stylePlace,
  suit,
  wireClassesApart,
  wireCost,
  type HookPlace,
  type Suit,
} from './suit';
export { floats } from './style';
export {
  beadFit,
  beadOnHook,
  nearestWire,
  tippetFit,
  weightFit,
  type BeadFit,
  type BeadOnHook,
  type FitHook,
  type TippetFit,
  type WeightFit,
} from './bead-fit';
export {
  findModels,
  readPacketLine,
  readPastedPackets,
  type NamedModel,
  type PacketLine,
  type PacketSize,
} from './packet-line';
export { glassHalfMm, overallOf, readsAgainst, type Ends, type Reads, type Taping } from './tape';
