import { array, mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import { AIR_C, CLARITIES, SKIES, WATER_C, WATER_LEVELS, WINDS } from '@/core/outing/limits';
import { demo, dimension, maybe, note, stamp, text } from '../fields';
import { LEDGERS, type Tallies } from '../ledger';

export { AIR_C, CLARITIES, SKIES, WATER_C, WATER_LEVELS, WINDS };
export const MOST_TEAM = 40;
export const MOST_TEMPS = 300;

const celsius = ([low, high]: readonly [number, number]) =>
  number().min(low).max(high).nullable().defined().default(null);

const teamSchema = object({
  id: string().required(),
  /** The fly of a box; null for one that was tied on from nowhere. */
  flyId: text(),
  dressingId: text(),
  hookId: text(),
  name: note().required(),
  position: maybe(KNOWN.positions),
  /** From the fly, the indicator or the leader above it, mm; null for what is usual of the rig. */
  apartMm: dimension(),
  on: stamp().required(),
  /** When it came off the leader; null while it fishes. */
  off: stamp().nullable().defined().default(null),
});

const tally = () =>
  mixed<Tallies['outing']>()
    .default(() => LEDGERS.outing.none)
    .test('tally', 'tally', (value) => typeof value?.all?.took === 'number' && Array.isArray(value.latest));

/** A day, or an hour, at the water: when, where, how the water was, which flies fished from when to when. What happened is its ledger. */
export const outingSchema = object({
  demo: demo(),
  waterId: text(),
  start: stamp().required(),
  end: stamp().nullable().defined().default(null),
  level: maybe(WATER_LEVELS),
  clarity: maybe(CLARITIES),
  wind: maybe(WINDS),
  sky: maybe(SKIES),
  airC: celsius(AIR_C),
  waterC: celsius(WATER_C),
  team: array(teamSchema).max(MOST_TEAM).default([]),
  rig: maybe(KNOWN.rigs),
  /** How quickly the water runs where it is fished, mm/s. */
  currentMmS: dimension(),
  /** Water temperature through it, as a logger had it. */
  temps: array(object({ at: stamp().required(), c: number().min(WATER_C[0]).max(WATER_C[1]).required() }))
    .max(MOST_TEMPS)
    .default([]),
  /** What is meant to be done with the team and when, by what it is done for; `at` null where it was left out on purpose. */
  plan: array(object({ id: string().required(), at: stamp().nullable().defined().default(null) }))
    .max(MOST_TEAM)
    .default([]),
  note: note().defined().default(''),
  tally: tally(),
});

export type OutingRecord = InferType<typeof outingSchema>;
export type TeamFly = OutingRecord['team'][number];
