import type { RiseFormId, SeenId } from '@/catalogue/ids';

/** What happens on an outing: a fish that took, refused or got off, a fly that was lost, something that was seen, how fish rise, the water's temperature. */
export const LOGGED = ['took', 'refused', 'lost-fish', 'lost-fly'] as const;
export type LoggedId = (typeof LOGGED)[number];

export interface OutingEvent {
  /** Local stamp. */
  at: string;
  what: LoggedId | 'seen' | 'rise' | 'temperature';
  /** Which fly of the team; null where nobody knows. */
  fly?: string | null;
  seen?: SeenId;
  rise?: RiseFormId;
  waterC?: number;
  /** Told of a fish afterwards: its length, what it was as typed, how deep it took, whether it went back. */
  fishMm?: number;
  species?: string;
  depthMm?: number;
  released?: boolean;
}

export type LoggedCount = Readonly<Record<LoggedId, number>>;

/** First and last stamp of each. */
export type Noted = Readonly<Record<string, readonly [first: string, last: string]>>;

export interface OutingTally {
  all: LoggedCount;
  /** By fly of the team; `''` for the ones nobody knows. */
  of: Readonly<Record<string, LoggedCount>>;
  seen: Readonly<Partial<Record<SeenId, number>>>;
  rises: Readonly<Partial<Record<RiseFormId, number>>>;
  events: number;
  /** From when to when each thing that is seen, and each rise, was noted; absent where a version summed that did not ask. */
  noted?: Noted;
}

export const NONE_LOGGED: LoggedCount = { took: 0, refused: 0, 'lost-fish': 0, 'lost-fly': 0 };
export const NO_EVENTS: OutingTally = { all: NONE_LOGGED, of: {}, seen: {}, rises: {}, events: 0 };
export const UNKNOWN_FLY = '';

const isLogged = (what: OutingEvent['what']): what is LoggedId => (LOGGED as readonly string[]).includes(what);

/** A tally with an event more (`by` 1) or less (−1). */
export function withEvent(tally: OutingTally, event: OutingEvent, by: 1 | -1 = 1): OutingTally {
  const next = { ...tally, events: tally.events + by };
  if (isLogged(event.what)) {
    const { what } = event;
    const more = (count: LoggedCount) => ({ ...count, [what]: count[what] + by });
    const fly = event.fly ?? UNKNOWN_FLY;
    return { ...next, all: more(tally.all), of: { ...tally.of, [fly]: more(tally.of[fly] ?? NONE_LOGGED) } };
  }
  if (event.what === 'seen' && event.seen)
    return { ...next, seen: { ...tally.seen, [event.seen]: (tally.seen[event.seen] ?? 0) + by } };
  if (event.what === 'rise' && event.rise)
    return { ...next, rises: { ...tally.rises, [event.rise]: (tally.rises[event.rise] ?? 0) + by } };
  return next;
}

/** From when to when each thing was noted, of the entries at hand: where a version summed that did not ask. */
export const notedOf = (events: readonly OutingEvent[]): Noted =>
  events.reduce<Noted>((noted, event) => notedWith(noted, event, [], 1), {});

/** From when to when each thing was noted, after an entry more or less; of what goes out the entries that are left at hand tell. */
export function notedWith(noted: Noted = {}, event: OutingEvent, left: readonly OutingEvent[], by: 1 | -1): Noted {
  const key = event.seen ?? event.rise;
  if (key === undefined) return noted;
  const { [key]: own, ...others } = noted;
  const at =
    by > 0
      ? [event.at, ...(own ?? [])]
      : [
          // What stands in the middle takes nothing with it.
          ...(own ?? []).filter((stamp) => stamp !== event.at),
          ...left.filter(({ seen, rise }) => (seen ?? rise) === key).map((one) => one.at),
        ];
  if (at.length === 0) return others;
  const sorted = [...at].sort();
  return { ...others, [key]: [sorted[0]!, sorted[sorted.length - 1]!] };
}

/** What is still true of what was seen: within so many minutes of now. */
const STILL_MIN = 90;

/** What was seen and how fish rose lately, each once, the latest rise alone. `minutesAgo` of a stamp from now. */
export function lately(
  latest: readonly OutingEvent[],
  minutesAgo: (at: string) => number,
): { seen: SeenId[]; rise: RiseFormId | null } {
  const still = latest.filter(({ at }) => minutesAgo(at) <= STILL_MIN);
  return {
    seen: [...new Set(still.flatMap(({ seen }) => seen ?? []))],
    rise: still.flatMap(({ rise }) => rise ?? [])[0] ?? null,
  };
}
