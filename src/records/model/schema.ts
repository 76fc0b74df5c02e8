import { boolean, number, object, string, type InferType, type Schema } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { BarbId, BendId, EyeId, PointId, Source } from '@/catalogue/ids';
import type { LabelDirection, Taping } from '@/core/hooks';
import { demo, dimension, mapOf, maybe, note, stamp } from '../fields';

/** X of a label: no maker goes past 10. */
const MOST_X = 20;

const sizeSchema = object({
  shankMm: dimension(),
  gapeMm: dimension(),
  biteMm: dimension(),
  wireMm: dimension(),
  eyeMm: dimension(),
  massMg: dimension(),
  source: string<Source>().oneOf(KNOWN.sources).default('typed'),
  retired: boolean().default(false),
});

/** One size of a model: what is known of it, mm and mg; empty dimensions follow from the model's law or its label. */
export type SizeRecord = InferType<typeof sizeSchema>;

/** A size of which nothing but its label is known. */
export function sizeRecord(more: Partial<SizeRecord> = {}): SizeRecord {
  return { ...sizeSchema.cast({}), ...more };
}

export const tapingSchema = object({
  at: stamp().required(),
  size: string().required(),
  how: string<Taping['how']>().oneOf(['calliper', 'glass']).default('calliper'),
  shankMm: dimension(),
  gapeMm: dimension(),
  overallMm: dimension(),
  wireMm: dimension(),
});

/** One hook that was measured: its size on the packet and what was read, mm. Never changed once written, so that tabs and files join. */
export type TapingRecord = InferType<typeof tapingSchema>;

export const modelSchema = object({
  demo: demo(),
  makerId: string().required(),
  slug: string()
    .matches(/^[a-z0-9-]+$/)
    .required(),
  name: note().required(),
  bend: string<BendId>().oneOf(KNOWN.bends).required(),
  eye: string<EyeId>().oneOf(KNOWN.eyes).required(),
  point: string<PointId>().oneOf(KNOWN.points).required(),
  barb: string<BarbId>().oneOf(KNOWN.barbs).required(),
  wire: maybe(KNOWN.wires),
  xLong: number().min(-MOST_X).max(MOST_X).default(0),
  xHeavy: number().min(-MOST_X).max(MOST_X).default(0),
  labels: string<LabelDirection>().oneOf(['bigger-smaller', 'bigger-bigger']).default('bigger-smaller'),
  retired: boolean().default(false),
  /** By label, so that two tabs that add sizes lose none. */
  sizes: mapOf<SizeRecord>(sizeSchema as unknown as Schema<SizeRecord>),
  /** Hooks measured, by id, which lie apart: kept as they were read, and never the estimates from them. */
  tally: mapOf<TapingRecord>(tapingSchema as unknown as Schema<TapingRecord>),
});

export type ModelRecord = InferType<typeof modelSchema>;
