export { answer, askedOf, considered, schoolsFor, holdsOfHook, narrowed, nearestOfMaker, NO_CHOICES, railOf } from './answer';
export { secondsTo } from './seconds';
export { cardFor, type CardRequest } from './card-for';
export type { Answer, Catalogue, Choices, Dressed, Holds, HookAnswer, LadderOf, Sample, Schools } from './answer-shape';
export { carryOn, scoreHook, styleUse, type StyleInUse } from './score-hook';
export { ANY_KIND, isOfKind, modelsInOrder, rankHooks, type HookKinds, type HooksAsked, type RankedHooks } from './rank-hooks';
export { convertHook, type ConvertBy, type Converted, type Nearest } from './convert';
export { insectsToSettle, measuresToSettle, type Settled } from './settle';
