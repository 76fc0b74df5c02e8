import { array, boolean, mixed, number, object, string } from 'yup';

const measure = object({
  mm: number().nullable().defined().default(null),
  typed: string().nullable().defined().default(null),
});

/** Frozen: samples with specimens, before signs of the key were kept. Read by the migration `signs-of-the-natural` only. */
export const sampleV2 = object({
  demo: boolean().default(false),
  when: string().required(),
  place: string().defined().default(''),
  water: string().default('slow'),
  found: string().nullable().defined().default(null),
  doing: string().nullable().defined().default(null),
  surface: string().default('dry'),
  method: string().default('typed'),
  sex: string().nullable().defined().default(null),
  specimens: array(object({ id: string().required(), body: measure.required() })).default([]),
  overall: measure.default({ mm: null, typed: null }),
  case: measure.default({ mm: null, typed: null }),
  colours: mixed().default({}),
  unread: mixed().default({}),
  photos: array(string().required()).default([]),
});
