import type { MoveId } from '@/catalogue/ids';
import type { DrawerRowRead } from '@/core/exchange';
import { hookId as idOf } from '@/core/hooks';
import { command, found, type Around } from '../command';
import type { Entities } from '../kinds';
import { madeModel, type NewModel } from '../model/commands';
import { sizeRecord } from '../model/schema';
import { leftInPacket } from './queries';
import { packetSchema, type PacketRecord } from './schema';

/** Packets that go into the drawer together: a model, and sizes with their counts. */
export interface PacketsIn {
  modelId: string;
  /** Set where the model is not in the catalogue yet. */
  made: NewModel | null;
  sizes: readonly { size: string; count: number }[];
}

/** A packet of a hook: one that is in the drawer is topped up, another is added. */
function putPacket(draft: Entities, { hookId, count }: { hookId: string; count: number }, { now, newId }: Around): void {
  const known = Object.entries(draft.packet).find(([, packet]) => packet.hookId === hookId && packet.label === '');
  const id = known?.[0] ?? newId('packet');
  draft.packet[id] ??= packetSchema.cast({ hookId });
  draft.packet[id]!.moves[newId('move')] = { at: now, count, why: 'got' };
}

/** Packets into the drawer; a model and sizes that are not known are made with them. */
export const putPackets = command<{ packets: readonly PacketsIn[] }>('packets-in', (draft, { packets }, around) => {
  for (const { modelId, made, sizes } of packets) {
    if (made) madeModel(draft, modelId, made);
    const [maker, model] = modelId.split(':') as [string, string];
    const record = draft.model[modelId];
    for (const { size, count } of sizes) {
      if (record && !record.sizes[size]) record.sizes[size] = sizeRecord({ source: 'label' });
      putPacket(draft, { hookId: idOf(maker, model, size), count }, around);
    }
  }
});

/** Rows of the same packet add up. */
function added(rows: readonly DrawerRowRead[]): DrawerRowRead[] {
  const wanted = new Map<string, DrawerRowRead>();
  for (const row of rows) {
    const key = JSON.stringify([row.hookId, row.label ?? '']);
    const same = wanted.get(key);
    wanted.set(key, same ? { ...same, count: same.count + row.count, low: row.low ?? same.low, note: row.note ?? same.note } : row);
  }
  return [...wanted.values()];
}

/** Packets of a drawer file: one that is there, by its hook and its label, is counted again to what the file says and keeps its ledger; another is added. What the file leaves empty stays. */
export const takePackets = command<{ rows: readonly DrawerRowRead[] }>('drawer-file', (draft, { rows }, { now, newId }) => {
  for (const { hookId, count, low, label, note } of added(rows)) {
    const known = Object.values(draft.packet).find((packet) => packet.hookId === hookId && packet.label === (label ?? ''));
    const packet = known ?? packetSchema.cast({ hookId, label: label ?? '' });
    const by = count - leftInPacket(packet);
    if (by !== 0) packet.moves[newId('move')] = { at: now, count: by, why: known ? 'counted' : 'got' };
    packet.low = low ?? packet.low ?? null;
    packet.note = note || packet.note;
    if (!known) draft.packet[newId('packet')] = packet;
  }
}, { label: 'packets-in' });

/** Takes hooks that were tied on out of their packets, the one that holds least first so that packets run out; how many were there. */
export function takeFromPackets(draft: Entities, { hookId, count }: { hookId: string; count: number }, { now, newId }: Around): number {
  const packets = Object.values(draft.packet).filter((packet) => packet.hookId === hookId && leftInPacket(packet) > 0).sort((a, b) => leftInPacket(a) - leftInPacket(b));
  let open = count;
  for (const packet of packets) {
    const taken = Math.min(open, leftInPacket(packet));
    if (taken === 0) break;
    packet.moves[newId('move')] = { at: now, count: -taken, why: 'tied' };
    open -= taken;
  }
  return count - open;
}

/** One entry of a packet's ledger. */
export const countPacket = command<{ packetId: string; by: number; why: MoveId }>('packet-count', (draft, { packetId, by, why }, { now, newId }) => void (found(draft.packet, packetId).moves[newId('move')] = { at: now, count: by, why }));

export const setPacket = command<{ packetId: string } & Partial<Pick<PacketRecord, 'label' | 'note' | 'low'>>>('packet', (draft, { packetId, ...fields }) => void Object.assign(found(draft.packet, packetId), fields), { field: ({ packetId, ...fields }) => `${packetId}/${Object.keys(fields).join()}` });

export const deletePacket = command<{ packetId: string }>('delete-packet', (draft, { packetId }) => void delete draft.packet[packetId]);
