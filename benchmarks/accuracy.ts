/** How well the key finds the stage: written cases and simulated tiers. `npm run bench` prints it, docs/accuracy.md keeps it. */
import cases from '../src/catalogue/cases.json';
import { KEY } from '../src/catalogue/key';
import { chance } from '../src/standins/camera/chance';
import { believe, nextSign, NOTHING_SEEN, ranked, type AskedId, type Key, type Sighting } from '../src/core/belief';

function draw(weights: readonly number[], random: () => number): number {
  let left = random() * weights.reduce((sum, value) => sum + value, 0);
  for (let index = 0; index < weights.length; index++) {
    left -= weights[index]!;
    if (left <= 0) return index;
  }
  return weights.length - 1;
}

interface Case {
  id: string;
  truth: string;
  month: number;
  water: string;
  signs: Record<string, string>;
  found: string | null;
  doing: string | null;
  light: string | null;
  length_mm: number | null;
}

function sightingOf(item: Case): Sighting {
  const extra = Object.fromEntries(Object.entries({ found: item.found, doing: item.doing, light: item.light }).filter(([, value]) => value !== null)) as Record<string, string>;
  return { ...NOTHING_SEEN, signs: { ...item.signs, ...extra } as Sighting['signs'], month: item.month, water: item.water, lengthMm: item.length_mm === null ? null : { mm: item.length_mm, sd: 0.5 } };
}

export function writtenCases(key: Key = KEY): { n: number; first: number; inTwo: number; missed: string[] } {
  const results = (cases as unknown as Case[]).map((item) => {
    const order = ranked(believe(key, sightingOf(item)).p).map((index) => key.ids[index]!);
    return { item, first: order[0] === item.truth, inTwo: order.slice(0, 2).includes(item.truth as never), got: order.slice(0, 2) };
  });
  const share = (of: 'first' | 'inTwo') => results.filter((result) => result[of]).length / results.length;
  return { n: results.length, first: share('first'), inTwo: share('inTwo'), missed: results.filter((result) => !result.first).map((result) => `${result.item.id} ${result.item.truth}: ${result.got.join(', ')}`) };
}

/** The key with every likelihood moved by up to ±30 %, as another hand might have set it. */
function perturbed(key: Key, by: number, random: () => number): Key {
  const table = Object.fromEntries(Object.entries(key.table).map(([sign, rows]) => [sign, rows.map((row) => {
    const raw = row.map((value) => value * (1 + by * (2 * random() - 1)));
    const sum = raw.reduce((total, value) => total + value, 0);
    return raw.map((value) => value / sum);
  })])) as unknown as Key['table'];
  return { ...key, table };
}

export interface Simulated {
  n: number;
  first: number;
  inTwo: number;
  /** Mean |said − was| over tenths of p, weighted by how often it was said; share. */
  calibration: number;
  bins: { said: number; was: number; n: number }[];
}

const WRONG = 0.05;
const UNKNOWN = 0.25;

/** Tiers who meet a stage as often as the prior says and note what another hand's likelihoods give them, some of it wrong or unknown. */
export function simulatedTiers(n: number, key: Key = KEY, seed = 7): Simulated {
  const random = chance(seed).next;
  const world = perturbed(key, 0.3, random);
  const asked = Object.keys(key.answers) as AskedId[];
  const bins = Array.from({ length: 10 }, () => ({ said: 0, was: 0, n: 0 }));
  let first = 0;
  let inTwo = 0;
  for (let i = 0; i < n; i++) {
    const { stage, sighting } = meet(world, asked, random);
    const { p } = believe(key, sighting);
    const order = ranked(p);
    if (order[0] === stage) first++;
    if (order.slice(0, 2).includes(stage)) inTwo++;
    const bin = bins[Math.min(9, Math.floor(p[order[0]!]! * 10))]!;
    bin.said += p[order[0]!]!;
    bin.was += order[0] === stage ? 1 : 0;
    bin.n++;
  }
  const used = bins.filter((bin) => bin.n > 0).map((bin) => ({ said: bin.said / bin.n, was: bin.was / bin.n, n: bin.n }));
  return { n, first: first / n, inTwo: inTwo / n, calibration: used.reduce((sum, bin) => sum + (bin.n / n) * Math.abs(bin.said - bin.was), 0), bins: used };
}

function meet(world: Key, asked: readonly AskedId[], random: () => number, all = false) {
  for (;;) {
    const stage = draw(world.prior, random);
    const members = world.members[stage]!;
    if (members.length === 0) continue;
    const { group, entry } = members[Math.floor(random() * members.length)]!;
    const months = entry.months ?? group.months;
    const month = /\/(nymph|larva|cased-larva|free-larva)$/.test(entry.stage) ? 1 + Math.floor(random() * 12) : months[Math.floor(random() * months.length)]!;
    const water = group.waters.length > 0 ? group.waters[Math.floor(random() * group.waters.length)]! : null;
    const signs: Partial<Record<AskedId, string>> = {};
    for (const sign of asked) {
      if (!all && random() < UNKNOWN) continue;
      const answers = world.answers[sign];
      const index = random() < WRONG ? Math.floor(random() * answers.length) : draw(world.table[sign][stage]!, random);
      signs[sign] = answers[index]!;
    }
    const [low, typical, high] = entry.length_mm ?? [4, 8, 14];
    const mm = Math.max(0.5, typical + (random() + random() + random() - 1.5) * ((high - low) / 3));
    return { stage, signs, sighting: { ...NOTHING_SEEN, signs, month, water, lengthMm: { mm, sd: 0.6 } } satisfies Sighting };
  }
}

/** Median answers until one stage has p ≥ 0.8, month and found known: by what is worth most, and in the order of the list. */
export function answersNeeded(n: number, key: Key = KEY, seed = 11): { chosen: number; fixed: number; sure: number } {
  const random = chance(seed).next;
  const asked = Object.keys(key.answers) as AskedId[];
  const order = asked.filter((sign) => sign !== 'found');
  const count = (signs: Partial<Record<AskedId, string>>, start: Sighting, pick: (sighting: Sighting, tried: AskedId[]) => AskedId | null) => {
    let sighting = start;
    const tried: AskedId[] = [];
    for (let answered = 0; answered <= asked.length; answered++) {
      const belief = believe(key, sighting);
      if (Math.max(...belief.p) >= 0.8) return answered;
      const sign = pick(sighting, tried);
      if (sign === null) return asked.length;
      tried.push(sign);
      sighting = { ...sighting, signs: { ...sighting.signs, [sign]: signs[sign]! } };
    }
    return asked.length;
  };
  const chosen: number[] = [];
  const fixed: number[] = [];
  for (let i = 0; i < n; i++) {
    const { signs, sighting } = meet(key, asked, random, true);
    const start: Sighting = { ...NOTHING_SEEN, month: sighting.month, water: sighting.water, signs: { found: signs.found! } };
    chosen.push(count(signs, start, (now, tried) => nextSign(key, now, believe(key, now), tried)?.sign ?? null));
    fixed.push(count(signs, start, (_, tried) => order.find((sign) => !tried.includes(sign)) ?? null));
  }
  const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  return { chosen: median(chosen), fixed: median(fixed), sure: chosen.filter((value) => value < asked.length).length / n };
}
