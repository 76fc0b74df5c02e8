import { array, boolean, mixed, number, object, string } from 'yup';

/** Frozen: samples as first stored, lengths as bare numbers. Read by the migration `lengths-become-specimens` only. */
export const sampleV1 = object({
  demo: boolean().default(false),
  when: string().required(),
  place: string().defined().default(''),
  water: string().default('slow'),
  found: string().nullable().defined().default(null),
  doing: string().nullable().defined().default(null),
  surface: string().default('dry'),
  method: string().default('typed'),
  sex: string().nullable().defined().default(null),
  lengths: array(number().required()).default([]),
  overallMm: number().nullable().defined().default(null),
  caseMm: number().nullable().defined().default(null),
  colours: mixed().default({}),
});
