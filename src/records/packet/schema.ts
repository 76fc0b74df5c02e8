import { mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue';
import type { MoveId } from '@/catalogue/ids';
import { demo } from '../fields';

const packetMoves = () => mixed<Record<string, PacketMove>>().default({}).test('moves', 'moves', (value) => value !== null && typeof value === 'object' && Object.values(value as Record<string, PacketMove>).every((move) => typeof move.at === 'string' && Number.isInteger(move.count) && KNOWN.moves.includes(move.why as MoveId)));

/** One entry of a packet's ledger: how many hooks came (+) or went (−), and why. */
export interface PacketMove {
  at: string;
  count: number;
  why: MoveId;
}

/** A packet owned: which hook it holds, what stands on it, and what came and went. */
export const packetSchema = object({
  demo: demo(),
  hookId: string().required(),
  /** What is printed on it where that is not maker, model and size. */
  label: string().defined().default(''),
  note: string().defined().default(''),
  /** From so few on it counts as low; null never. */
  low: number().integer().min(0).nullable().defined().default(null),
  moves: packetMoves(),
});

export type PacketRecord = InferType<typeof packetSchema>;
