export { byGroup, byStage, leadsTo, type StageOdds } from './by-stage';
export { believe, colourFit, INSECT_SD_MM, NOTHING_SEEN, SURE, ranked, type Belief, type Sighting } from './believe';
export { driftedLab, growingOn, unshrunk, type Drift, type Grown, type GrowingOn } from './growing-on';
export type { Answers, AskedId, ColourWords, GroupStage, Key, KeyData, KeySource, NaturalGroup, WaterOdds } from './key-data';
export { gainBits, lookalike, nextSign, pulls } from './next-sign';
export { prepareKey } from './prepare-key';
