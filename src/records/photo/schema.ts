import type { LengthError } from '@/core/photo';
import { array, mixed, number, object, string, type InferType } from 'yup';
import type { RegionId } from '@/catalogue/ids';
import { demo, stamp } from '../fields';

/** One insect of a measured photograph as it was found, and as it was corrected by hand: both are kept. Card mm, midlines from the head. */
export interface OverlayInsect {
  n: number;
  /** The individual of the sample that has its length; null for a case, or where it was let go. */
  specimenId: string | null;
  what: 'body' | 'case';
  bodyMm: number;
  sdMm: number;
  /** What the ± is made of, one standard deviation each, mm; readings of before and those by taps have none. */
  error?: LengthError;
  midlineMm: [number, number][];
  /** Regions that wings lie over: a hand that moves no region does not bring their colour. */
  veiled?: RegionId[];
  widthsMm: number[];
  /** With wings and the like beyond the body; null where it was not seen. */
  overallMm: number | null;
  /** Body millimetres of a card millimetre. */
  factor: number;
  hand: { nodes: [number, number][]; cuts: [number, number, number, number]; bodyMm: number; sdMm: number } | null;
}

/** What was measured on a kept crop, so that it can be drawn over it again. */
export interface Overlay {
  leftMm: number;
  topMm: number;
  widthMm: number;
  heightMm: number;
  /** By the field card, or by taps on something known. */
  by: 'card' | 'hand';
  view: 'back' | 'belly' | 'side';
  insects: OverlayInsect[];
}

/** A card is 10 to 15 cm across; nothing on it is a metre long. */
const MOST_MM = 1000;
const MOST_POINTS = 5000;
const mm = () => number().min(-MOST_MM).max(MOST_MM).required();
const path = () => array(array(mm()).length(2).required()).min(2).max(MOST_POINTS).required();
const reading = { bodyMm: number().positive().max(MOST_MM).required(), sdMm: number().min(0).max(MOST_MM).required() };

/** What drawings of a measured photograph rely on. */
const overlaySchema = object({
  leftMm: mm(),
  topMm: mm(),
  widthMm: number().positive().max(MOST_MM).required(),
  heightMm: number().positive().max(MOST_MM).required(),
  by: string().oneOf(['card', 'hand']).required(),
  view: string().oneOf(['back', 'belly', 'side']).required(),
  insects: array(
    object({
      n: number().integer().min(0).max(MOST_POINTS).required(),
      specimenId: string().nullable().defined(),
      what: string().oneOf(['body', 'case']).required(),
      ...reading,
      midlineMm: path(),
      widthsMm: array(number().min(0).max(MOST_MM).required()).max(MOST_POINTS).required(),
      overallMm: number().positive().max(MOST_MM).nullable().defined(),
      factor: number().positive().max(100).required(),
      hand: object({ nodes: path(), cuts: array(number().required()).length(4).required(), ...reading })
        .nullable()
        .defined()
        .default(null),
    }).required(),
  )
    .max(100)
    .required(),
});

/** A photograph: kept whole while it waits to be measured, then a small crop with what was measured. Its picture is stored apart, under `blob/` and this id. */
export const photoSchema = object({
  demo: demo(),
  sampleId: string().required(),
  type: string().required(),
  bytes: number().min(0).required(),
  taken: stamp().required(),
  overlay: mixed<Overlay>()
    .nullable()
    .defined()
    .default(null)
    .test('overlay', 'overlay', (value) => value == null || overlaySchema.isValidSync(value, { strict: true })),
});

export type PhotoRecord = InferType<typeof photoSchema>;

/** Length and SD that count: the corrected ones where there are some. */
export function lengthNow(insect: OverlayInsect): { bodyMm: number; sdMm: number } {
  return insect.hand ?? insect;
}
