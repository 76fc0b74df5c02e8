import type { MoveId } from '@/catalogue/ids';
import type { DrawerRowRead } from '@/core/exchange';
import { hookId as idOf } from '@/core/hooks/hook';
import { command, enter, found, type Around } from '../command';
import { takeSaid } from '../import-duplicate';
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

/** One entry of a packet's ledger. */
function move(draft: Entities, owner: string, count: number, why: MoveId, around: Around): void {
  enter(draft, { kind: 'packet', owner, id: around.newId('move'), event: { at: around.now, count, why } }, around);
}

/** A packet of a hook: one that is in the drawer is topped up, another is added. */
function putPacket(draft: Entities, { hookId, count }: { hookId: string; count: number }, around: Around): void {
  const known = Object.entries(draft.packet).find(([, packet]) => packet.hookId === hookId && packet.label === '');
  const id = known?.[0] ?? around.newId('packet');
  draft.packet[id] ??= packetSchema.cast({ hookId });
  move(draft, id, count, 'got', around);
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
    const key = JSON.stringify([row.packet, row.hookId, row.label ?? '']);
    const same = wanted.get(key);
    wanted.set(
      key,
      same ? { ...same, count: same.count + row.count, low: row.low ?? same.low, note: row.note ?? same.note } : row,
    );
  }
  return [...wanted.values()];
}

/** Packets of a drawer file: one that is there, by its hook and its label, is counted again to what the file says and keeps its ledger; another is added. What the file leaves empty stays. */
export const takePackets = command<{ rows: readonly DrawerRowRead[] }>(
  'drawer-file',
  (draft, { rows }, around) => {
    const key = (hookId: string, label: string | null) => JSON.stringify([hookId, label ?? '']);
    const there = new Map(Object.entries(draft.packet).map(([id, { hookId, label }]) => [key(hookId, label), id]));
    for (const { packet: named, hookId, count, low, label, note } of added(rows)) {
      const known = named === null ? there.get(key(hookId, label)) : named in draft.packet ? named : undefined;
      const id = known ?? (named === null ? around.newId('packet') : named);
      takeSaid(draft, 'packet', id, { hookId, label: label ?? '', low, note }, around);
      const by = count - leftInPacket(draft.packet[id]!);
      if (by !== 0) move(draft, id, by, known ? 'counted' : 'got', around);
    }
  },
  { label: 'packets-in' },
);

/** Takes hooks that were tied on out of their packets, the one that holds least first so that packets run out; how many were there. */
export function takeFromPackets(
  draft: Entities,
  { hookId, count }: { hookId: string; count: number },
  around: Around,
): number {
  const packets = Object.entries(draft.packet)
    .filter(([, packet]) => packet.hookId === hookId && leftInPacket(packet) > 0)
    .sort(([, a], [, b]) => leftInPacket(a) - leftInPacket(b));
  let open = count;
  for (const [id, packet] of packets) {
    const taken = Math.min(open, leftInPacket(packet));
    if (taken === 0) break;
    move(draft, id, -taken, 'tied', around);
    open -= taken;
  }
  return count - open;
}

export const countPacket = command<{ packetId: string; by: number; why: MoveId }>(
  'packet-count',
  (draft, { packetId, by, why }, around) => move(draft, packetId, by, why, around),
);

export const setPacket = command<{ packetId: string } & Partial<Pick<PacketRecord, 'label' | 'note' | 'low'>>>(
  'packet',
  (draft, { packetId, ...fields }) => void Object.assign(found(draft.packet, packetId), fields),
  { field: ({ packetId, ...fields }) => `${packetId}/${Object.keys(fields).join()}` },
);

export const deletePacket = command<{ packetId: string }>(
  'delete-packet',
  (draft, { packetId }) => void delete draft.packet[packetId],
);
