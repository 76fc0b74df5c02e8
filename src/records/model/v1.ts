import { array, boolean, mixed, number, object, string } from 'yup';

/** Frozen: a model with its sizes in a list. Read by the migration `sizes-by-label` only. */
export const modelV1 = object({
  demo: boolean().default(false),
  makerId: string().required(),
  slug: string().required(),
  name: string().required(),
  bend: string().required(),
  eye: string().required(),
  point: string().required(),
  barb: string().required(),
  wire: string().nullable().default(null),
  xLong: number().default(0),
  xHeavy: number().default(0),
  labels: string().default('bigger-smaller'),
  sizes: array(mixed<{ size: string; [dimension: string]: unknown }>().required()).required(),
});
