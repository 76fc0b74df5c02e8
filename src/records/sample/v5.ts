import { mixed, object } from 'yup';
import { sampleV4 } from './v4';

/** Frozen: samples before they knew their outing. Read by the migration `sample-outing` only. */
export const sampleV5 = sampleV4.concat(
  object({
    extra: mixed().default({}),
  }),
);
