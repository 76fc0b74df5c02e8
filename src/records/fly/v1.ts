import { mixed, number, object, string, boolean } from 'yup';

/** Frozen: a fly as a dressing on a hook, without a ledger. Read by the migration `flies-with-a-ledger` only. */
export const flyV1 = object({
  demo: boolean().default(false),
  dressingId: string().required(),
  dressingRev: number().required(),
  hookId: string().required(),
  choices: mixed().default({}),
});
