import { boolean, mixed, number, object, string } from 'yup';

/** Frozen: photographs whose overlay kept one length and one midline an insect. Read by the migration `traces-kept` only. */
export const photoV1 = object({
  demo: boolean().default(false),
  sampleId: string().required(),
  type: string().required(),
  bytes: number().min(0).required(),
  taken: string().required(),
  overlay: mixed<{
    leftMm: number;
    topMm: number;
    widthMm: number;
    heightMm: number;
    insects: { n: number; bodyMm: number; midlineMm: [number, number][] }[];
  }>()
    .nullable()
    .defined()
    .default(null),
});
