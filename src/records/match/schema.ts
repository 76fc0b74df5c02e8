import { array, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { IntentId, StageId } from '@/catalogue/ids';
import { demo, note, stage, stamp, text, words } from '../fields';

export const answerSchema = object({
  id: string().required(),
  stage: stage().nullable().defined().default(null),
  offset: object({
    sizes: number().min(-3).max(3).default(0),
    intent: string<IntentId>().oneOf(KNOWN.intents).default('exact'),
  }),
  hookId: text(),
  dressingId: text(),
  schools: words(),
  /** Switches (or parts) turned off by hand. */
  without: array(string().required()).default([]),
  /** Switches turned on that are off as a rule. */
  added: array(string().required()).default([]),
  /** Materials chosen by hand: by `dressing/material`, the one it is tied in instead. */
  swaps: words(),
  settled: text(),
});

/** An answer of a match with nothing chosen but its stage. */
export function newAnswer(id: string, stage: StageId | null): InferType<typeof answerSchema> {
  return answerSchema.cast({ id, stage });
}

export const matchSchema = object({
  demo: demo(),
  title: note().defined().default(''),
  opened: stamp().required(),
  sampleId: string().required(),
  answers: array(answerSchema).min(1).max(4).required(),
  leading: string().required(),
  /** The match this one follows: the same insects at an earlier or later stage. */
  parentId: text(),
});

export type AnswerRecord = InferType<typeof answerSchema>;
export type MatchRecord = InferType<typeof matchSchema>;
