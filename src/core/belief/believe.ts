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

/** Log likelihood of the signs for every stage; signs of one cause count less after the first. */
function signScores(key: Key, signs: Sighting['signs']): number[] {
  const byFactor = new Map<string, AskedId[]>();
  for (const sign of Object.keys(signs) as AskedId[]) {
    const answer = signs[sign];
    if (answer === undefined || !key.answers[sign]?.includes(answer)) continue;
    const factor = key.data.signs[sign]?.factor ?? sign;
    byFactor.set(factor, [...(byFactor.get(factor) ?? []), sign]);
  }
  return key.ids.map((_, stage) => {
    let score = 0;
    for (const heard of byFactor.values()) {
      const exponent = (1 + (heard.length - 1) * key.data.temper) / heard.length;
      for (const sign of heard) score += exponent * Math.log(key.table[sign][stage]![key.answers[sign].indexOf(signs[sign]!)]!);
    }
    return score;
  });
}

function oddsOf(key: Key, sighting: Sighting, id: StageId): number {
  const of = (table: Readonly<Record<string, number>> | undefined) => (!table || Object.keys(table).length === 0 ? 1 : (table[id] ?? key.odds.rest));
  return sighting.seen.reduce((odds, seen) => odds * of(key.odds.seen[seen]), 1) * (sighting.rise ? of(key.odds.rise[sighting.rise]) : 1);
}

/** What is known of every stage but for its signs: prior, season, place, water, length and colour, as a logarithm; and how its groups share it. */
export interface Standing {
  logs: number[];
  groupWeights: number[][];
}

/** A film emerger is not offered where only groups that climb out remain. Source: domain §2. */
export function standing(key: Key, sighting: Sighting): Standing {
  const tails = sighting.signs.tails;
  const groupWeights: number[][] = [];
  const logs = key.ids.map((id, stage) => {
    const members = key.members[stage]!;
    const here = members.map(({ group, entry }) => presence(group, entry, sighting));
    const looks = members.map(({ group, entry }) => tailsFit(group, entry, tails) * (sighting.lengthMm ? lengthDensity(entry, sighting.lengthMm) : 1) * (sighting.belly ? colourFit(key, entry.shades, sighting.belly) : 1));
    const both = here.map((value, index) => value * looks[index]!);
    const total = both.reduce((sum, value) => sum + value, 0);
    groupWeights.push(both.map((value) => (total > 0 ? value / total : 0)));
    const present = here.reduce((sum, value) => sum + value, 0);
    if (members.length > 0 && present === 0) return -Infinity;
    const placed = members.length === 0 ? 1 : present / members.length;
    const looked = members.length === 0 || present === 0 ? 1 : total / present;
    return Math.log(key.prior[stage]!) + SEASON_TEMPER * Math.log(placed) + Math.log(looked) + Math.log(oddsOf(key, sighting, id));
  });
  return { logs, groupWeights };
}

/** Odds of every order-and-stage from how it stands and the signs that were seen. */
export function withSigns(key: Key, { logs, groupWeights }: Standing, signs: Sighting['signs']): Belief {
  const scores = signScores(key, signs);
  const sums = logs.map((log, stage) => log + scores[stage]!);
  const top = Math.max(...sums);
  const raw = sums.map((log) => Math.exp(log - top));
  const sum = raw.reduce((total, value) => total + value, 0);
  return { p: raw.map((value) => value / sum), groupWeights };
}

/** Odds of every order-and-stage, given all that was seen. Source: domain §2. */
export function believe(key: Key, sighting: Sighting): Belief {
  return withSigns(key, standing(key, sighting), sighting.signs);
}

/** Indices of the stages, likeliest first; ties by the list's order. */
export function ranked(p: readonly number[]): number[] {
  return p.map((_, index) => index).sort((a, b) => p[b]! - p[a]! || a - b);
}
