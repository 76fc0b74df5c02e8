import { useCallback, useMemo } from 'react';
import { useStore } from 'react-redux';
import type { MoveId } from '@/catalogue/ids';
import { boxSchema, change, localStamp, noteTied, putFly, useAppDispatch, type Entities, type FlyKind, type Store } from '@/state';

export interface PutIn {
  kind: FlyKind;
  slot: string | null;
  count: number;
}

export interface Ledger {
  /** One entry for a fly that is in a box: lost, given, tied, counted. */
  enter(flyId: string, boxId: string, slot: string | null, count: number, why: MoveId): void;
  /** From one compartment to another. */
  shift(flyId: string, boxId: string, from: string | null, to: string, count: number): void;
  /** Flies into a box; the same fly in the same box is topped up. */
  putIn(boxId: string, flies: readonly PutIn[], why: MoveId): void;
  /** Flies off the vise into a box, or into none, and their hooks out of the packets. */
  tied(kind: FlyKind, boxId: string | null, count: number): void;
  newBox(name: string): string;
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
  const dispatch = useAppDispatch();
  const { ports, getState } = useStore() as unknown as Store;
  const now = useCallback(() => getState().session.frozenClock ?? localStamp(ports.now()), [getState, ports]);
  return useMemo(() => {
    const move = (draft: Entities, flyId: string, boxId: string, slot: string | null, count: number, why: MoveId) => void (draft.fly[flyId]!.moves[ports.newId('move')] = { at: now(), boxId, slot, count, why });
    return {
      enter: (flyId, boxId, slot, count, why) => dispatch(change(`move-${why}`, (draft) => move(draft, flyId, boxId, slot, count, why))),
      shift: (flyId, boxId, from, to, count) => dispatch(change('move-shifted', (draft) => {
        move(draft, flyId, boxId, from, -count, 'shifted');
        move(draft, flyId, boxId, to, count, 'shifted');
      })),
      putIn: (boxId, flies, why) => dispatch(change('put-in', (draft) => {
        for (const fly of flies) putFly(draft, { ...fly, boxId, why, at: now(), newId: ports.newId });
      })),
      tied: (kind, boxId, count) => dispatch(change('tied', (draft) => noteTied(draft, { kind, boxId, count, at: now(), newId: ports.newId }))),
      newBox: (name) => {
        const id = ports.newId('box');
        dispatch(change('box', (draft) => void (draft.box[id] = boxSchema.cast({ name, rows: 4, columns: 6 }))));
        return id;
      },
    };
  }, [dispatch, now, ports]);
}
