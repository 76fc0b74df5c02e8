import type { FaunaId, StageId } from '@/catalogue/ids';
import type { Lab } from '../colour';
import {
  caseLikelihood,
  colourLikelihood,
  lengthLikelihood,
  monthLikelihood,
  usualColour,
  waterLikelihood,
  type LengthSeen,
} from './evidence';
import type { AskedId, Key, Table } from './key-data';

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
  lengthMm: LengthSeen | null;
  /** Length of its case, which it then has. */
  caseMm: LengthSeen | null;
  belly: Lab | null;
}

export const NOTHING_SEEN: Sighting = {
  signs: {},
  seen: [],
  rise: null,
  water: null,
  month: null,
  south: false,
  region: null,
  lengthMm: null,
  caseMm: null,
  belly: null,
};

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

const HALF_YEAR = 6;

/** The calendar's month as the groups count it: south of the equator no shipped group is known, only the turned year of its kind is used. */
export const monthTurned = (month: number, south: boolean): number =>
  south ? ((month + HALF_YEAR - 1) % 12) + 1 : month;

/** Signs heard that the key knows, by the cause they share. */
function heardByFactor(key: Key, signs: Sighting['signs']): Map<string, AskedId[]> {
  const byFactor = new Map<string, AskedId[]>();
  for (const sign of Object.keys(signs) as AskedId[]) {
    const answer = signs[sign];
    // Tails are weighed with the groups, which differ in them.
    if (answer === undefined || sign === 'tails' || !key.answers[sign]?.includes(answer)) continue;
    const factor = factorOf(key, sign);
    byFactor.set(factor, [...(byFactor.get(factor) ?? []), sign]);
  }
  return byFactor;
}

function factorOf(key: Key, sign: AskedId): string {
  return key.data.signs[sign]?.factor ?? sign;
}

const logTables = new WeakMap<Table, Table>();

/** A table's logarithms: taken once, read at every key that is pressed. */
function logsOf(table: Table): Table {
  const known =
    logTables.get(table) ??
    (Object.fromEntries(
      Object.entries(table).map(([sign, rows]) => [sign, rows.map((row) => row.map(Math.log))]),
    ) as unknown as Table);
  logTables.set(table, known);
  return known;
}

/** Which table a sign is read in: what it needs is there, is not there (then it says nothing: null), or nobody said. */
export function tableFor(key: Key, sign: AskedId, signs: Sighting['signs']): Table | null {
  const needs = key.data.signs[sign]?.needs;
  if (!needs) return key.table;
  const parent = signs[needs.sign];
  if (parent === undefined || !key.answers[needs.sign].includes(parent)) return key.alone;
  return needs.answers.includes(parent) ? key.table : null;
}

/** Adds what the signs of one cause say to the score of every stage; they count less after the first. */
function addFactor(scores: number[], key: Key, heard: readonly AskedId[], signs: Sighting['signs']): void {
  const read = heard.flatMap((sign) => {
    const table = tableFor(key, sign, signs);
    return table === null ? [] : [{ sign, table }];
  });
  const exponent = (1 + (read.length - 1) * key.data.temper) / read.length;
  for (const { sign, table } of read) {
    const index = key.answers[sign].indexOf(signs[sign]!);
    const rows = logsOf(table)[sign];
    for (let stage = 0; stage < scores.length; stage++) scores[stage]! += exponent * rows[stage]![index]!;
  }
}

function oddsOf(key: Key, sighting: Sighting, id: StageId): number {
  const of = (table: Readonly<Record<string, number>> | undefined) =>
    !table || Object.keys(table).length === 0 ? 1 : (table[id] ?? key.odds.rest);
  return (
    sighting.seen.reduce((odds, seen) => odds * of(key.odds.seen[seen]), 1) *
    (sighting.rise ? of(key.odds.rise[sighting.rise]) : 1)
  );
}

const presences = new WeakMap<Key, { place: string; here: readonly (readonly number[])[] }>();

/** Share of each member of each stage, and how likely it is met at this water in this month: the same for every length and sign, so it is kept while place and month stay. Members of another fauna have none. */
function presenceOf(key: Key, sighting: Sighting): readonly (readonly number[])[] {
  const place = [sighting.region, sighting.water, sighting.month, sighting.south].join();
  const known = presences.get(key);
  if (known?.place === place) return known.here;
  const month = sighting.month === null ? null : monthTurned(sighting.month, sighting.south);
  const here = key.members.map((members) => {
    const lives = members.map(
      ({ group }) => sighting.region === null || group.regions.length === 0 || group.regions.includes(sighting.region),
    );
    const count = lives.filter(Boolean).length;
    return members.map(({ group, entry, young }, index) =>
      lives[index]
        ? (1 / count) *
          (sighting.water === null ? 1 : waterLikelihood(group, sighting.water)) *
          (month === null ? 1 : monthLikelihood(group, entry, young, month))
        : 0,
    );
  });
  presences.set(key, { place, here });
  return here;
}

/** What is known of every stage but for its signs: prior, season, place, water, length and colour, as a logarithm; and how its groups share it. */
export interface BeforeSigns {
  logPrior: number[];
  groupWeights: number[][];
  /** By stage, before any member is looked at: prior and what the water says. */
  stageLogPrior: number[];
  /** How likely every member is with its place, month, length and colour, without its tails. */
  memberLikelihoods: number[][];
}

/** Share of a stage that lives in a case. */
const casedShare = (key: Key, stage: number) => 1 - key.table.case[stage]![key.answers.case.indexOf('none')]!;

/** A film emerger is not offered where only groups that climb out remain. Source: domain §2. */
export function beforeSigns(key: Key, sighting: Sighting): BeforeSigns {
  const here = presenceOf(key, sighting);
  const { lengthMm, caseMm, belly } = sighting;
  const usual = belly ? usualColour(key, belly) : 0;
  const saidCase = sighting.signs.case !== undefined && sighting.signs.case !== 'unknown';
  const stageLogPrior = key.ids.map(
    (id, stage) =>
      Math.log(key.prior[stage]!) +
      Math.log(oddsOf(key, sighting, id)) +
      (caseMm && !saidCase ? Math.log(casedShare(key, stage)) : 0),
  );
  const memberLikelihoods = key.members.map((members, stage) =>
    members.map(
      ({ entry }, index) =>
        here[stage]![index]! *
        (lengthMm ? lengthLikelihood(entry.length_mm, lengthMm) : 1) *
        (caseMm ? caseLikelihood(entry, caseMm) : 1) *
        (belly ? colourLikelihood(key, entry.shades, belly, usual) : 1),
    ),
  );
  return withTailLikelihood(key, { stageLogPrior, memberLikelihoods }, sighting);
}

/** The same with other tails: these tell groups apart as well as stages. */
function withTailLikelihood(
  key: Key,
  { stageLogPrior, memberLikelihoods }: Pick<BeforeSigns, 'stageLogPrior' | 'memberLikelihoods'>,
  sighting: Sighting,
): BeforeSigns {
  const answer = sighting.signs.tails === undefined ? -1 : key.answers.tails.indexOf(sighting.signs.tails);
  const both =
    answer < 0
      ? memberLikelihoods
      : key.members.map((members, stage) =>
          members.map(({ tails }, index) => memberLikelihoods[stage]![index]! * tails[answer]!),
        );
  const totals = both.map(sumOf);
  return {
    stageLogPrior,
    memberLikelihoods,
    groupWeights: both.map((weights, stage) =>
      weights.map((value) => (totals[stage]! > 0 ? value / totals[stage]! : 0)),
    ),
    // A stage of which no group is known here is left out; one that no group is written for stays as its prior has it.
    logPrior: stageLogPrior.map((log, stage) =>
      key.members[stage]!.length === 0 ? log : log + Math.log(totals[stage]!),
    ),
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

/** How it before with everything that was heard. */
function heardScores(
  key: Key,
  { logPrior }: BeforeSigns,
  byFactor: ReadonlyMap<string, readonly AskedId[]>,
  signs: Sighting['signs'],
): number[] {
  const scores = [...logPrior];
  for (const heard of byFactor.values()) addFactor(scores, key, heard, signs);
  return scores;
}

/** Odds for every answer of a sign, each as if it were heard with the rest. */
export function withEachAnswer(
  key: Key,
  before: BeforeSigns,
  sighting: Sighting,
  sign: AskedId,
): (readonly number[])[] {
  const { signs } = sighting;
  if (sign === 'tails') {
    return key.answers.tails.map((tails) => {
      const told = { ...signs, tails };
      return heard(key, withTailLikelihood(key, before, { ...sighting, signs: told }), told).p;
    });
  }
  const byFactor = heardByFactor(key, signs);
  const factor = factorOf(key, sign);
  const same = [...(byFactor.get(factor) ?? []).filter((other) => other !== sign), sign];
  byFactor.delete(factor);
  const others = heardScores(key, before, byFactor, signs);
  return key.answers[sign].map((answer) => {
    const scores = [...others];
    addFactor(scores, key, same, { ...signs, [sign]: answer });
    return oddsFrom(scores);
  });
}

/** Odds of every order-and-stage, given all that was seen. Source: domain §2. */
export function believe(key: Key, sighting: Sighting): Belief {
  return heard(key, beforeSigns(key, sighting), sighting.signs);
}

function heard(key: Key, before: BeforeSigns, signs: Sighting['signs']): Belief {
  return { p: oddsFrom(heardScores(key, before, heardByFactor(key, signs), signs)), groupWeights: before.groupWeights };
}

/** Indices of the stages, likeliest first; ties by the list's order. */
export function ranked(p: readonly number[]): number[] {
  return p.map((_, index) => index).sort((a, b) => p[b]! - p[a]! || a - b);
}
