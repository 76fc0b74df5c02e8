import { boolean, number, object, string, type InferType } from 'yup';
import type { BarbRuleId } from '@/catalogue/ids';
import { KNOWN } from '@/catalogue/known-ids';
import { demo, maybe, note } from '../fields';

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
  permit: note().defined().default(''),
  note: note().defined().default(''),
});

export type WaterRecord = InferType<typeof waterSchema>;
