export { answer, NO_CHOICES } from './answer';
export { cardFor, type CardRequest } from './card-for';
export type { Answer, Catalogue, Choices, Dressed, Holds, HookAnswer, Sample, Schools } from './answer-shape';
export { scoreHook, type StyleInUse } from './score-hook';
