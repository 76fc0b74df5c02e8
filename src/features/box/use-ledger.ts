import { useMemo } from 'react';
import type { MoveId } from '@/catalogue/ids';
import type { FlyResult } from '@/core/box';
import { enterFly, newBox, noteResult, noteTied, putIn, shiftFly, type FlyKind, type Into } from '@/records';
import { useAct } from '@/state';

export interface PutIn {
  kind: FlyKind;
  slot?: string | null;
  count: number;
}

export interface Ledger {
  /** One entry for a fly that is in a box: lost, given, tied, counted. */
  enter(flyId: string, boxId: string, slot: string | null, count: number, why: MoveId, matchId?: string): void;
  /** What a fish did to it, for a match where there is one. */
  result(flyId: string, result: FlyResult, matchId: string | null): void;
  /** From one compartment to another. */
  shift(flyId: string, boxId: string, from: string | null, to: string, count: number): void;
  /** Flies into a box; the same fly in the same box is topped up. */
  putIn(into: Into, flies: readonly PutIn[], why: MoveId): void;
  /** Flies off the vise into a box, into one that is made for them, or into none, and their hooks out of the packets. */
  tied(kind: FlyKind, into: Into | null, count: number): void;
  /** Its id; null when it was refused. */
  newBox(name: string): string | null;
}

/** One kind of fly to be put in, with its count. */
export interface Chosen {
  kind: FlyKind;
  /** What stands for it: the size on the packet, or a length. */
  size: string;
  count: number;
}

/** Changes of what is in the boxes: entries of the ledger, never a number that is written over. */
export function useLedger(): Ledger {
  const act = useAct();
  return useMemo(
    () => ({
      enter: (flyId, boxId, slot, count, why, matchId) =>
        void act(enterFly, { flyId, boxId, slot, count, why, ...(matchId === undefined ? {} : { matchId }) }),
      result: (flyId, result, matchId) => void act(noteResult, { flyId, result, matchId }),
      shift: (flyId, boxId, from, to, count) => void act(shiftFly, { flyId, boxId, from, to, count }),
      putIn: (into, flies, why) => void act(putIn, { into, flies, why }),
      tied: (kind, into, count) => void act(noteTied, { kind, into, count }),
      newBox: (name) => act(newBox, { name }),
    }),
    [act],
  );
}
