export { byGroup, byStage, type StageOdds } from './by-stage';
export { believe, colourFit, NOTHING_SEEN, ranked, type Belief, type Sighting } from './believe';
export { growingOn, unshrunk, type Grown, type GrowingOn } from './growing-on';
export type { Answers, AskedId, ColourWords, GroupStage, Key, KeyData, KeySource, NaturalGroup, WaterOdds } from './key-data';
export { gainBits, lookalike, nextSign, pulls } from './next-sign';
export { prepareKey } from './prepare-key';
