import { makeBox } from '../box/commands';
import type { MoveId } from '@/catalogue/ids';
import type { FlyResult, Move } from '@/core/box';
import { command, enter, found, Gone, type Around } from '../command';
import type { Entities } from '../kinds';
import { takeFromPackets } from '../packet/commands';
import { heldOf, sameKind, slotFor, type FlyKind } from './queries';
import { flySchema } from './schema';

interface Place {
  boxId: string;
  slot: string | null;
}

function move(
  draft: Entities,
  flyId: string,
  { boxId, slot, count, why, matchId }: Place & { count: number; why: MoveId; matchId?: string },
  around: Around,
): void {
  const event: Move = { at: around.now, boxId, slot, count, why, ...(matchId === undefined ? {} : { matchId }) };
  enter(draft, { kind: 'fly', owner: flyId, id: around.newId('move'), event }, around);
}

/** Flies put into a box; the same fly in the same box is topped up. */
function putFly(
  draft: Entities,
  { kind, boxId, slot, count, why }: Place & { kind: FlyKind; count: number; why: MoveId },
  around: Around,
): void {
  const known = Object.entries(draft.fly).find(
    ([, fly]) => sameKind(fly, kind) && fly.tally.places.some((place) => place.boxId === boxId),
  );
  const id = known?.[0] ?? around.newId('fly');
  if (!known) draft.fly[id] = flySchema.cast({ ...kind });
  move(draft, id, { boxId, slot, count, why }, around);
}

/** One entry for a fly that is in a box: lost, given, tied, counted. */
export const enterFly = command<Place & { flyId: string; count: number; why: MoveId; matchId?: string }>(
  'move',
  (draft, { flyId, ...entry }, around) => move(draft, flyId, entry, around),
  { label: ({ why }) => `move-${why}` },
);

/** What a fish did to a fly of a box; no fly moves by it. */
export const noteResult = command<{ flyId: string; result: FlyResult; matchId: string | null }>(
  'result',
  (draft, { flyId, result, matchId }, around) => {
    const place = heldOf(found(draft.fly, flyId))[0];
    if (!place) throw new Gone(flyId);
    const event: Move = {
      at: around.now,
      boxId: place.boxId,
      slot: place.slot,
      count: 0,
      why: 'counted',
      result,
      ...(matchId === null ? {} : { matchId }),
    };
    enter(draft, { kind: 'fly', owner: flyId, id: around.newId('move'), event }, around);
  },
  { label: ({ result }) => `result-${result}` },
);

/** From one compartment of a box to another. */
export const shiftFly = command<{ flyId: string; boxId: string; from: string | null; to: string; count: number }>(
  'move-shifted',
  (draft, { flyId, boxId, from, to, count }, around) => {
    move(draft, flyId, { boxId, slot: from, count: -count, why: 'shifted' }, around);
    move(draft, flyId, { boxId, slot: to, count, why: 'shifted' }, around);
  },
);

/** A box that is there, or one made on the spot. */
export type Into = string | { newBox: string };
export const boxIn = (draft: Entities, into: Into, around: Around) =>
  typeof into === 'string' ? into : makeBox(draft, into.newBox, around);

/** Flies into a box, each kind with its count. */
export const putIn = command<{
  into: Into;
  /** `slot` as said; where nothing is said, the kind's own or a free one. */
  flies: readonly { kind: FlyKind; slot?: string | null; count: number }[];
  why: MoveId;
}>('put-in', (draft, { into, flies, why }, around) => {
  const boxId = boxIn(draft, into, around);
  for (const { kind, slot = slotFor(draft, boxId, kind), count } of flies)
    putFly(draft, { kind, slot, count, boxId, why }, around);
});

/** Flies off the vise: into a box that is there, into one made for them, or into none; and as many hooks out of their packets as are there. */
export function putTied(
  draft: Entities,
  { kind, into, count, hooks }: { kind: FlyKind; into: Into | null; count: number; hooks: number },
  around: Around,
): void {
  const boxId = into === null ? null : boxIn(draft, into, around);
  if (boxId !== null) putFly(draft, { kind, boxId, slot: slotFor(draft, boxId, kind), count, why: 'tied' }, around);
  if (kind.hookId && hooks > 0) takeFromPackets(draft, { hookId: kind.hookId, count: hooks }, around);
}

export const noteTied = command<{ kind: FlyKind; into: Into | null; count: number }>('tied', (draft, tied, around) =>
  putTied(draft, { ...tied, hooks: tied.count }, around),
);

/** How many of a fly are to be in the boxes; of the same fly elsewhere the mark goes over to this one. */
export const markFly = command<{ flyId: string; low: number | null }>(
  'fly-low',
  (draft, { flyId, low }) => {
    const fly = found(draft.fly, flyId);
    for (const own of Object.values(draft.fly)) if (own !== fly && sameKind(own, fly)) own.low = null;
    fly.low = low;
  },
  { field: ({ flyId }) => flyId },
);

/** A fly taken out of every box, with its ledger. */
export const takeOut = command<{ flyId: string }>('take-out', (draft, { flyId }) => void delete draft.fly[flyId]);
