import type { Coded } from '../code';

/** The times of an outing; `end` null while it goes on. */
export interface OutingTimes {
  id: string;
  start: string;
  end: string | null;
  team: readonly { name: string; on: string; off: string | null }[];
  /** When things happened. */
  events: readonly string[];
}

/** Longer nobody fishes without going home; an event so far outside its outing was written by another clock. */
const LONGEST_H = 36;
const STRAY_H = 2;

/** One that goes on lasted at least until the last thing that happened. */
const untilOf = ({ start, end, events }: OutingTimes) =>
  end ?? events.reduce((last, at) => (at > last ? at : last), start);

const hours = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 3_600_000;

/** What cannot be of an outing's times: it ends before it starts, lasts for days, another one goes on meanwhile, a fly comes off before it goes on, a clock jumped. */
export function outingFaults(outing: OutingTimes, others: readonly OutingTimes[] = []): Coded[] {
  const { start, end, team, events } = outing;
  const faults: Coded[] = [];
  const say = (code: string, params: Coded['params'] = {}) => faults.push({ code, params });
  if (end !== null && hours(start, end) < 0) say('outing-backwards', { start: { at: start }, end: { at: end } });
  else if (end !== null && hours(start, end) > LONGEST_H) say('outing-long', { hours: Math.round(hours(start, end)) });
  for (const other of others) {
    if (other.id === outing.id) continue;
    const bothOpen = end === null && other.end === null;
    if (bothOpen || (start < untilOf(other) && other.start < untilOf(outing)))
      say('outing-overlaps', { other: { at: other.start } });
  }
  for (const fly of team)
    if (fly.off !== null && hours(fly.on, fly.off) < 0) say('outing-fly-backwards', { fly: fly.name });
  const stray = events.filter((at) => hours(at, start) > STRAY_H || (end !== null && hours(end, at) > STRAY_H));
  if (stray.length > 0) say('outing-clock', { count: stray.length, at: { at: stray[0]! } });
  return faults;
}
