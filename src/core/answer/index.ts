export { answer, askedOf, considered, holdsOfHook, narrowed, nearestOfMaker, NO_CHOICES, railOf } from './answer';
export { hookFor, readyAtHand } from './at-hand';
export { swapRefusals } from './swap-holds';
export { secondsTo } from './seconds';
export { naturalOf } from './natural-of';
export { answerFirm } from './firm-hook';
export { endOf, lookAgain } from './look-again';
export { cardFor, type CardRequest } from './card-for';
export type { Answer, Catalogue, Choices, Dressed, Holds, LadderOf, Sample } from './answer-shape';
export { carryOn, scoreHook, styleUse, type HookAnswer, type Schools, type StyleInUse } from '../hook-score';
export {
  ANY_KIND,
  isOfKind,
  modelsInOrder,
  rankHooks,
  type HookKinds,
  type HooksAsked,
  type RankedHooks,
} from './rank-hooks';
export { convertHook, type ConvertBy, type Converted, type Nearest } from './convert';
export { insectsToSettle, measuresToSettle, type Settled } from './settle';
