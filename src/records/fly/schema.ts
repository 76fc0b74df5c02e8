import { mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { RideId } from '@/catalogue/ids';
import { demo, maybe, mm, stage, text, words } from '../fields';
import { LEDGERS, type Tallies } from '../ledger';

const tally = () =>
  mixed<Tallies['fly']>()
    .default(() => LEDGERS.fly.none)
    .test(
      'tally',
      'tally',
      (value) =>
        Array.isArray(value?.places) &&
        value.places.every((place) => typeof place.boxId === 'string' && Number.isInteger(place.count)) &&
        Array.isArray(value.latest),
    );

/** A fly of a box: a dressing's revision on a hook, or one not tied here and what is noted of it. How many are left is the sum of its moves. */
export const flySchema = object({
  demo: demo(),
  name: string().defined().default(''),
  dressingId: text(),
  dressingRev: number().integer().min(1).nullable().defined().default(null),
  hookId: text(),
  choices: words(),
  stage: stage().nullable().defined().default(null),
  lengthMm: mm(),
  /** Colour of its body in words, `tone-hue`. */
  shade: text(),
  ride: maybe<RideId>(KNOWN.rides),
  /** So many of it are to be in the boxes; with fewer it is to be tied. Null where it is only missed when none is left. */
  low: number().integer().min(1).max(999).nullable().defined().default(null),
  /** The sum of its moves, which lie apart. */
  tally: tally(),
});

export type FlyRecord = InferType<typeof flySchema>;
