import { array, mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import { demo, maybe, note, stamp, text } from '../fields';
import { LEDGERS, type Tallies } from '../ledger';

export const WATER_LEVELS = ['low', 'usual', 'high', 'flood'] as const;
export const CLARITIES = ['clear', 'stained', 'brown'] as const;
export const WINDS = ['still', 'breeze', 'wind'] as const;
export const SKIES = ['sun', 'cloud', 'drizzle', 'rain'] as const;
/** Water that is wet and a day that is fished, °C. */
export const WATER_C = [-1, 40] as const;
export const AIR_C = [-40, 50] as const;
export const MOST_TEAM = 40;

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
  note: note().defined().default(''),
  tally: tally(),
});

export type OutingRecord = InferType<typeof outingSchema>;
export type TeamFly = OutingRecord['team'][number];
