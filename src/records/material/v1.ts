import { array, boolean, object, string } from 'yup';

/** Frozen: a material of the tier's own before blends were kept. Read by the migration `blends-kept` only. */
export const materialV1 = object({
  demo: boolean().default(false),
  base: string().nullable().default(null),
  name: string().required(),
  functions: array(string().required()).default([]),
  like: string().nullable().default(null),
  hex: string().required(),
});
