import { mixed, object, type InferType } from 'yup';
import { demo } from '../fields';
import { LEDGERS, type Tallies } from '../ledger';

/** The tier's own eye for lengths: its latest guesses, which lie apart, are what it is judged by. */
export const eyeSchema = object({
  demo: demo(),
  tally: mixed<Tallies['eye']>()
    .default(() => LEDGERS.eye.none)
    .test('tally', 'tally', (value) => Array.isArray(value?.latest)),
});

/** The one eye. */
export const EYE_ID = 'mine';

export type EyeRecord = InferType<typeof eyeSchema>;
