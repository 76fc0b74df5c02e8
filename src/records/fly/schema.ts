import { mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue';
import type { MoveId, RideId } from '@/catalogue/ids';
import type { Move } from '@/core/box';
import { demo, stage, maybe, mm, text, words } from '../fields';

const moves = () => mixed<Record<string, Move>>().default({}).test('moves', 'moves', (value) => value !== null && typeof value === 'object' && Object.values(value as Record<string, Move>).every((move) => typeof move.at === 'string' && typeof move.boxId === 'string' && Number.isInteger(move.count) && KNOWN.moves.includes(move.why as MoveId)));

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
  moves: moves(),
});

export type FlyRecord = InferType<typeof flySchema>;
