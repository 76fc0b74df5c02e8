import { array, number, object, string, type InferType } from 'yup';
import { demo, dimension, stamp, text } from '../fields';

/** Nobody drops a fly more often, or waits longer over a cup. */
const MOST_TIMES = 20;
const LONGEST_S = 7200;

/** A test of a fly in a cup or a glass: how long it floated, or how long it fell through a depth that is known. It tells of its dressing on its hook, and less surely of that dressing's other sizes. */
export const trialSchema = object({
  demo: demo(),
  at: stamp().required(),
  what: string<'cup' | 'drop'>().oneOf(['cup', 'drop']).required(),
  dressingId: text(),
  hookId: text(),
  /** One for each time it was done, s. */
  seconds: array(number().positive().max(LONGEST_S).required()).min(1).max(MOST_TIMES).required(),
  /** Through what it fell, mm; null of a cup. */
  depthMm: dimension(),
});

export type TrialRecord = InferType<typeof trialSchema>;
