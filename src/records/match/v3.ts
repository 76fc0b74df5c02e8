import { array, mixed, number, object, string } from 'yup';
import { matchV2 } from './v2';

/** Frozen: matches before a material could be chosen by hand. Read by the migration `materials-by-hand` only. */
export const matchV3 = matchV2.shape({
  answers: array(
    object({
      id: string().required(),
      stage: string().nullable().defined().default(null),
      offset: object({ sizes: number().default(0), intent: string().default('exact') }),
      hookId: string().nullable().defined().default(null),
      dressingId: string().nullable().defined().default(null),
      schools: mixed().default({}),
      without: array(string().required()).default([]),
      added: array(string().required()).default([]),
      settled: string().nullable().defined().default(null),
    }),
  )
    .min(1)
    .max(4)
    .required(),
});
