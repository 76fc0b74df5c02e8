import { boolean, number, object, string, type Schema } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { MoveId } from '@/catalogue/ids';
import {
  FLY_RESULTS,
  NO_FLIES,
  NO_RESULTS,
  withMove,
  withResult,
  type FlyResult,
  type Move,
  type PlaceTally,
  type ResultTally,
} from '@/core/box/ledger';
import { DEEPEST_MM, LONGEST_FISH_MM } from '@/core/outing/limits';
import {
  NO_EVENTS,
  notedOf,
  notedWith,
  withEvent,
  LOGGED,
  type OutingEvent,
  type OutingTally,
} from '@/core/outing/events';
import { length, note, stamp } from './fields';
import type { Version } from './migrate';
import type { PacketMove } from './packet/schema';
import { tapingSchema, type TapingRecord } from './model/schema';

/** More than a maker sells in a year. */
const MOST_MOVED = 1_000_000;

/** The latest entries of a ledger, by id: enough to be shown, an eye learns by no more, and of an outing the last hours. */
const LATEST = { moves: 8, guesses: 40, seen: 60 } as const;

/** A length judged by eye before its photograph was measured. */
export interface Guess {
  guessMm: number;
  trueMm: number;
  at: string;
}

/** What happens to a thing, by the kind of its owner. Never changed once it was entered; entered by mistake, it is taken out again. */
export interface EventTypes {
  fly: Move;
  packet: PacketMove;
  stash: PacketMove;
  model: TapingRecord;
  eye: Guess;
  outing: OutingEvent;
}
export type OwnerKind = keyof EventTypes;

export interface Entered<E> {
  id: string;
  event: E;
}

/** What a ledger comes to, kept beside its owner; it can be worked out anew from the events at any time. */
export interface Tallies {
  /** `results` is absent where a version summed that knew of none. */
  fly: { places: PlaceTally[]; latest: Entered<Move>[]; results?: ResultTally };
  packet: { count: number; latest: Entered<PacketMove>[] };
  stash: { count: number; latest: Entered<PacketMove>[] };
  /** A model's tapings are few, and each counts: all of them. */
  model: Record<string, TapingRecord>;
  eye: { latest: Entered<Guess>[] };
  outing: OutingTally & { latest: Entered<OutingEvent>[] };
}

interface Ledger<E, T> {
  /** What an entry is. */
  schema: Schema;
  none: T;
  /** The tally with an event entered, `by` 1, or taken out, `by` −1. Of what is taken out the latest entries do not know what came before them: `foldAll` does. */
  fold(tally: T, entry: Entered<E>, by: 1 | -1): T;
}

const packetMove = object({
  at: stamp().required(),
  count: number().integer().min(-MOST_MOVED).max(MOST_MOVED).required(),
  why: string<MoveId>().oneOf(KNOWN.moves).required(),
});

/** Newest first: by time, then by id, which for what the tier made is the order it was made in. */
function latest<E extends { at: string }>(
  entries: readonly Entered<E>[],
  entry: Entered<E>,
  by: 1 | -1,
  most: number,
): Entered<E>[] {
  const others = entries.filter(({ id }) => id !== entry.id);
  return by < 0
    ? others
    : [...others, entry]
        .sort((a, b) => b.event.at.localeCompare(a.event.at) || b.id.localeCompare(a.id))
        .slice(0, most);
}

/** What came and went, counted: the sum, and the latest of it. */
const counted = {
  none: { count: 0, latest: [] },
  fold: (tally: Tallies['packet'], entry: Entered<PacketMove>, by: 1 | -1) => ({
    count: tally.count + by * entry.event.count,
    latest: latest(tally.latest, entry, by, LATEST.moves),
  }),
};

export const LEDGERS: { readonly [K in OwnerKind]: Ledger<EventTypes[K], Tallies[K]> } = {
  fly: {
    schema: packetMove.concat(
      object({
        boxId: string().required(),
        slot: string().nullable().defined(),
        result: string<FlyResult>().oneOf(FLY_RESULTS),
        matchId: string(),
      }),
    ),
    none: { places: NO_FLIES, latest: [] },
    fold: (tally, entry, by) => ({
      places: withMove(tally.places, entry.event, by),
      latest: latest(tally.latest, entry, by, LATEST.moves),
      ...(tally.results || entry.event.result
        ? { results: withResult(tally.results ?? NO_RESULTS, entry.event, by) }
        : {}),
    }),
  },
  packet: { schema: packetMove, ...counted },
  // Of a spool a half is left, of hooks never.
  stash: {
    schema: packetMove.shape({ count: number().min(-MOST_MOVED).max(MOST_MOVED).required() }),
    ...counted,
  },
  model: {
    schema: tapingSchema,
    none: {},
    fold(tally, { id, event }, by) {
      const { [id]: _, ...others } = tally;
      return by < 0 ? others : { ...others, [id]: event };
    },
  },
  eye: {
    schema: object({ guessMm: length().required(), trueMm: length().required(), at: stamp().required() }),
    none: { latest: [] },
    fold: (tally, entry, by) => ({ latest: latest(tally.latest, entry, by, LATEST.guesses) }),
  },
  outing: {
    schema: object({
      at: stamp().required(),
      what: string<OutingEvent['what']>()
        .oneOf([...LOGGED, 'seen', 'rise', 'temperature'])
        .required(),
      fly: string().nullable(),
      seen: string().oneOf(KNOWN.seen),
      rise: string().oneOf(KNOWN.riseForms),
      waterC: number(),
      fishMm: number().positive().max(LONGEST_FISH_MM),
      species: note(),
      depthMm: number().min(0).max(DEEPEST_MM),
      released: boolean(),
    }),
    none: { ...NO_EVENTS, latest: [] },
    fold({ latest: known, noted, ...tally }, entry, by) {
      const held = latest(known, entry, by, LATEST.seen);
      const events = held.map(({ event }) => event);
      return {
        ...withEvent(tally, entry.event, by),
        latest: held,
        noted: notedWith(noted ?? notedOf(known.map(({ event }) => event)), entry.event, events, by),
      };
    },
  },
};

/** One entry of a ledger put in (`on`) or taken out. */
export type EventOp = {
  [K in OwnerKind]: { kind: K; owner: string; id: string; on: boolean; event: EventTypes[K] };
}[OwnerKind];

export const isOwner = (kind: string): kind is OwnerKind => kind in LEDGERS;

export type Tally = Tallies[OwnerKind];

/** A tally after an entry was put in or taken out. */
export function folded(tally: Tally, { kind, id, on, event }: EventOp): Tally {
  return (LEDGERS[kind] as Ledger<unknown, Tally>).fold(tally, { id, event }, on ? 1 : -1);
}

/** What a whole ledger comes to, from its events by id; `from` is what it came to before them. */
export function foldAll(
  kind: OwnerKind,
  events: Readonly<Record<string, EventTypes[OwnerKind]>>,
  from: Tally | null = null,
): Tally {
  const ordered = Object.entries(events).sort(
    ([a, one], [b, other]) => one.at.localeCompare(other.at) || a.localeCompare(b),
  );
  return ordered.reduce(
    (tally, [id, event]) => folded(tally, { kind, owner: '', id, on: true, event } as EventOp),
    from ?? (LEDGERS[kind].none as Tally),
  );
}

/** The step of a kind whose ledger lay inside its records, in one field by id: the record goes on without it, and what was in it is entered. */
export function ledgerApart({
  from,
  name,
  kind,
  schema,
  field,
}: {
  from: number;
  name: string;
  kind: OwnerKind;
  schema: Schema<object>;
  field: string;
}): Version {
  const read = (data: unknown) => schema.validateSync(data) as Record<string, unknown>;
  return {
    from,
    name,
    up(data) {
      const { [field]: _, ...rest } = read(data);
      return rest;
    },
    events: (data, id) =>
      Object.entries(read(data)[field] as Record<string, object>).map(
        ([entry, event]) => ({ kind, owner: id, id: entry, on: true, event }) as EventOp,
      ),
  };
}
