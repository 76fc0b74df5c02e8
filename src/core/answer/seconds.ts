import type { IntentId, StageMatch } from '@/catalogue/ids';
import type { Answer, Dressed } from './answer-shape';

/** Intents by which another stage's fly is wanted. */
const OF_ANOTHER_STAGE: ReadonlySet<IntentId> = new Set(['easier-prey', 'different-after-refusal']);

/** Whether a fly is a second for what was asked: made for the stage, or for any where another stage's is wanted. */
export function isSecond(match: StageMatch, intent: IntentId): boolean {
  return match === 'same' || OF_ANOTHER_STAGE.has(intent);
}

/** The flies to offer beside the first; a neighbour's, which only fills the list, is none. */
export function secondsTo({ alternatives, natural }: Pick<Answer, 'alternatives' | 'natural'>): Dressed[] {
  return alternatives.filter((item) => isSecond(item.stage_match, natural.offset.intent));
}
