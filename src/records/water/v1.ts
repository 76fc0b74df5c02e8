import { boolean, number, object, string } from 'yup';

/** Frozen: a water without its place, its temperatures and limits of hooks. Read by the migration `water-place` only. */
export const waterV1 = object({
  demo: boolean().default(false),
  name: string().required(),
  kind: string().nullable().defined().default(null),
  maxFlies: number().nullable().defined().default(null),
  barbRule: string().default('any'),
  lead: boolean().default(true),
  bead: boolean().default(true),
  weight: boolean().default(true),
  indicator: boolean().default(true),
  permit: string().defined().default(''),
  note: string().defined().default(''),
});
