import { array, mixed, number, object, string } from 'yup';
import { sampleV2 } from './v2';

/** Frozen: samples with signs of the key, before sexes apart, spirit and keeping for the bench. Read by the migration `kept-for-the-bench` only. */
export const sampleV3 = sampleV2.concat(
  object({
    signs: mixed().default({}),
    skipped: array(string().required()).default([]),
    seen: array(string().required()).default([]),
    rise: string().nullable().defined().default(null),
    rough: object({ mm: number().required(), halfMm: number().required(), how: string().required() })
      .nullable()
      .default(null),
    shades: mixed().default({}),
  }),
);
