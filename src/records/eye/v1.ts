import { boolean, number, object, string } from 'yup';

/** Frozen: a guess as a record of its own. Read by the migration `guesses-by-the-eye` only. */
export const guessV1 = object({
  demo: boolean().default(false),
  guessMm: number().required(),
  trueMm: number().required(),
  taken: string().required(),
});
