import { differenceInMinutes, parseISO } from 'date-fns';
import { lately, LOGGED, NONE_LOGGED, type LoggedCount } from '@/core/outing/events';
import type { StageId } from '@/catalogue/ids';
import type { OutingTimes } from '@/core/outing/faults';
import type { Entities } from '../kinds';
import type { OutingRecord, TeamFly } from './schema';

type Outings = Entities['outing'];

const later = (outings: Outings, a: string, b: string) => {
  const [from, to] = [outings[a]!.start, outings[b]!.start];
  return from > to || (from === to && a > b);
};

/** Ids of outings, the latest first: thousands are put in order when the journal is opened, so that they are compared as plain text. */
export const outingsLatest = (outings: Outings): string[] =>
  Object.keys(outings)
    .map((id) => `${outings[id]!.start} ${id}`)
    .sort()
    .reverse()
    .map((key) => key.slice(key.indexOf(' ') + 1));

/** So many of those that are such, without putting the others in order. */
export function fewLatest(
  outings: Outings,
  most: number,
  is: (outing: OutingRecord) => boolean = () => true,
): string[] {
  const few: string[] = [];
  for (const id of Object.keys(outings)) {
    if (!is(outings[id]!) || (few.length === most && !later(outings, id, few[most - 1]!))) continue;
    const at = few.findIndex((own) => later(outings, id, own));
    few.splice(at < 0 ? few.length : at, 0, id);
    few.length = Math.min(few.length, most);
  }
  return few;
}

/** The outing that goes on; of two the one that began last; null where none does. */
export const runningOuting = (outings: Outings): string | null =>
  fewLatest(outings, 1, ({ end }) => end === null)[0] ?? null;

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
  return outingsLatest(outings).flatMap((id) => {
    const outing = outings[id]!;
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

/** What was seen lately on an outing; of one that is over, in all of it. */
export const latelySeen = (
  { end, tally }: Pick<OutingRecord, 'end' | 'tally'>,
  now: string,
): ReturnType<typeof lately> =>
  lately(
    tally.latest.map(({ event }) => event),
    (at) => (end === null ? differenceInMinutes(parseISO(now), parseISO(at)) : 0),
  );

/** Matches whose naturals were found on an outing. */
export const matchesOf = ({ match, sample }: Pick<Entities, 'match' | 'sample'>, outingId: string): string[] =>
  Object.keys(match).filter((id) => sample[match[id]!.sampleId]?.outingId === outingId);

/** A natural of an outing: its stage by the match it became, and when it was found. */
export interface StageFound {
  stage: StageId;
  when: string;
  sampleId: string;
}

/** Stages of the naturals that were found on outings, with the time of each, by outing. */
export function stagesFound({ match, sample }: Pick<Entities, 'match' | 'sample'>): Map<string, StageFound[]> {
  const found = new Map<string, StageFound[]>();
  for (const { answers, leading, sampleId } of Object.values(match)) {
    const { outingId, when } = sample[sampleId] ?? {};
    const stage = answers.find(({ id }) => id === leading)?.stage;
    if (outingId && when && stage) found.set(outingId, [...(found.get(outingId) ?? []), { stage, when, sampleId }]);
  }
  return found;
}
