import { array, boolean, mixed, number, object, string } from 'yup';

/** Frozen: an answer before a part of it could be switched on. */
export const answerV1 = object({
  id: string().required(),
  stage: string().nullable().defined().default(null),
  offset: object({ sizes: number().default(0), intent: string().default('exact') }),
  hookId: string().nullable().defined().default(null),
  dressingId: string().nullable().defined().default(null),
  schools: mixed().default({}),
  without: array(string().required()).default([]),
  settled: string().nullable().defined().default(null),
});

/** Frozen: matches before one could follow another. Read by the migration `follow-up-matches` only. */
export const matchV1 = object({
  demo: boolean().default(false),
  title: string().defined().default(''),
  opened: string().required(),
  sampleId: string().required(),
  answers: array(answerV1).min(1).max(4).required(),
  leading: string().required(),
});
