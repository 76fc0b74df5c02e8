import { array, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { Evidence, FaunaId, OrderId, WaterId } from '@/catalogue/ids';
import { demo, stage, mm, text } from '../fields';

const month = () => number().integer().min(1).max(12).required();

/** A group of naturals of the tier's own: as the shipped ones are (docs/formats/groups.md). */
export const groupSchema = object({
  demo: demo(),
  order: string<OrderId>().oneOf(KNOWN.orders).required(),
  name: string().required(),
  scientific: string().defined().default(''),
  regions: array(string<FaunaId>().oneOf(KNOWN.faunas).required()).default([]),
  waters: array(string<WaterId>().oneOf(KNOWN.waters).required()).default([]),
  months: array(month()).default([]),
  /** Lengths count once all three are given, in order. */
  stages: array(
    object({
      stage: stage().required(),
      leastMm: mm(),
      usualMm: mm(),
      mostMm: mm(),
      shades: array(string().required()).default([]),
    }),
  )
    .min(1)
    .required(),
  note: text(),
  evidence: string<Evidence>().oneOf(KNOWN.evidence).default('seen'),
});

export type GroupRecord = InferType<typeof groupSchema>;
