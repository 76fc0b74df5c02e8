import { boolean, object, string } from 'yup';

/** Frozen: a maker before one could be retired. Read by the migration `retired-makers` only. */
export const makerV1 = object({
  demo: boolean().default(false),
  name: string().required(),
  xLabel: string().default('number'),
  habit: string().defined().default(''),
});
