import type { FaunaId, StageId } from '@/catalogue/ids';
import { deltaE, type Lab } from '../colour';
import type { AskedId, GroupStage, Key, NaturalGroup } from './key-data';

/** What was seen of one insect and of the water. Anything left out is unknown, never "no". */
export interface Sighting {
  signs: Readonly<Partial<Record<AskedId, string>>>;
  seen: readonly string[];
  rise: string | null;
  water: string | null;
  /** 1–12 as the calendar says; `south` turns the year. */
  month: number | null;
  south: boolean;
  region: FaunaId | null;
  lengthMm: { mm: number; sd: number } | null;
  belly: Lab | null;
}

export const NOTHING_SEEN: Sighting = { signs: {}, seen: [], rise: null, water: null, month: null, south: false, region: null, lengthMm: null, belly: null };

/** A stage this likely is taken as told. Source: docs/cli.md, `certain`. */
export const SURE = 0.8;
/** One measured insect against its hatch and its reading, mm. */
export const INSECT_SD_MM = 0.4;

export interface Belief {
  /** By index of the key's stages; sums to 1. */
  p: readonly number[];
  /** Weight of each member group of each stage, sums to 1 for every stage that has any. */
  groupWeights: readonly (readonly number[])[];
}

/** Month is weak: a month away still happens (height, springs, tailwaters), two months hardly. Source: domain §2. */
const SEASON = { inside: 1, beside: 0.45, outside: 0.08 } as const;
const WATER_OUTSIDE = 0.25;
/** The young are in the water all year. */
const YOUNG = /\/(nymph|larva|cased-larva|free-larva)$/;
/** How much the weather of a month may tell against a stage as a whole. */
const SEASON_TEMPER = 0.6;
const COLOUR_FLOOR = 0.12;
const LENGTH_FLOOR = 0.004;
const HALF_YEAR = 6;

function season(months: readonly number[], month: number): number {
  if (months.length === 0 || months.includes(month)) return SEASON.inside;
  const beside = months.some((other) => Math.abs(other - month) === 1 || Math.abs(other - month) === 11);
  return beside ? SEASON.beside : SEASON.outside;
}

function normal(x: number, mean: number, sd: number): number {
  return Math.exp(-0.5 * ((x - mean) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
}

/** Density of a length in a group, 1/mm: ranges span about four standard deviations. */
function lengthDensity(entry: GroupStage, length: NonNullable<Sighting['lengthMm']>): number {
  if (!entry.length_mm) return LENGTH_FLOOR;
  const [min, typical, max] = entry.length_mm;
  const side = length.mm < typical ? typical - min : max - typical;
  return Math.max(LENGTH_FLOOR, normal(length.mm, typical, Math.hypot(Math.max(0.3, side / 2), length.sd)));
}

/** How well a belly's colour goes with a group's words, 0–1. */
export function colourFit(key: Key, shades: readonly string[], belly: Lab): number {
  if (shades.length === 0) return 0.5;
  const best = Math.min(...shades.map((shade) => {
    const [tone, hue] = shade.split('-') as [string, string];
    const centre = key.colours.hues[hue]?.[tone];
    return centre ? deltaE(centre, belly) : Infinity;
  }));
  return Math.max(COLOUR_FLOOR, Math.exp(-0.5 * (best / key.colours.spread) ** 2));
}

/** Where and when a group lives, without its looks. */
function presence(group: NaturalGroup, entry: GroupStage, sighting: Sighting): number {
  const found = sighting.region === null || group.regions.length === 0 || group.regions.includes(sighting.region) ? 1 : 0;
  const water = sighting.water === null || group.waters.length === 0 || group.waters.includes(sighting.water) ? 1 : WATER_OUTSIDE;
  // South of the equator no shipped group is known: only the turned year of its kind is used.
  const month = sighting.month === null ? null : sighting.south ? ((sighting.month + HALF_YEAR - 1) % 12) + 1 : sighting.month;
  const time = month === null || YOUNG.test(entry.stage) ? 1 : season(entry.months ?? group.months, month);
  return found * water * time;
}

/** Tails that a group's adults have, against the number seen. */
function tailsFit(group: NaturalGroup, entry: GroupStage, tails: string | undefined): number {
  if (!group.adult_tails || !tails || !/^[123]$/.test(tails) || YOUNG.test(entry.stage) || entry.stage.endsWith('mature-nymph')) return 1;
  return group.adult_tails.includes(Number(tails)) ? 1 : 0.12;
}

/** Signs heard that the key knows, by the cause they share. */
function heardByFactor(key: Key, signs: Sighting['signs']): Map<string, AskedId[]> {
  const byFactor = new Map<string, AskedId[]>();
  for (const sign of Object.keys(signs) as AskedId[]) {
    const answer = signs[sign];
    if (answer === undefined || !key.answers[sign]?.includes(answer)) continue;
    const factor = factorOf(key, sign);
    byFactor.set(factor, [...(byFactor.get(factor) ?? []), sign]);
  }
  return byFactor;
}

function factorOf(key: Key, sign: AskedId): string {
  return key.data.signs[sign]?.factor ?? sign;
}

const logTables = new WeakMap<Key['table'], Key['table']>();

/** The table's logarithms: taken once, read at every key that is pressed. */
function logTable(key: Key): Key['table'] {
  const known = logTables.get(key.table) ?? (Object.fromEntries(Object.entries(key.table).map(([sign, rows]) => [sign, rows.map((row) => row.map(Math.log))])) as unknown as Key['table']);
  logTables.set(key.table, known);
  return known;
}

/** Adds what the signs of one cause say to the score of every stage; they count less after the first. */
function addFactor(scores: number[], key: Key, heard: readonly AskedId[], signs: Sighting['signs']): void {
  const exponent = (1 + (heard.length - 1) * key.data.temper) / heard.length;
  const logs = logTable(key);
  for (const sign of heard) {
    const index = key.answers[sign].indexOf(signs[sign]!);
    const rows = logs[sign];
    for (let stage = 0; stage < scores.length; stage++) scores[stage]! += exponent * rows[stage]![index]!;
  }
}

function oddsOf(key: Key, sighting: Sighting, id: StageId): number {
  const of = (table: Readonly<Record<string, number>> | undefined) => (!table || Object.keys(table).length === 0 ? 1 : (table[id] ?? key.odds.rest));
  return sighting.seen.reduce((odds, seen) => odds * of(key.odds.seen[seen]), 1) * (sighting.rise ? of(key.odds.rise[sighting.rise]) : 1);
}

const presences = new WeakMap<Key, { place: string; here: readonly (readonly number[])[] }>();

/** Presence of every member of every stage: the same for every length and sign, so it is kept while place and month stay. */
function presenceOf(key: Key, sighting: Sighting): readonly (readonly number[])[] {
  const place = [sighting.region, sighting.water, sighting.month, sighting.south].join();
  const known = presences.get(key);
  if (known?.place === place) return known.here;
  const here = key.members.map((members) => members.map(({ group, entry }) => presence(group, entry, sighting)));
  presences.set(key, { place, here });
  return here;
}

/** What is known of every stage but for its signs: prior, season, place, water, length and colour, as a logarithm; and how its groups share it. */
export interface Standing {
  logs: number[];
  groupWeights: number[][];
  /** By stage, before any member is looked at: prior, season, place and what the water says. */
  placed: number[];
  /** How every member goes with the length and the colour, without its tails. */
  looks: number[][];
}

/** A film emerger is not offered where only groups that climb out remain. Source: domain §2. */
export function standing(key: Key, sighting: Sighting): Standing {
  const here = presenceOf(key, sighting);
  const placed = key.ids.map((id, stage) => {
    const present = sumOf(here[stage]!);
    if (here[stage]!.length > 0 && present === 0) return -Infinity;
    return Math.log(key.prior[stage]!) + SEASON_TEMPER * Math.log(here[stage]!.length === 0 ? 1 : present / here[stage]!.length) + Math.log(oddsOf(key, sighting, id));
  });
  const looks = key.members.map((members) => members.map(({ entry }) => (sighting.lengthMm ? lengthDensity(entry, sighting.lengthMm) : 1) * (sighting.belly ? colourFit(key, entry.shades, sighting.belly) : 1)));
  return withTails(key, { logs: [], groupWeights: [], placed, looks }, sighting);
}

/** The same with other tails: these tell groups apart as well as stages. */
export function withTails(key: Key, { placed, looks }: Standing, sighting: Sighting): Standing {
  const here = presenceOf(key, sighting);
  const both = key.members.map((members, stage) => members.map(({ group, entry }, index) => here[stage]![index]! * looks[stage]![index]! * tailsFit(group, entry, sighting.signs.tails)));
  const totals = both.map(sumOf);
  return {
    placed,
    looks,
    groupWeights: both.map((weights, stage) => weights.map((value) => (totals[stage]! > 0 ? value / totals[stage]! : 0))),
    logs: placed.map((log, stage) => (log === -Infinity || here[stage]!.length === 0 ? log : log + Math.log(totals[stage]! / sumOf(here[stage]!)))),
  };
}

function sumOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0);
}

function oddsFrom(scores: readonly number[]): number[] {
  let top = -Infinity;
  for (const score of scores) if (score > top) top = score;
  const odds = new Array<number>(scores.length);
  let sum = 0;
  for (let stage = 0; stage < scores.length; stage++) sum += odds[stage] = Math.exp(scores[stage]! - top);
  for (let stage = 0; stage < scores.length; stage++) odds[stage]! /= sum;
  return odds;
}

/** How it stands with everything that was heard. */
function heardScores(key: Key, { logs }: Standing, byFactor: ReadonlyMap<string, readonly AskedId[]>, signs: Sighting['signs']): number[] {
  const scores = [...logs];
  for (const heard of byFactor.values()) addFactor(scores, key, heard, signs);
  return scores;
}

/** Odds for every answer of a sign, each as if it were heard with the rest. */
export function withEachAnswer(key: Key, stands: Standing, sighting: Sighting, sign: AskedId): (readonly number[])[] {
  const { signs } = sighting;
  if (sign === 'tails') {
    return key.answers.tails.map((tails) => {
      const told = { ...signs, tails };
      return heard(key, withTails(key, stands, { ...sighting, signs: told }), told).p;
    });
  }
  const byFactor = heardByFactor(key, signs);
  const factor = factorOf(key, sign);
  const same = [...(byFactor.get(factor) ?? []).filter((other) => other !== sign), sign];
  byFactor.delete(factor);
  const others = heardScores(key, stands, byFactor, signs);
  return key.answers[sign].map((answer) => {
    const scores = [...others];
    addFactor(scores, key, same, { ...signs, [sign]: answer });
    return oddsFrom(scores);
  });
}

/** Odds of every order-and-stage, given all that was seen. Source: domain §2. */
export function believe(key: Key, sighting: Sighting): Belief {
  return heard(key, standing(key, sighting), sighting.signs);
}

function heard(key: Key, stands: Standing, signs: Sighting['signs']): Belief {
  return { p: oddsFrom(heardScores(key, stands, heardByFactor(key, signs), signs)), groupWeights: stands.groupWeights };
}

/** Indices of the stages, likeliest first; ties by the list's order. */
export function ranked(p: readonly number[]): number[] {
  return p.map((_, index) => index).sort((a, b) => p[b]! - p[a]! || a - b);
}
