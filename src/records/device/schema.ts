import { boolean, mixed, number, object, string, type InferType } from 'yup';
import type { CautionId } from '@/catalogue/ids';
import { text } from '../fields';

export const deviceSchema = object({
  theme: string<'morning' | 'dusk' | 'red-lamp'>().oneOf(['morning', 'dusk', 'red-lamp']).default('morning'),
  hand: string<'right' | 'left'>().oneOf(['right', 'left']).default('right'),
  /** The side that actions lie on at the water. */
  thumb: string<'right' | 'left'>().oneOf(['right', 'left']).default('right'),
  /** Which side of an insect was photographed last, and what the printed card's 50 mm line really is, over 50. */
  view: string<'back' | 'belly' | 'side'>().oneOf(['back', 'belly', 'side']).default('belly'),
  printedScale: number().min(0.8).max(1.25).default(1),
  /** The day each caution was last shown: once a day is enough on the water. */
  cautioned: mixed<Partial<Record<CautionId, string>>>().default({}),
  /** A field card was saved to be printed, and the first steps were put away. */
  cardKept: boolean().default(false),
  stepsAway: boolean().default(false),
  /** When a backup was last made here, local time; null for never. */
  backedUp: text(),
  /** When something was last handed to another device from here, ms since 1970; null for never. */
  handedOver: number().nullable().defined().default(null),
  /** At the vise: a sound when a wait is over, steps read aloud, and the screen kept awake. */
  sound: boolean().default(false),
  voice: boolean().default(false),
  awake: boolean().default(true),
  lastRoute: text(),
  /** CSS pixels of a millimetre, for the screen it was measured on. */
  screen: object({ key: string().required(), pxPerMm: number().min(1).max(40).required() })
    .nullable()
    .default(null),
});

/** The one device record. */
export const DEVICE_ID = 'this';

export type DeviceRecord = InferType<typeof deviceSchema>;
