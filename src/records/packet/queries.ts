import type { Entities } from '../kinds';
import type { PacketRecord } from './schema';

/** How many hooks a packet holds: the sum of its ledger, never below 0. */
export function leftInPacket(packet: PacketRecord): number {
  return Math.max(0, packet.tally.count);
}

export function isLow(packet: PacketRecord): boolean {
  return packet.low !== null && packet.low !== undefined && leftInPacket(packet) <= packet.low;
}

/** Hooks owned, by hook id, over every packet. */
export function ownedIn(packets: Entities['packet']): Record<string, number> {
  const owned: Record<string, number> = {};
  for (const packet of Object.values(packets)) {
    const left = leftInPacket(packet);
    if (left > 0) owned[packet.hookId] = (owned[packet.hookId] ?? 0) + left;
  }
  return owned;
}
