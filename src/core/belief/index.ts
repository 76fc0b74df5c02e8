export { byGroup, byStage, leadsTo, type StageOdds } from './by-stage';
export { believe, INSECT_SD_MM, NOTHING_SEEN, SURE, ranked, type Belief, type Sighting } from './believe';
export { driftedLab, growingOn, unshrunk, type Drift, type Grown, type GrowingOn } from './growing-on';
export type {
  Answers,
  AskedId,
  ColourWords,
  GroupStage,
  Key,
  KeyData,
  KeySource,
  Member,
  NaturalGroup,
  Table,
  WaterOdds,
} from './key-data';
export type { LengthSeen } from './evidence';
export { gainBits, lookalike, nextSign, weightsOfEvidence, type Otherwise, type WeightOfEvidence } from './next-sign';
export { prepareKey, written } from './prepare-key';
