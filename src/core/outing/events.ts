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
}

export type LoggedCount = Readonly<Record<LoggedId, number>>;

export interface OutingTally {
  all: LoggedCount;
  /** By fly of the team; `''` for the ones nobody knows. */
  of: Readonly<Record<string, LoggedCount>>;
  seen: Readonly<Partial<Record<SeenId, number>>>;
  rises: Readonly<Partial<Record<RiseFormId, number>>>;
  events: number;
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
