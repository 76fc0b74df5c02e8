import { object, string } from 'yup';

/** Frozen: what a device remembered before its screen could be measured. Read by the migration `size-of-the-screen` only. */
export const deviceV1 = object({
  theme: string().default('morning'),
  hand: string().default('right'),
  lastRoute: string().nullable().defined().default(null),
});
