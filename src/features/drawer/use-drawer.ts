import { useMemo } from 'react';
import type { MoveId } from '@/catalogue/ids';
import { slug } from '@/core/exchange';
import {
  countPacket,
  deletePacket,
  putPackets,
  setPacket,
  tapeHook,
  untapeHook,
  type NewModel,
  type PacketRecord,
  type PacketsIn,
  type TapingRecord,
} from '@/records';
import { useAct } from '@/state';

export interface Drawer {
  put(packets: readonly PacketsIn[]): void;
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

/** Changes of the drawer: entries of ledgers and hooks taped, never a number that is written over. */
export function useDrawer(): Drawer {
  const act = useAct();
  return useMemo(
    () => ({
      put: (packets) => void act(putPackets, { packets }),
      count: (packetId, by, why) => void act(countPacket, { packetId, by, why }),
      edit: (packetId, fields) => void act(setPacket, { packetId, ...fields }),
      remove: (packetId) => void act(deletePacket, { packetId }),
      tape: (modelId, taping) => void act(tapeHook, { modelId, taping }),
      untape: (modelId, tapingId) => void act(untapeHook, { modelId, tapingId }),
    }),
    [act],
  );
}
