import type { PositionId, RiseFormId, SeenId } from '@/catalogue/ids';
import type { LoggedId, OutingEvent } from '@/core/outing/events';
import { command, enter, found, type Around } from '../command';
import { heldOf } from '../fly/queries';
import type { Entities } from '../kinds';
import type { Entered } from '../ledger';
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

type TiedOn = { outingId: string; position?: PositionId | null } & Pick<
  TeamFly,
  'flyId' | 'dressingId' | 'hookId' | 'name'
>;

function tie(
  draft: Entities,
  { outingId, position = null, flyId, dressingId, hookId, name }: TiedOn,
  now: string,
): void {
  const { team } = found(draft.outing, outingId);
  const last = Math.max(0, ...team.map(({ id }) => Number(id.slice(1)) || 0));
  team.push({ flyId, dressingId, hookId, name, position, apartMm: null, id: `t${last + 1}`, on: now, off: null });
}

function off(draft: Entities, outingId: string, fly: string, now: string): void {
  const own = found(draft.outing, outingId).team.find(({ id }) => id === fly);
  if (own && own.off === null) own.off = now;
}

/** A fly is tied on. */
export const tieOn = command<TiedOn>('team-on', (draft, fly, { now }) => tie(draft, fly, now));

/** A fly comes off the leader; what it did stays. */
export const takeOff = command<{ outingId: string; fly: string }>('team-off', (draft, { outingId, fly }, { now }) =>
  off(draft, outingId, fly, now),
);

/** One fly in the place of another, in one step. */
export const tieInstead = command<TiedOn & { off: string }>(
  'team-instead',
  (draft, { off: fly, ...other }, { now }) => {
    off(draft, other.outingId, fly, now);
    tie(draft, other, now);
  },
);

/** Where a fly stands on the leader, and how far below what is above it. */
export const placeFly = command<{
  outingId: string;
  fly: string;
  position?: PositionId | null;
  apartMm?: number | null;
}>(
  'team-place',
  (draft, { outingId, fly, position, apartMm }) => {
    const own = found(draft.outing, outingId).team.find(({ id }) => id === fly);
    if (!own) return;
    if (position !== undefined) own.position = position;
    if (apartMm !== undefined) own.apartMm = apartMm;
  },
  { field: ({ outingId, fly, apartMm }) => (apartMm === undefined ? null : `${outingId}/${fly}/apart`) },
);

/** Two flies change places; one that had none stood where its rig put it. */
export const swapFlies = command<{
  outingId: string;
  a: string;
  b: string;
  places: Readonly<Record<string, PositionId>>;
}>('team-swap', (draft, { outingId, a, b, places }) => {
  const { team } = found(draft.outing, outingId);
  const [one, other] = [team.find(({ id }) => id === a), team.find(({ id }) => id === b)];
  if (!one || !other) return;
  const [ofOne, ofOther] = [one.position ?? places[a] ?? null, other.position ?? places[b] ?? null];
  one.position = ofOther;
  other.position = ofOne;
});

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

/** What is told of a fish after the fact: the entry goes out and stands again with it, in one step; as it stands then. */
export const tellFish = command<
  { outingId: string; id: string; event: OutingEvent } & Pick<
    OutingEvent,
    'fishMm' | 'species' | 'depthMm' | 'released'
  >,
  Entered<OutingEvent>
>('outing-fish', (draft, { outingId, id, event, ...told }, around) => {
  const { at, what, fly } = event;
  const said = Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined && value !== ''));
  const next = { id: around.newId('move'), event: { at, what, fly, ...said } };
  enter(draft, { kind: 'outing', owner: outingId, id, event, on: false }, around);
  enter(draft, { kind: 'outing', owner: outingId, ...next }, around);
  return next;
});

/** What is meant to be changed on the leader and when; null takes it out of the plan. */
export const planMove = command<{ outingId: string; id: string; at: string | null }>(
  'outing-plan',
  (draft, { outingId, id, at }) => {
    const outing = found(draft.outing, outingId);
    outing.plan = [...outing.plan.filter((own) => own.id !== id), { id, at }];
  },
  { field: ({ outingId, id }) => `${outingId}/${id}` },
);
