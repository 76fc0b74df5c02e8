import { useMemo } from 'react';
import { useStore } from 'react-redux';
import type { MoveId } from '@/catalogue/ids';
import { slug, type DrawerRowRead } from '@/core/exchange';
import { hookId } from '@/core/hooks';
import { change, localStamp, makerSchema, modelSchema, putPacket, sizeRecord, takePackets, useAppDispatch, type Entities, type ModelRecord, type PacketRecord, type Store, type TapingRecord } from '@/state';

/** A model made in place: its names, bend and what its label says of length and wire. */
export interface NewModel {
  makerName: string;
  modelName: string;
  bend: ModelRecord['bend'];
  xLong: number;
}

/** Packets that go into the drawer together: a model, and sizes with their counts. */
export interface PacketsIn {
  modelId: string;
  /** Set where the model is not in the catalogue yet. */
  made: NewModel | null;
  sizes: readonly { size: string; count: number }[];
}

export interface Drawer {
  put(packets: readonly PacketsIn[]): void;
  /** Packets of a drawer file. */
  take(rows: readonly DrawerRowRead[]): void;
  count(packetId: string, by: number, why: MoveId): void;
  edit(packetId: string, fields: Partial<Pick<PacketRecord, 'label' | 'note' | 'low'>>): void;
  remove(packetId: string): void;
  tape(modelId: string, taping: Omit<TapingRecord, 'at'>): void;
  untape(modelId: string, tapingId: string): void;
}

/** The id that a model made in place gets. */
export function madeId({ makerName, modelName }: Pick<NewModel, 'makerName' | 'modelName'>): string {
  return `${slug(makerName)}:${slug(modelName)}`;
}

function makeModel(draft: Entities, id: string, { makerName, modelName, bend, xLong }: NewModel): void {
  const [makerId, modelSlug] = id.split(':') as [string, string];
  draft.maker[makerId] ??= makerSchema.cast({ name: makerName });
  draft.model[id] ??= modelSchema.cast({ makerId, slug: modelSlug, name: modelName, bend, eye: bend === 'jig' ? 'jig-60' : 'down', point: 'straight', barb: bend === 'jig' ? 'none' : 'barbed', xLong });
}

/** Changes of the drawer: entries of ledgers and hooks taped, never a number that is written over. */
export function useDrawer(): Drawer {
  const dispatch = useAppDispatch();
  const { ports, getState } = useStore() as unknown as Store;
  return useMemo(() => {
    const now = () => getState().session.frozenClock ?? localStamp(ports.now());
    return {
      put: (packets) => dispatch(change('packets-in', (draft) => {
        for (const { modelId, made, sizes } of packets) {
          if (made) makeModel(draft, modelId, made);
          const [maker, model] = modelId.split(':') as [string, string];
          const record = draft.model[modelId];
          for (const { size, count } of sizes) {
            if (record && !record.sizes[size]) record.sizes[size] = sizeRecord({ source: 'label' });
            putPacket(draft, { hookId: hookId(maker, model, size), count, at: now(), newId: ports.newId });
          }
        }
      })),
      take: (rows) => dispatch(change('packets-in', (draft) => takePackets(draft, rows, { at: now(), newId: ports.newId }))),
      count: (packetId, by, why) => dispatch(change('packet-count', (draft) => void (draft.packet[packetId]!.moves[ports.newId('move')] = { at: now(), count: by, why }))),
      edit: (packetId, fields) => dispatch(change('packet', (draft) => void Object.assign(draft.packet[packetId]!, fields), `${packetId}/${Object.keys(fields).join()}`)),
      remove: (packetId) => dispatch(change('delete-packet', (draft) => void delete draft.packet[packetId])),
      tape: (modelId, taping) => dispatch(change('tape', (draft) => void (draft.model[modelId]!.tapings[ports.newId('taping')] = { at: now(), ...taping }))),
      untape: (modelId, tapingId) => dispatch(change('untape', (draft) => void delete draft.model[modelId]!.tapings[tapingId])),
    };
  }, [dispatch, getState, ports]);
}
