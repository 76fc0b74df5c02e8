import triggers from '@/catalogue/triggers.json';
import {
  bandOfStage,
  bandSeen,
  BANDS,
  bandsOf,
  broughtOn,
  comesOf,
  dayOfYear,
  daysAfter,
  degreeDays,
  fitDegreeDays,
  hourOf,
  hoursSince,
  learnt,
  lightOf,
  T0,
  toldBefore,
  type Band,
  type BandId,
  type DegreeDays,
  type HatchDay,
  type HatchGroup,
  type Learnt,
  type Light,
  type Place,
  type Told,
  type Witness,
} from '@/core/hatch';
import type { RiseFormId, SeenId } from '@/catalogue/ids';
import { notedOf } from '@/core/outing';
import { stagesFound, type OutingRecord, type SettingsRecord, type WaterRecord } from '@/records';
import { selectGroups } from './own-groups';
import { selectSettings } from './settings';
import type { State } from './store';

/** A day at a water as the strip shows it. */
export interface Hatch {
  day: HatchDay;
  light: Light;
  bands: readonly Band[];
  /** Warmth of the year so far, of a band that has not begun and whose sum was fitted. */
  warmth: Readonly<Partial<Record<BandId, DegreeDays & { now: number }>>>;
}

const LOGGED_DAYS = 3;

/** Mean of the last three days of a logger, of what is there; null where nothing is. */
function loggedC(daily: WaterRecord['daily'], date: string): number | null {
  const means = Array.from({ length: LOGGED_DAYS }, (_, back) => {
    return daily[daysAfter(date, -back)]?.mean;
  }).filter((mean) => mean !== undefined);
  return means.length === 0 ? null : means.reduce((sum, mean) => sum + mean, 0) / means.length;
}

const same = (a: readonly unknown[], b: readonly unknown[]) => a.every((own, at) => own === b[at]);

const placeOf = (water: WaterRecord | undefined): Place | null =>
  water?.place ? { ...water.place, zone: water.place.zone ?? null } : null;

function hatchDay(
  outing: Pick<OutingRecord, 'start' | 'sky' | 'wind' | 'waterC'>,
  water: WaterRecord | undefined,
  { south, fauna }: Pick<SettingsRecord, 'south' | 'fauna'>,
): HatchDay {
  const date = outing.start.slice(0, 10);
  return {
    date,
    light: lightOf(date, placeOf(water), south),
    south,
    fauna: fauna ?? null,
    kind: water?.kind ?? null,
    waterC: loggedC(water?.daily ?? {}, date) ?? outing.waterC ?? null,
    sky: outing.sky ?? null,
    wind: outing.wind ?? null,
  };
}

type Span = readonly [first: number, last: number];

/** From when to when each band was noted on an outing, h: by what was seen, and by the naturals that were found. */
function bandsSeen(
  { tally }: Pick<OutingRecord, 'tally'>,
  found: readonly { stage: string; when: string }[],
): Partial<Record<BandId, Span>> {
  const spans: Partial<Record<BandId, Span>> = {};
  const note = (band: BandId | null, at: string) => {
    if (band === null) return;
    const [first, last] = spans[band] ?? [Infinity, -Infinity];
    spans[band] = [Math.min(first, hourOf(at)), Math.max(last, hourOf(at))];
  };
  for (const [what, stamps] of Object.entries(tally.noted ?? notedOf(tally.latest.map(({ event }) => event))))
    for (const at of stamps) note(bandSeen({ seen: what as SeenId, rise: what as RiseFormId }), at);
  for (const { stage, when } of found) note(bandOfStage(stage), when);
  return spans;
}

interface Asked {
  entities: Pick<State['records']['entities'], 'outing' | 'water' | 'match' | 'sample'>;
  groups: readonly HatchGroup[];
  settings: Pick<SettingsRecord, 'south' | 'fauna'>;
}

type Found = readonly { stage: string; when: string }[];

interface Past {
  id: string;
  date: string;
  seen: Partial<Record<BandId, Span>>;
  witness: Partial<Record<BandId, Witness>>;
}

/** What each ended outing said the last time it was asked, so that a tap on another does not ask it anew. */
const said = new WeakMap<OutingRecord, { of: readonly unknown[]; past: Past }>();

function pastOfOne({ entities, groups, settings }: Asked, id: string, own: OutingRecord, found: Found): Past {
  const water = own.waterId ? entities.water[own.waterId] : undefined;
  const of = [water?.place, water?.kind, water?.daily, groups, settings, JSON.stringify(found)];
  const known = said.get(own);
  if (known && same(known.of, of)) return known.past;
  const day = hatchDay(own, water, settings);
  const seen = bandsSeen(own, found);
  const from = hourOf(own.start);
  const to = hoursSince(own.start, own.end ?? own.start);
  const witness = Object.fromEntries(
    BANDS.map((band) => [
      band,
      { day: dayOfYear(day.date), comes: comesOf(band, day, groups, triggers), seen: seen[band] ?? null, from, to },
    ]),
  );
  const past = { id, date: day.date, seen, witness };
  said.set(own, { of, past });
  return past;
}

/** What every ended outing at a water saw, the earliest first. */
function pastOf(asked: Asked, waterId: string): Past[] {
  const found = stagesFound(asked.entities);
  return Object.entries(asked.entities.outing)
    .filter(([, own]) => own.waterId === waterId && own.end)
    .sort(([, a], [, b]) => a.start.localeCompare(b.start))
    .map(([id, own]) => pastOfOne(asked, id, own, found.get(id) ?? []));
}

/** Of each year the first day on which a band was seen. */
function firstDays(past: readonly Past[], band: BandId): string[] {
  const byYear = new Map<string, string>();
  for (const { date, seen } of past)
    if (seen[band] !== undefined && !byYear.has(date.slice(0, 4))) byYear.set(date.slice(0, 4), date);
  return [...byYear.values()];
}

function workOut({ entities, groups, settings }: Asked, past: readonly Past[], outing: OutingRecord): Hatch {
  const water = outing.waterId ? entities.water[outing.waterId] : undefined;
  const day = hatchDay(outing, water, settings);
  const before = past.filter(({ date }) => date < day.date);
  const year = day.date.slice(0, 4);
  const means = Object.fromEntries(Object.entries(water?.daily ?? {}).map(([date, { mean }]) => [date, mean]));
  const warm = { cold: degreeDays(means, day.date, T0.cold), warm: degreeDays(means, day.date, T0.warm) };
  const warmth: Partial<Record<BandId, DegreeDays & { now: number }>> = {};
  const taught: Partial<Record<BandId, Learnt>> = {};
  for (const band of BANDS) {
    const own = learnt(
      dayOfYear(day.date),
      before.map(({ witness }) => witness[band]!),
    );
    const firsts = firstDays(before, band);
    const out = firsts.some((date) => date.startsWith(year));
    const kind = band.startsWith('midge/') ? 'warm' : 'cold';
    const sum = warm[kind];
    const fit = sum === null || out ? null : fitDegreeDays(means, firsts, T0[kind]);
    if (fit) warmth[band] = { ...fit, now: sum! };
    taught[band] = { ...own, begun: fit ? broughtOn(sum!, fit) : 1 };
  }
  return { day, light: day.light, bands: bandsOf(day, groups, triggers, taught), warmth };
}

let held: { past: readonly Past[]; told: Told | null } | null = null;
let shown: { key: readonly unknown[]; past: readonly Past[]; hatch: Hatch } | null = null;

const askedOf = (state: State): Asked => ({
  entities: state.records.entities,
  groups: selectGroups(state),
  settings: selectSettings(state),
});

/** The strip of an outing: what comes up on its day at its water, as the groups have it and as the tier's own outings there before it taught. */
export function selectHatch(state: State, outing: OutingRecord): Hatch {
  const asked = askedOf(state);
  const { start, waterId, sky, wind, waterC } = outing;
  const water = waterId ? asked.entities.water[waterId] : undefined;
  const past = waterId ? pastOf(asked, waterId) : [];
  const key = [start, sky, wind, waterC, water, asked.groups, asked.settings];
  if (shown && same(shown.key, key) && shown.past.length === past.length && same(shown.past, past)) return shown.hatch;
  const hatch = workOut(asked, past, outing);
  shown = { key, past, hatch };
  return hatch;
}

/** How far off the book was at a water, and how far the tier's own past had it by then. */
export function selectTold(state: State, waterId: string): Told {
  const past = pastOf(askedOf(state), waterId);
  if (!held || held.past.length !== past.length || !same(held.past, past)) held = { past, told: null };
  held.told ??= toldBefore(BANDS.map((band) => past.map(({ witness }) => witness[band]!)));
  return held.told;
}
