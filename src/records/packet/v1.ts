import { boolean, mixed, number, object, string } from 'yup';

/** One move of before, inside its packet. */
export interface PacketMoveV1 {
  at: string;
  count: number;
  why: string;
}

/** Frozen: a packet with its moves inside. Read by the migration `packet-moves-apart` only. */
export const packetV1 = object({
  demo: boolean().default(false),
  hookId: string().required(),
  label: string().defined().default(''),
  note: string().defined().default(''),
  low: number().nullable().defined().default(null),
  moves: mixed<Record<string, PacketMoveV1>>().default({}),
});
