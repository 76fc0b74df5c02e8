import { object, string, type InferType } from 'yup';
import { demo, length } from '../fields';

/** A length judged by eye before its photograph was measured. */
export const guessSchema = object({ demo: demo(), guessMm: length().required(), trueMm: length().required(), taken: string().required() });

export type GuessRecord = InferType<typeof guessSchema>;
