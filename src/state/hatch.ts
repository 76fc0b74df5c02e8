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
  t0Of,
  warmthFrom,
  toldBefore,
  type Band,
  type BandId,
  type DegreeDays,
  type HatchDay,
  type Learnt,
  type Light,
  type Place,
  type Told,
  type Witness,
} from '@/core/hatch';
import { CASE } from '@/catalogue';
import type { RiseFormId, SeenId, StageId } from '@/catalogue/ids';
import type { NaturalGroup } from '@/core/belief';
import { bodiesOf } from '@/core/case';
import { groupsThatFit } from '@/core/naturals';
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
  /** Warmth of the year so far, of a band that has not begun and of such groups of it by name, where a sum was fitted. */
  warmth: Readonly<Partial<Record<BandId, readonly Warmth[]>>>;
}

/** A fitted sum of degree-days and the sum of this year until the day; of the whole band where no group is named. */
export interface Warmth extends DegreeDays {
  group: string | null;
  /** The day it is counted from. */
  from: string;
  now: number;
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

interface Natural {
  stage: StageId;
  when: string;
  /** Of the insects that count, mm. */
  bodies: readonly number[];
}
type Found = readonly Natural[];

type Span = readonly [first: number, last: number];

/** From when to when each band was noted on an outing, h: by what was seen, and by the naturals that were found. */
function bandsSeen({ tally }: Pick<OutingRecord, 'tally'>, found: Found): Partial<Record<BandId, Span>> {
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
  groups: readonly NaturalGroup[];
  settings: Pick<SettingsRecord, 'south' | 'fauna'>;
}

interface Past {
  id: string;
  date: string;
  seen: Partial<Record<BandId, Span>>;
  witness: Partial<Record<BandId, Witness>>;
  /** Groups that the naturals found were of, by band: where only one of those that come up then is of that stage and length. */
  groups: Partial<Record<BandId, readonly string[]>>;
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
  const witness: Partial<Record<BandId, Witness>> = Object.fromEntries(
    BANDS.map((band) => [
      band,
      { day: dayOfYear(day.date), comes: comesOf(band, day, groups, triggers), seen: seen[band] ?? null, from, to },
    ]),
  );
  const singled: Partial<Record<BandId, string[]>> = {};
  for (const { stage, bodies } of found) {
    const band = bandOfStage(stage);
    if (band === null) continue;
    const fits = new Set(groupsThatFit(groups, stage, bodies, day.fauna));
    const of = witness[band]!.comes.filter(({ group }) => fits.has(group.id));
    if (of.length === 1) (singled[band] ??= []).push(of[0]!.group.id);
  }
  const past = { id, date: day.date, seen, witness, groups: singled };
  said.set(own, { of, past });
  return past;
}

let measured: { match: unknown; sample: unknown; found: Map<string, Natural[]> } | null = null;

/** Naturals that were found on outings, by outing. */
function naturalsOf({ match, sample }: Asked['entities']): Map<string, Natural[]> {
  if (measured?.match !== match || measured.sample !== sample) {
    const found = new Map(
      [...stagesFound({ match, sample })].map(([id, all]) => [
        id,
        all.map(({ stage, when, sampleId }) => ({
          stage,
          when,
          bodies: bodiesOf(sample[sampleId]!, stage, CASE.growing),
        })),
      ]),
    );
    measured = { match, sample, found };
  }
  return measured.found;
}

/** What every ended outing at a water saw, the earliest first. */
function pastOf(asked: Asked, waterId: string): Past[] {
  const found = naturalsOf(asked.entities);
  return Object.entries(asked.entities.outing)
    .filter(([, own]) => own.waterId === waterId && own.end)
    .sort(([, a], [, b]) => a.start.localeCompare(b.start))
    .map(([id, own]) => pastOfOne(asked, id, own, found.get(id) ?? []));
}

/** Of each year the first day on which something was seen, by the day its warmth is counted from. */
function firstDays(past: readonly Past[], south: boolean, was: (own: Past) => boolean): Map<string, string> {
  const byYear = new Map<string, string>();
  for (const own of past) {
    const from = warmthFrom(own.date, south);
    if (!byYear.has(from) && was(own)) byYear.set(from, own.date);
  }
  return byYear;
}

/** What fitted years needed, and what this one has brought; null where it is out, or too little is known. */
function warmthOf(
  means: Readonly<Record<string, number>>,
  { date, south }: HatchDay,
  firsts: ReadonlyMap<string, string>,
  t0: number,
): Omit<Warmth, 'group'> | null {
  const from = warmthFrom(date, south);
  const now = firsts.has(from) ? null : degreeDays(means, from, date, t0);
  const fit = now === null ? null : fitDegreeDays(means, [...firsts.values()], t0, south);
  return fit && { ...fit, from, now: now! };
}

function workOut({ entities, groups, settings }: Asked, past: readonly Past[], outing: OutingRecord): Hatch {
  const water = outing.waterId ? entities.water[outing.waterId] : undefined;
  const day = hatchDay(outing, water, settings);
  const before = past.filter(({ date }) => date < day.date);
  const means = Object.fromEntries(Object.entries(water?.daily ?? {}).map(([date, { mean }]) => [date, mean]));
  const warmth: Partial<Record<BandId, Warmth[]>> = {};
  const taught: Partial<Record<BandId, Learnt>> = {};
  for (const band of BANDS) {
    const own = learnt(
      dayOfYear(day.date),
      before.map(({ witness }) => witness[band]!),
    );
    const needs = (group: string | null, over: number, was: (own: Past) => boolean) => {
      const known = warmthOf(means, day, firstDays(before, day.south, was), over);
      const name = groups.find(({ id }) => id === group)?.name ?? null;
      if (known) (warmth[band] ??= []).push({ ...known, group: name });
      return known && broughtOn(known.now, known);
    };
    const t0 = band.startsWith('midge/') ? T0.warm : T0.cold;
    const begun = needs(null, t0, ({ seen }) => seen[band] !== undefined) ?? 1;
    const begunOf: Record<string, number> = {};
    for (const id of new Set(before.flatMap(({ groups }) => groups[band] ?? []))) {
      const of = needs(id, t0Of(id, triggers, t0), ({ groups }) => groups[band]?.includes(id) === true);
      if (of !== null) begunOf[id] = of;
    }
    taught[band] = { ...own, begun, begunOf };
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
