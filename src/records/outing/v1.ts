import { array, boolean, mixed, number, object, string } from 'yup';

/** Frozen: an outing without its rig, its plan and a logger's temperatures. Read by the migration `outing-rig` only. */
export const outingV1 = object({
  demo: boolean().default(false),
  waterId: string().nullable().defined().default(null),
  start: string().required(),
  end: string().nullable().defined().default(null),
  level: string().nullable().defined().default(null),
  clarity: string().nullable().defined().default(null),
  wind: string().nullable().defined().default(null),
  sky: string().nullable().defined().default(null),
  airC: number().nullable().defined().default(null),
  waterC: number().nullable().defined().default(null),
  team: array(
    object({
      id: string().required(),
      flyId: string().nullable().defined().default(null),
      dressingId: string().nullable().defined().default(null),
      hookId: string().nullable().defined().default(null),
      name: string().required(),
      position: string().nullable().defined().default(null),
      on: string().required(),
      off: string().nullable().defined().default(null),
    }),
  ).default([]),
  note: string().defined().default(''),
  tally: mixed(),
});
