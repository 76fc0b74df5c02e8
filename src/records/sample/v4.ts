import { array, boolean, mixed, number, object, string } from 'yup';
import { sampleV3 } from './v3';

const measure = () =>
  object({ mm: number().nullable().defined().default(null), typed: string().nullable().defined().default(null) });

/** Frozen: samples with sexes apart and kept for the bench, before what other programs say of one. Read by the migration `what-other-programs-say` only. */
export const sampleV4 = sampleV3.concat(
  object({
    specimens: array(
      object({
        id: string().required(),
        body: measure(),
        sex: string().nullable().defined().default(null),
        out: string().nullable().defined().default(null),
        halfMm: number().nullable().defined().default(null),
      }),
    ).default([]),
    preserved: boolean().default(false),
    kept: boolean().default(false),
    leftOut: mixed().default([]),
    water: string().nullable().defined().default(null),
  }),
);
