import { mixed, number, object, string } from 'yup';
import { deviceV2 } from './v2';

/** Frozen: a device before the first steps of a clean start. Read by the migration `first-steps` only. */
export const deviceV3 = deviceV2.concat(
  object({
    thumb: string().default('right'),
    view: string().default('belly'),
    printedScale: number().default(1),
    cautioned: mixed().default({}),
  }),
);
