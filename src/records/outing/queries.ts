import { differenceInMinutes, parseISO } from 'date-fns';
import { LOGGED, NONE_LOGGED, type LoggedCount } from '@/core/outing/events';
import type { OutingTimes } from '@/core/outing/faults';
import type { Entities } from '../kinds';
import type { OutingRecord, TeamFly } from './schema';

type Outings = Entities['outing'];

/** Outings, the latest first. */
export function outingsLatest(outings: Outings): [id: string, outing: OutingRecord][] {
  return Object.entries(outings).sort(
    ([a, one], [b, other]) => other.start.localeCompare(one.start) || b.localeCompare(a),
  );
}

/** The outing that goes on; of two the one that began last; null where none does. */
export const runningOuting = (outings: Outings): string | null =>
  outingsLatest(outings).find(([, { end }]) => end === null)?.[0] ?? null;

/** Flies that are on the leader now, or were to the end. */
export const fishing = ({ team }: Pick<OutingRecord, 'team'>): TeamFly[] => team.filter(({ off }) => off === null);

const minutes = (from: string, to: string) => Math.max(0, differenceInMinutes(parseISO(to), parseISO(from)));

/** Hours of an outing until its end, or until now. */
export const hoursOut = ({ start, end }: Pick<OutingRecord, 'start' | 'end'>, now: string): number =>
  minutes(start, end ?? now) / 60;

/** Hours a fly of its team was on the leader. */
export const hoursOn = ({ end }: Pick<OutingRecord, 'end'>, { on, off }: TeamFly, now: string): number =>
  minutes(on, off ?? end ?? now) / 60;

/** Counts of what was logged, summed. */
export const sumLogged = (counts: readonly LoggedCount[]): LoggedCount =>
  counts.reduce(
    (sum, own) =>
      Object.fromEntries(LOGGED.map((what) => [what, sum[what] + own[what]])) as Record<keyof LoggedCount, number>,
    NONE_LOGGED,
  );

/** Outings on which a dressing fished, the latest first: what came of it there, and for how many hours. */
export function flownOn(
  outings: Outings,
  dressingId: string,
  now: string,
): { id: string; outing: OutingRecord; counts: LoggedCount; hours: number }[] {
  return outingsLatest(outings).flatMap(([id, outing]) => {
    const own = outing.team.filter((fly) => fly.dressingId === dressingId);
    if (own.length === 0) return [];
    return [
      {
        id,
        outing,
        counts: sumLogged(own.map((fly) => outing.tally.of[fly.id] ?? NONE_LOGGED)),
        hours: own.reduce((sum, fly) => sum + hoursOn(outing, fly, now), 0),
      },
    ];
  });
}

/** The times of an outing, to be checked: of its events those that are still held beside it. */
export const timesOf = (id: string, { start, end, team, tally }: OutingRecord): OutingTimes => ({
  id,
  start,
  end: end ?? null,
  team: team.map(({ name, on, off }) => ({ name, on, off: off ?? null })),
  events: tally.latest.map(({ event }) => event.at),
});
