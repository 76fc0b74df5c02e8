import jStat from 'jstat';
import type { FaunaId, StageId, WaterKindId } from '@/catalogue/ids';
import { monthTurned } from '../belief/believe';
import { reason, type Reason } from '../code';
import type { Sky, Wind } from '../outing/limits';
import type { Light } from './sun';

/** What comes up in a day, a lane each. */
export const BANDS = [
  'mayfly/rise',
  'mayfly/hatch',
  'mayfly/fall',
  'caddis/hatch',
  'caddis/fall',
  'stonefly/hatch',
  'stonefly/fall',
  'midge/hatch',
  'land/blown',
] as const;
export type BandId = (typeof BANDS)[number];

/** The stage that is tied for each. */
export const STAGE_OF: Readonly<Record<BandId, readonly StageId[]>> = {
  'mayfly/rise': ['mayfly/mature-nymph', 'mayfly/nymph'],
  'mayfly/hatch': ['mayfly/emerger', 'mayfly/dun', 'mayfly/cripple'],
  'mayfly/fall': ['mayfly/spent', 'mayfly/spinner'],
  'caddis/hatch': ['caddis/emerging-pupa', 'caddis/pupa', 'caddis/adult'],
  'caddis/fall': ['caddis/egg-layer', 'caddis/adult', 'caddis/spent'],
  'stonefly/hatch': ['stonefly/nymph'],
  'stonefly/fall': ['stonefly/egg-layer', 'stonefly/adult'],
  'midge/hatch': ['midge/pupa', 'midge/emerger', 'midge/adult'],
  'land/blown': ['ant/winged', 'ant/worker', 'beetle/adult', 'hawthorn-fly/adult', 'crane-fly/adult', 'land-fly/adult'],
};

/** What of a group the strip asks. */
export interface HatchGroup {
  id: string;
  order: string;
  name: string;
  regions: readonly string[];
  waters: readonly string[];
  months: readonly number[];
  hours: readonly (readonly number[])[];
  hatch: string | null;
  stages: readonly { stage: string; length_mm: readonly number[] | null }[];
}

/** Water °C over which a group begins to hatch. Source: domain §8. */
export interface Trigger {
  groups: readonly string[];
  c: readonly number[];
  months?: readonly number[];
  /** What its degree-days count from, °C, where it is no cold kind. */
  t0?: number;
}

export interface HatchDay {
  /** Local day: `2033-05-24`. */
  date: string;
  light: Light;
  south: boolean;
  fauna: FaunaId | null;
  kind: WaterKindId | null;
  /** Mean of the last three days where a logger lay there, else what was read today. */
  waterC: number | null;
  sky: Sky | null;
  wind: Wind | null;
}

/** What a tier's own outings say of a band in a water, each counted by how near it lies in the year: at every quarter of an hour how often somebody was there, and how often it was up; and how often it came at all. See learn.ts. */
export interface Learnt {
  there: readonly number[];
  up: readonly number[];
  all: number;
  came: number;
  outings: number;
  /** Chance that the year's warmth has brought it on, where two years were logged; 1 where it is out, or nobody knows. */
  begun: number;
  /** The same of its groups whose own sum was fitted, by id. */
  begunOf: Readonly<Record<string, number>>;
}

export interface Band {
  id: BandId;
  /** Chance that it is up, every quarter of an hour from `FROM`. */
  curve: readonly number[];
  /** Chance of it at all today. */
  p: number;
  /** Stretches in which the chance of it is over half of its most, h: once a day, or morning and evening. */
  spans: readonly (readonly [on: number, off: number])[];
  /** Its first stretch, by the groups alone. */
  book: readonly [on: number, off: number];
  outings: number;
  reasons: readonly Reason[];
}

/** The curve runs over a day of fishing, and past midnight. */
export const FROM_H = 2;
const TO_H = 26;
const PER_H = 4;

/** A group lives in so many of the waters of its kind. */
const LIVES = 0.25;
/** A day in its month and beside it; a hatch keeps a few days of its month to itself. */
const SEASON = { within: 0.6, beside: 0.12, ramp: 15 } as const;
/** °C under its trigger by which a hatch falls to 0.6 of itself. */
const COLD_C = 1.5;
/** The book's hours are off by so many, from day to day and from water to water. */
const BOOK_SD_H = 1.25;
/** The book counts as one outing. */
const BOOK_OUTINGS = 1;
/** Nymphs move before the first duns. */
const RISE_H = 2;
/** Spinners fall from so long before sunset; of the tiny ones in high summer from so long after sunrise. */
const FALL = { before: 1.5, tinyFrom: 3, tinyTo: 5.5, tinyMm: 5, summer: [6, 8] } as const;
/** Under a dull sky small olives hatch for longer. */
const DULL = { earlier: 0.5, later: 1.5, mm: 9 } as const;
/** In a wind spinners do not fall. */
const WINDY: Readonly<Record<Wind, number>> = { still: 1, breeze: 0.8, wind: 0.3 };
/** Hours of what has none: midges by the time of the year, what the wind blows at its warmest. */
const MIDGE = {
  cold: [[11, 15]],
  warm: [
    [-1, 3.5],
    [-2, 1],
  ],
  months: [4, 9],
} as const;
const BLOWN = [11, 18] as const;
/** From out of the water to the eggs. */
const LAND: ReadonlySet<string> = new Set([
  'ant',
  'beetle',
  'hawthorn-fly',
  'crane-fly',
  'land-fly',
  'grasshopper',
  'wasp',
]);
const WATERS: Readonly<Record<WaterKindId, readonly string[]>> = {
  river: ['fast', 'slow'],
  stream: ['fast'],
  lake: ['still'],
};

const normalCdf = (z: number) => jStat.normal.cdf(z, 0, 1);

const monthHere = (date: string, south: boolean) => monthTurned(Number(date.slice(5, 7)), south);

/** How much of its season a day is: whole within its months, falling off beside them. */
export function seasonOf(months: readonly number[], date: string, south: boolean): number {
  if (months.length === 0) return SEASON.within;
  const month = monthHere(date, south);
  const at = (by: number) => ((month - 1 + by + 12) % 12) + 1;
  const day = Number(date.slice(8, 10));
  if (months.includes(month)) {
    // The first and the last days of a season are not yet, or no more, all of it.
    const first = !months.includes(at(-1)) ? Math.min(1, (day + SEASON.ramp) / (2 * SEASON.ramp)) : 1;
    const last = !months.includes(at(1)) ? Math.min(1, (31 - day + SEASON.ramp) / (2 * SEASON.ramp)) : 1;
    return SEASON.within * Math.min(first, last);
  }
  const near = months.includes(at(1)) ? 31 - day : months.includes(at(-1)) ? day : Infinity;
  return near <= SEASON.ramp ? SEASON.beside : 0;
}

/** How much of a hatch a water so cold lets come: all from its trigger on. */
export function warmEnough(id: string, { date, waterC, south }: HatchDay, triggers: readonly Trigger[]): number {
  const trigger = triggers.find(
    ({ groups, months }) => groups.includes(id) && (!months || months.includes(monthHere(date, south))),
  );
  if (!trigger || waterC === null || waterC >= trigger.c[0]!) return 1;
  return Math.exp(-(((trigger.c[0]! - waterC) / COLD_C) ** 2) / 2);
}

/** One group of a band on a day: how much of its season, warmth and weather it has, and the windows it is up in, h. */
export interface Comes {
  group: HatchGroup;
  q: number;
  at: readonly (readonly [number, number])[];
}

const bodyMm = ({ stages }: HatchGroup) =>
  stages.find(({ stage }) => stage.endsWith('/dun') || stage.endsWith('/adult'))?.length_mm?.[1] ?? Infinity;

/** When a group does what a band is of, on this day; null where it never does. */
function windowsOf(band: BandId, group: HatchGroup, day: HatchDay): Comes['at'] | null {
  const [order, what] = band.split('/') as [string, string];
  const month = monthHere(day.date, day.south);
  const { rise, set, dark } = day.light;
  const hours = group.hours as unknown as readonly (readonly [number, number])[];
  if (order === 'land') return LAND.has(group.order) ? [BLOWN] : null;
  if (order !== group.order) return null;
  if (order === 'midge') {
    const [from, to] = MIDGE.months;
    return month >= from && month <= to
      ? [
          [rise + MIDGE.warm[0][0], rise + MIDGE.warm[0][1]],
          [set + MIDGE.warm[1][0], set + MIDGE.warm[1][1]],
        ]
      : MIDGE.cold;
  }
  const dull = day.sky !== null && day.sky !== 'sun' && order === 'mayfly' && bodyMm(group) <= DULL.mm;
  const hatch = hours.map(([on, off]) =>
    dull ? ([on - DULL.earlier, off + DULL.later] as const) : ([on, off] as const),
  );
  if (what === 'hatch') {
    // What crawls out does so by night and in the first light.
    if (order === 'stonefly') return [[day.light.firstLight - 1, rise + 3]];
    return group.hatch === 'climbs' && order === 'mayfly' ? null : hatch;
  }
  if (what === 'rise') return group.hatch === 'film' ? hatch.map(([on]) => [on - RISE_H, on + 0.5] as const) : null;
  if (order === 'mayfly') {
    const [june, august] = FALL.summer;
    return bodyMm(group) <= FALL.tinyMm && month >= june && month <= august
      ? [[rise + FALL.tinyFrom, rise + FALL.tinyTo]]
      : [[set - FALL.before, dark]];
  }
  return order === 'stonefly' ? hours : [[set - FALL.before, dark + 0.5]];
}

const noisyOr = (chances: readonly number[]) => 1 - chances.reduce((none, p) => none * (1 - p), 1);

/** Groups that a band of a day may be of. */
export function comesOf(
  id: BandId,
  day: HatchDay,
  groups: readonly HatchGroup[],
  triggers: readonly Trigger[],
): Comes[] {
  const calm = id === 'mayfly/fall' && day.wind !== null ? WINDY[day.wind] : 1;
  return groups.flatMap((group): Comes[] => {
    const { regions, waters, order } = group;
    if (day.fauna !== null && regions.length > 0 && !regions.includes(day.fauna)) return [];
    // What lives in the water lives in some waters; what falls in falls into all.
    if (
      LAND.has(order) ? waters.length > 0 : day.kind !== null && !waters.some((own) => WATERS[day.kind!].includes(own))
    )
      return [];
    const at = windowsOf(id, group, day);
    if (at === null || at.length === 0) return [];
    const q = seasonOf(group.months, day.date, day.south) * warmEnough(group.id, day, triggers) * calm;
    return q > 0 ? [{ group, q, at }] : [];
  });
}

const BINS = (TO_H - FROM_H) * PER_H + 1;
const NEVER: readonly number[] = Array.from({ length: BINS }, () => 0);
export const NOT_LEARNT: Learnt = { there: NEVER, up: NEVER, all: 0, came: 0, outings: 0, begun: 1, begunOf: {} };

/** The hour of a place of a curve. */
export const hourAt = (bin: number): number => FROM_H + bin / PER_H;

/** Chance that any group of a band has it: those whose own warmth is known each by it, the others by the band's. */
const anyOf = (
  comes: readonly Comes[],
  { begun, begunOf }: Pick<Learnt, 'begun' | 'begunOf'>,
  chance: (of: Comes) => number,
) =>
  noisyOr([
    begun * noisyOr(comes.filter(({ group }) => begunOf[group.id] === undefined).map(chance)),
    ...comes.flatMap((own) => (begunOf[own.group.id] === undefined ? [] : begunOf[own.group.id]! * chance(own))),
  ]);

function bookCurve(comes: readonly Comes[], taught: Pick<Learnt, 'begun' | 'begunOf'> = NOT_LEARNT): number[] {
  const inside = (h: number, [on, off]: readonly [number, number]) =>
    normalCdf((h - on) / BOOK_SD_H) * normalCdf((off - h) / BOOK_SD_H);
  return NEVER.map((_, bin) => {
    const h = hourAt(bin);
    return anyOf(
      comes,
      taught,
      ({ q, at }) =>
        q *
        LIVES *
        Math.min(
          1,
          at.reduce((sum, span) => sum + inside(h, span), 0),
        ),
    );
  });
}

/** Chance of a band at all: a beta of what the groups say and of how often it came. */
export const chanceOf = (comes: readonly Comes[], taught: Learnt): number =>
  (BOOK_OUTINGS * anyOf(comes, taught, ({ q }) => q * LIVES) + taught.begun * taught.came) /
  (BOOK_OUTINGS + taught.all);

/** So many places to both sides are one with a place: a quarter of an hour. */
const SMOOTH = 1;
const smooth = (curve: readonly number[]) =>
  curve.map((_, bin) => {
    const near = curve.slice(Math.max(0, bin - SMOOTH), bin + SMOOTH + 1);
    return near.reduce((sum, value) => sum + value, 0) / near.length;
  });

/** Chance that a band is up, every quarter of an hour from `FROM_H`: at each a beta of what the groups say and of how often it was up when somebody was there. */
export const curveOf = (comes: readonly Comes[], taught: Learnt, book = bookCurve(comes, taught)): number[] => {
  const [own, all] = [smooth(taught.up), smooth(taught.there)];
  return book.map((chance, bin) => (BOOK_OUTINGS * chance + taught.begun * own[bin]!) / (BOOK_OUTINGS + all[bin]!));
};

/** Stretches nearer to each other are one; shorter ones are none. */
const ONE_H = 0.75;
const SHORT_H = 0.5;

/** Stretches in which a curve is over half of its most, h. */
export function spansOf(curve: readonly number[]): [on: number, off: number][] {
  const least = 0.5 * Math.max(...curve);
  const spans: [number, number][] = [];
  curve.forEach((value, n) => {
    const hour = hourAt(n);
    const last = spans[spans.length - 1];
    if (value < least || value === 0) return;
    if (last && hour - last[1] <= ONE_H) last[1] = hour;
    else spans.push([hour, hour]);
  });
  return spans.filter(([on, off]) => off - on >= SHORT_H);
}

/** The bands of a day that may come, in the order of `BANDS`: of every group that lives in such waters its season, its hours, the water's warmth and the weather, and over them what the tier's own outings taught. */
export function bandsOf(
  day: HatchDay,
  groups: readonly HatchGroup[],
  triggers: readonly Trigger[],
  taught: Readonly<Partial<Record<BandId, Learnt>>> = {},
): Band[] {
  return BANDS.flatMap((id): Band[] => {
    const comes = comesOf(id, day, groups, triggers);
    if (comes.length === 0) return [];
    const own = taught[id] ?? NOT_LEARNT;
    const book = bookCurve(comes);
    const held = own.begun < 1 || Object.keys(own.begunOf).length > 0;
    const curve = curveOf(comes, own, held ? undefined : book);
    const likely = comes.filter(({ q }) => q > SEASON.beside).sort((a, b) => b.q - a.q);
    const [first = [FROM_H, FROM_H] as const] = spansOf(book);
    const band = { id, curve, p: chanceOf(comes, own), spans: spansOf(curve), book: first, outings: own.outings };
    return [{ ...band, reasons: reasonsOf(band, comes, likely, day, triggers) }];
  });
}

const NAMED = 3;

/** How surely something comes, as a word. */
export const worthOf = (p: number): 'likely' | 'perhaps' | 'seldom' =>
  p >= 0.6 ? 'likely' : p >= 0.3 ? 'perhaps' : 'seldom';

/** An hour as the clock says it, to five minutes: 16:35. */
export function clockOf(hour: number): string {
  const minutes = Math.round((((hour % 24) + 24) % 24) * 12) * 5;
  return `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

function reasonsOf(
  { id, outings, spans, book }: Pick<Band, 'id' | 'outings' | 'spans' | 'book'>,
  comes: readonly Comes[],
  likely: readonly Comes[],
  day: HatchDay,
  triggers: readonly Trigger[],
): Reason[] {
  const cold = comes.find(({ group }) => warmEnough(group.id, day, triggers) < 0.5);
  const reasons: Reason[] = [];
  if (likely.length > 0)
    reasons.push(reason('hatch-groups', { names: { list: likely.slice(0, NAMED).map(({ group }) => group.name) } }));
  if (cold && day.waterC !== null)
    reasons.push(
      reason('hatch-cold', {
        group: cold.group.name,
        c: Math.round(day.waterC * 10) / 10,
        from: triggers.find(({ groups }) => groups.includes(cold.group.id))!.c[0]!,
      }),
    );
  if (id === 'mayfly/fall' && day.wind !== null && WINDY[day.wind] < 1) reasons.push(reason(`hatch-wind-${day.wind}`));
  if (id === 'mayfly/hatch' && day.sky !== null && day.sky !== 'sun') reasons.push(reason('hatch-dull'));
  reasons.push(
    outings > 0 && spans.length > 0
      ? reason('hatch-own', { count: outings, on: clockOf(spans[0]![0]), book: clockOf(book[0]) }, { evidence: 'seen' })
      : reason('hatch-book', {}, { evidence: 'heard' }),
  );
  return reasons;
}
