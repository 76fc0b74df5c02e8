import { weakMapMemoize } from '@reduxjs/toolkit';
import type { Answer } from '@/core/answer';
import { byStage } from '@/core/belief';
import type { StageId } from '@/catalogue/ids';
import type { AnswerRecord } from '@/records';
import { answeredBy, selectAnswered } from './answers';
import { selectBelief } from './belief';
import { selectKey } from './own-groups';
import type { State } from './store';
import { isUntold } from './untold';

/** A match's answer while it is still being told: for the stage that was given or, before that, for the likeliest. */
export interface LikelyAnswer {
  stage: StageId;
  /** How likely the stage is; null where the tier gave it. */
  p: number | null;
  /** Null while the length is missing. */
  answer: Answer | null;
}

/** One record for a guess, so that what was worked out by it is found again. */
const asGuessed = weakMapMemoize((record: AnswerRecord, stage: StageId): AnswerRecord => ({ ...record, stage }));

/** What a match comes to so far, from the first odds on; null while nothing is told. */
export function selectLikely(state: State, matchId: string): LikelyAnswer | null {
  const match = state.records.entities.match[matchId];
  const record = match?.answers.find((item) => item.id === match.leading);
  const sample = match && state.records.entities.sample[match.sampleId];
  if (!match || !record || !sample) return null;
  if (record.stage) {
    const answered = selectAnswered(state, matchId, record.id)!;
    return { stage: record.stage, p: null, answer: answered.status === 'answered' ? answered.answer : null };
  }
  if (isUntold(state.records.entities, matchId)) return null;
  const believed = selectBelief(state, match.sampleId);
  const first = believed && byStage(selectKey(state), believed.belief)[0];
  if (!first) return null;
  const guessed = answeredBy(state, `${matchId}/likely`, sample, asGuessed(record, first.stage));
  return { stage: first.stage, p: first.p, answer: guessed.status === 'answered' ? guessed.answer : null };
}
