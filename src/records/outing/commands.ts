import type { PositionId, RiseFormId, SeenId } from '@/catalogue/ids';
import type { LoggedId, OutingEvent } from '@/core/outing/events';
import { command, enter, found, type Around } from '../command';
import { heldOf } from '../fly/queries';
import type { Entities } from '../kinds';
import { makeWater } from '../water/commands';
import { fishing } from './queries';
import { outingSchema, type OutingRecord, type TeamFly } from './schema';

/** An outing begins now, at a water that is known or is named on the spot. Its id. */
export const startOuting = command<{ water: string | { name: string } | null }, string>(
  'start-outing',
  (draft, { water }, around) => {
    const id = around.newId('outing');
    const waterId = water === null || typeof water === 'string' ? water : makeWater(draft, water.name, around);
    draft.outing[id] = outingSchema.cast({ start: around.now, waterId });
    return id;
  },
);

/** Where an outing was, said later. */
export const placeOuting = command<{ outingId: string; water: string | { name: string } | null }>(
  'outing-water',
  (draft, { outingId, water }, around) => {
    const outing = found(draft.outing, outingId);
    outing.waterId = water === null || typeof water === 'string' ? water : makeWater(draft, water.name, around);
  },
);

export const endOuting = command<{ outingId: string }>('end-outing', (draft, { outingId }, { now }) => {
  const outing = found(draft.outing, outingId);
  outing.end = now < outing.start ? outing.start : now;
});

type Fields = Partial<Omit<OutingRecord, 'demo' | 'team' | 'tally'>>;

export const setOuting = command<{ outingId: string } & Fields>(
  'outing',
  (draft, { outingId, ...fields }) => void Object.assign(found(draft.outing, outingId), fields),
  { field: ({ outingId, ...fields }) => `${outingId}/${Object.keys(fields).join()}` },
);

export const deleteOuting = command<{ outingId: string }>(
  'delete-outing',
  (draft, { outingId }) => void delete draft.outing[outingId],
);

/** A fly is tied on. */
export const tieOn = command<
  { outingId: string; position?: PositionId | null } & Pick<TeamFly, 'flyId' | 'dressingId' | 'hookId' | 'name'>
>('team-on', (draft, { outingId, position = null, ...fly }, { now }) => {
  const { team } = found(draft.outing, outingId);
  const last = Math.max(0, ...team.map(({ id }) => Number(id.slice(1)) || 0));
  team.push({ ...fly, position, id: `t${last + 1}`, on: now, off: null });
});

/** A fly comes off the leader; what it did stays. */
export const takeOff = command<{ outingId: string; fly: string }>('team-off', (draft, { outingId, fly }, { now }) => {
  const own = found(draft.outing, outingId).team.find(({ id }) => id === fly);
  if (own && own.off === null) own.off = now;
});

export const placeFly = command<{ outingId: string; fly: string; position: PositionId | null }>(
  'team-place',
  (draft, { outingId, fly, position }) => {
    const own = found(draft.outing, outingId).team.find(({ id }) => id === fly);
    if (own) own.position = position;
  },
);

function note(draft: Entities, owner: string, event: OutingEvent, around: Around): void {
  enter(draft, { kind: 'outing', owner, id: around.newId('move'), event }, around);
}

/** One tap: what a fish did, or that a fly is gone, by fly of the team or by none that is known. The box's fly hears of it too, in the same step. */
export const logFish = command<{ outingId: string; what: LoggedId; fly: string | null }>(
  'outing-log',
  (draft, { outingId, what, fly }, around) => {
    const outing = found(draft.outing, outingId);
    note(draft, outingId, { at: around.now, what, fly }, around);
    const own = fishing(outing).find(({ id }) => id === fly);
    const record = own?.flyId ? draft.fly[own.flyId] : undefined;
    const place = record && heldOf(record)[0];
    if (own?.flyId && place && what !== 'lost-fish')
      enter(
        draft,
        {
          kind: 'fly',
          owner: own.flyId,
          id: around.newId('move'),
          event: {
            at: around.now,
            boxId: place.boxId,
            slot: place.slot,
            count: what === 'lost-fly' ? -1 : 0,
            why: what === 'lost-fly' ? 'lost' : 'counted',
            ...(what === 'lost-fly' ? {} : { result: what }),
          },
        },
        around,
      );
    if (own && what === 'lost-fly') own.off = around.now;
  },
  { label: ({ what }) => `log-${what}` },
);

/** Something was seen, or a rise of some form, now. */
export const noteSeen = command<{ outingId: string } & ({ seen: SeenId } | { rise: RiseFormId })>(
  'outing-seen',
  (draft, { outingId, ...what }, around) => {
    note(draft, outingId, { at: around.now, what: 'seen' in what ? 'seen' : 'rise', ...what }, around);
  },
);
