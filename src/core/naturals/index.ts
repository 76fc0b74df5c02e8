export { eyeOf, type Eye, type Guess } from './practice-eye';
export { femaleOverMale } from './sex-ratio';
export { bimodality, type Bimodality } from './bimodality';
export { lengthStats, methodHalfWidth, postureCv, type LengthStats } from './length-stats';
export { bodyFrom, caseFrom, overallRatio, type BodyLength, type KnownLengths } from './known-lengths';
export { tailsAt, tailsFor, tailsOfNatural, type TailedGroup } from './tails';
export { groupsThatFit, type LivingGroup } from './groups-that-fit';
export { LENGTH_SPANS, spanOfLength, type LengthSpan } from './length-spans';
