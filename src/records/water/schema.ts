import { boolean, number, object, string, type InferType } from 'yup';
import type { BarbRuleId } from '@/catalogue/ids';
import { KNOWN } from '@/catalogue/known-ids';
import { WATER_C } from '@/core/outing/limits';
import { demo, dimension, mapOf, maybe, note, text } from '../fields';

const celsius = () => number().min(WATER_C[0]).max(WATER_C[1]).required();
const dailySchema = object({ mean: celsius(), low: celsius(), high: celsius() });

/** A water with what is allowed there, as the tier noted it. */
export const waterSchema = object({
  demo: demo(),
  name: note().required(),
  kind: maybe(KNOWN.waterKinds),
  /** Flies on one leader at most; null where nothing is said. */
  maxFlies: number().integer().min(1).max(10).nullable().defined().default(null),
  barbRule: string<BarbRuleId>().oneOf(KNOWN.barbRules).default('any'),
  lead: boolean().default(true),
  bead: boolean().default(true),
  weight: boolean().default(true),
  indicator: boolean().default(true),
  /** No hook larger than this number, nor longer over all than so many mm; null where nothing is said. */
  hookLargest: number().integer().min(0).max(32).nullable().defined().default(null),
  hookLongestMm: dimension(),
  /** Where it is, to a tenth of a degree: enough for the sun, and no spot. `zone` is whose clock its times are by; null for this device's. */
  place: object({
    lat: number().min(-90).max(90).required(),
    lon: number().min(-180).max(180).required(),
    zone: text(),
  })
    .nullable()
    .default(null),
  /** Water temperature by local day, °C, as a logger had it. */
  daily: mapOf(dailySchema),
  permit: note().defined().default(''),
  note: note().defined().default(''),
});

export type WaterRecord = InferType<typeof waterSchema>;
