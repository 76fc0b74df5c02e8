import { mixed, number, object, string, type InferType } from 'yup';
import type { MoveId } from '@/catalogue/ids';
import { demo } from '../fields';
import { LEDGERS, type Tallies } from '../ledger';

const tally = () =>
  mixed<Tallies['packet']>()
    .default(() => LEDGERS.packet.none)
    .test('tally', 'tally', (value) => Number.isInteger(value?.count) && Array.isArray(value?.latest));

/** One entry of a packet's ledger: how many hooks came (+) or went (−), and why. */
export interface PacketMove {
  at: string;
  count: number;
  why: MoveId;
}

/** A packet owned: which hook it holds and what stands on it; how many it holds is the sum of what came and went. */
export const packetSchema = object({
  demo: demo(),
  hookId: string().required(),
  /** What is printed on it where that is not maker, model and size. */
  label: string().defined().default(''),
  note: string().defined().default(''),
  /** From so few on it counts as low; null never. */
  low: number().integer().min(0).nullable().defined().default(null),
  /** The sum of what came and went, which lies apart. */
  tally: tally(),
});

export type PacketRecord = InferType<typeof packetSchema>;
