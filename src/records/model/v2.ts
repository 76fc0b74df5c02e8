import { boolean, mixed, number, object, string } from 'yup';

/** One hook taped of before, inside its model. */
export interface TapingV2 {
  at: string;
  size: string;
  how: string;
  shankMm: number | null;
  gapeMm: number | null;
  overallMm: number | null;
  wireMm: number | null;
}

/** Frozen: a model with the hooks taped inside. Read by the migration `tapings-apart` only. */
export const modelV2 = object({
  demo: boolean().default(false),
  makerId: string().required(),
  slug: string().required(),
  name: string().required(),
  bend: string().required(),
  eye: string().required(),
  point: string().required(),
  barb: string().required(),
  wire: string().nullable().defined().default(null),
  xLong: number().default(0),
  xHeavy: number().default(0),
  labels: string().default('bigger-smaller'),
  retired: boolean().default(false),
  sizes: mixed<Record<string, object>>().default({}),
  tapings: mixed<Record<string, TapingV2>>().default({}),
});
