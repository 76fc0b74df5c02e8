import type { RiseFormId, SeenId } from '@/catalogue/ids';
import {
  BANDS,
  chanceOf,
  curveOf,
  hourAt,
  NOT_LEARNT,
  spansOf,
  STAGE_OF,
  type BandId,
  type Comes,
  type Learnt,
} from './bands';

/** What one outing says of a band: which groups may be of it that day, from when to when it was seen, and when the tier was there, h. */
export interface Witness {
  /** Day of the year. */
  day: number;
  comes: readonly Comes[];
  /** First and last note of it; null where it was not seen. */
  seen: readonly [first: number, last: number] | null;
  from: number;
  to: number;
}

/** Outings so many days away in the year count 0.6 as much. */
const NEAR_DAYS = 30;
/** After its last note it goes on for so long: nobody notes the end. */
const GOES_ON_H = 1;
/** Of what the book has, so much has to fall into the hours of an outing before not having seen it says anything. */
const THERE = 0.3;
/** What was seen within this time of the start was there before: when it began nobody knows. */
const AT_ONCE_H = 0.25;

/** Outings that count for less are of another time of the year. */
const LEAST_NEAR = 0.05;
const HALF_BIN = 0.125;

const YEAR = 365.25;
const nearness = (a: number, b: number) => {
  const apart = Math.abs(a - b);
  return Math.exp(-((Math.min(apart, YEAR - apart) / NEAR_DAYS) ** 2) / 2);
};

/** How much of what the book has of a band falls into the hours of an outing. */
function covered({ comes, from, to }: Witness): number {
  const curve = curveOf(comes, NOT_LEARNT);
  const sum = (of: readonly number[]) => of.reduce((total, chance) => total + chance, 0);
  const whole = sum(curve);
  return whole === 0 ? 0 : sum(curve.filter((_, bin) => hourAt(bin) >= from && hourAt(bin) <= to)) / whole;
}

const coverage = new WeakMap<Witness, number>();
function cover(witness: Witness): number {
  const known = coverage.get(witness) ?? covered(witness);
  coverage.set(witness, known);
  return known;
}

/**
 * What outings say of a band on a day of the year: at each quarter of an hour how often somebody was there and how often it was up, from its first note to
 * an hour after its last; and how often it came at all, of those that would have met it. Outings of other parts of the year count less.
 */
export function learnt(day: number, witnesses: readonly Witness[]): Learnt {
  const there = [...NOT_LEARNT.there];
  const up = [...NOT_LEARNT.up];
  let [all, came, outings] = [0, 0, 0];
  for (const witness of witnesses) {
    const near = nearness(day, witness.day);
    const { seen, from, to } = witness;
    if (near < LEAST_NEAR) continue;
    const met = seen === null ? cover(witness) : 1;
    if (seen === null && met < THERE) continue;
    outings++;
    all += near * met;
    if (seen !== null) came += near;
    there.forEach((_, bin) => {
      const h = hourAt(bin);
      if (h < from || h > to) return;
      there[bin]! += near;
      if (seen !== null && h >= seen[0] - HALF_BIN && h <= seen[1] + GOES_ON_H) up[bin]! += near;
    });
  }
  return { there, up, all, came, outings, begun: 1, begunOf: {} };
}

/** How far off the hour was, h, and how wrong the chance (Brier), as the book has it and as each outing's own past had it by then. */
export interface Told {
  hours: { n: number; book: number; own: number };
  chance: { n: number; book: number; own: number };
}

/** How far a first sight lies from the beginning of the nearest stretch. */
const missed = (comes: readonly Comes[], taught: Learnt, seen: number) =>
  Math.min(...spansOf(curveOf(comes, taught)).map(([on]) => Math.abs(seen - on)));

/** The book and the tier's own past, outing by outing in the order of time: each is told before it is learnt from. */
export function toldBefore(bands: readonly (readonly Witness[])[]): Told {
  const told: Told = { hours: { n: 0, book: 0, own: 0 }, chance: { n: 0, book: 0, own: 0 } };
  for (const witnesses of bands)
    witnesses.forEach((witness, at) => {
      const { comes, seen, from, day } = witness;
      if (comes.length === 0) return;
      const own = learnt(day, witnesses.slice(0, at));
      if (own.outings === 0) return;
      if (seen !== null && seen[0] - from > AT_ONCE_H) {
        told.hours.n++;
        told.hours.book += missed(comes, NOT_LEARNT, seen[0]);
        told.hours.own += missed(comes, own, seen[0]);
      }
      if (seen === null && cover(witness) < THERE) return;
      const came = seen === null ? 0 : 1;
      told.chance.n++;
      told.chance.book += (came - chanceOf(comes, NOT_LEARNT)) ** 2;
      told.chance.own += (came - chanceOf(comes, own)) ** 2;
    });
  for (const sum of [told.hours, told.chance])
    if (sum.n > 0) {
      sum.book /= sum.n;
      sum.own /= sum.n;
    }
  return told;
}

/** Which bands something seen speaks for, where it speaks for one. Source: domain §2. */
const BY_SEEN: Readonly<Partial<Record<SeenId, BandId>>> = {
  duns: 'mayfly/hatch',
  'spent-wings': 'mayfly/fall',
  columns: 'mayfly/fall',
  'females-on-posts': 'mayfly/fall',
  'skins-on-stones': 'stonefly/hatch',
};
const BY_RISE: Readonly<Partial<Record<RiseFormId, BandId>>> = {
  splash: 'caddis/hatch',
  bulge: 'mayfly/rise',
  'ring-with-bubble': 'mayfly/hatch',
  cruising: 'midge/hatch',
};

/** The band that an entry of an outing speaks for; null where it speaks for none alone. */
export const bandSeen = ({ seen, rise }: { seen?: SeenId; rise?: RiseFormId }): BandId | null =>
  (seen && BY_SEEN[seen]) ?? (rise && BY_RISE[rise]) ?? null;

/** The band of a stage that was found; null of one that is there all day. */
export const bandOfStage = (stage: string): BandId | null =>
  BANDS.find((id) => (STAGE_OF[id] as readonly string[]).includes(stage)) ?? null;
