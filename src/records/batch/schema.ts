import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import type { PartId } from '@/catalogue/ids';
import type { Card } from '@/core/card/card-shape';
import { SPOILS, type SpoilId } from '@/core/session/running';
import { demo, mapOf, maybe, note, stamp, text } from '../fields';

/** Flies of one session at most: more than anybody ties in a week. */
export const MOST_FLIES = 200;

const ms = () => number().min(0).nullable().defined().default(null);
const flies = () => number().integer().min(0).max(MOST_FLIES).required();

/** The card a session is tied from, as it was when the session was made: a dressing that is edited, or gone, changes nothing of it. */
const cardOf = () =>
  mixed<Card>()
    .required()
    .test('card', 'card', (value) => {
      const card = value as Partial<Card> | null | undefined;
      return (
        typeof card?.dressing?.id === 'string' &&
        typeof card.hook?.id === 'string' &&
        [card.parts, card.steps, card.hackles, card.threads, card.weights, card.ribs, card.tools].every(
          Array.isArray,
        ) &&
        card.steps!.every((step) => Number.isInteger(step?.n) && typeof step.do === 'string') &&
        card.parts!.every((part) => typeof part?.id === 'string' && typeof part.part === 'string')
      );
    });

const itemSchema = object({
  id: string().required(),
  /** The match whose answer it is; null for a dressing of the library. */
  matchId: text(),
  card: cardOf(),
  count: flies(),
  /** Of its dressing, tied in sessions before. */
  made: flies(),
});

const flySchema = object({
  item: string().required(),
  n: number().integer().min(1).required(),
  done: number().integer().min(0).required(),
  state: string<'begun' | 'made' | 'spoiled'>().oneOf(['begun', 'made', 'spoiled']).required(),
  wetUntil: ms(),
  spent: mapOf(number().min(0).required()),
  spoiledAt: number().integer().min(1).nullable().defined().default(null),
  why: maybe<SpoilId>(SPOILS),
});

const HOWS = ['eye', 'calliper', 'photo'] as const;
export type InspectHow = (typeof HOWS)[number];

const measureSchema = object({
  item: string().required(),
  n: number().integer().min(1).required(),
  part: string().required(),
  kind: string<PartId>().required(),
  mm: number().min(0).max(1000).required(),
  /** What the card said when it was measured. */
  targetMm: number().positive().max(1000).required(),
  how: string<InspectHow>().oneOf(HOWS).required(),
});

/** A timer of one's own, beside those of flies that dry. */
const timerSchema = object({ name: note().required(), ends: number().min(0).required() });

/** An evening at the vise: which cards, how many of each, where every fly stands, what was laid out, measured and spoiled. Times in ms since 1970 are real time, so that a wait is right after a reload. */
export const batchSchema = object({
  demo: demo(),
  title: note().defined().default(''),
  opened: stamp().required(),
  /** Ended and counted: flies, hooks and materials were moved. */
  ended: stamp().nullable().defined().default(null),
  /** When it is to be done, a time of day `22:00`; null for whenever. */
  by: string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/)
    .nullable()
    .defined()
    .default(null),
  mode: string<'fly' | 'step'>().oneOf(['fly', 'step']).default('fly'),
  /** For someone: a name, their water, and what they said later. */
  forName: note().defined().default(''),
  forWater: note().defined().default(''),
  said: note().defined().default(''),
  items: array(itemSchema).default([]),
  /** Lines of the lay-out that are done. */
  ticks: mapOf(boolean().required()),
  flies: mapOf(flySchema),
  /** The fly in the vise, since when its step is worked on (null while it is laid down) and what it took before; `chosen` where the tier took it up out of its order. */
  at: object({
    item: string().required(),
    n: number().integer().min(1).required(),
    since: ms(),
    beforeS: number().min(0).default(0),
    chosen: boolean().default(false),
  })
    .nullable()
    .default(null),
  timers: mapOf(timerSchema),
  measured: mapOf(measureSchema),
  /** What was looked at, by fly and step: whether it is as it should be. */
  looked: mapOf(boolean().required()),
});

export type BatchRecord = InferType<typeof batchSchema>;
export type BatchItem = BatchRecord['items'][number];
export type BatchMeasure = InferType<typeof measureSchema>;
