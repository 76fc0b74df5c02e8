import { boolean, mixed, number, object, string } from 'yup';

/** Frozen: a fly without a mark of how many are to be there. Read by the migration `fly-low-mark` only. */
export const flyV3 = object({
  demo: boolean().default(false),
  name: string().defined().default(''),
  dressingId: string().nullable().defined().default(null),
  dressingRev: number().nullable().defined().default(null),
  hookId: string().nullable().defined().default(null),
  choices: mixed().default({}),
  stage: string().nullable().defined().default(null),
  lengthMm: number().nullable().defined().default(null),
  shade: string().nullable().defined().default(null),
  ride: string().nullable().defined().default(null),
  tally: mixed(),
});
