/** How well the key finds the stage: written cases and simulated tiers. `npm run bench` prints it, docs/accuracy.md keeps it. */
import cases from '../src/catalogue/cases.json';
import { KEY } from '../src/catalogue/key';
import {
  believe,
  nextSign,
  NOTHING_SEEN,
  ranked,
  SURE,
  type AskedId,
  type Key,
  type Sighting,
} from '../src/core/belief';
import { chance } from '../src/standins/camera/chance';
import { AS_WRITTEN, naturals, type Met, type World } from './worlds';

export interface Case {
  /** 2: written by going through the groups, before a weight was touched. */
  set?: number;
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
  const extra = Object.fromEntries(
    Object.entries({ found: item.found, doing: item.doing, light: item.light }).filter(([, value]) => value !== null),
  ) as Record<string, string>;
  return {
    ...NOTHING_SEEN,
    signs: { ...item.signs, ...extra } as Sighting['signs'],
    month: item.month,
    water: item.water,
    lengthMm: item.length_mm === null ? null : { mm: item.length_mm, sd: 0.5 },
  };
}

export function writtenCases(
  key: Key = KEY,
  only: (item: Case) => boolean = () => true,
): { n: number; first: number; inTwo: number; missed: string[] } {
  const results = (cases as unknown as Case[]).filter(only).map((item) => {
    const order = ranked(believe(key, sightingOf(item)).p).map((index) => key.ids[index]!);
    return {
      item,
      first: order[0] === item.truth,
      inTwo: order.slice(0, 2).includes(item.truth as never),
      got: order.slice(0, 2),
    };
  });
  const share = (of: 'first' | 'inTwo') => results.filter((result) => result[of]).length / results.length;
  return {
    n: results.length,
    first: share('first'),
    inTwo: share('inTwo'),
    missed: results
      .filter((result) => !result.first)
      .map((result) => `${result.item.id} ${result.item.truth}: ${result.got.join(', ')}`),
  };
}

/** How often what was said was right, in tenths of what was said. */
export interface Said {
  n: number;
  first: number;
  inTwo: number;
  /** Largest |said − was| of a tenth that was said more than 40 times, share. */
  worstTenth: number;
  /** Of answers of 0.9 and more, the share that was wrong. */
  sureWrong: number;
  bins: { said: number; was: number; n: number }[];
}

const UNKNOWN = 0.25;
const ENOUGH = 40;
const LENGTH_SD = 0.6;

function tally(answers: readonly { p: number; place: number }[]): Said {
  const bins = Array.from({ length: 10 }, () => ({ said: 0, was: 0, n: 0 }));
  for (const { p, place } of answers) {
    const bin = bins[Math.min(9, Math.floor(p * 10))]!;
    bin.said += p;
    bin.was += place === 0 ? 1 : 0;
    bin.n++;
  }
  const used = bins
    .filter((bin) => bin.n > 0)
    .map((bin) => ({ said: bin.said / bin.n, was: bin.was / bin.n, n: bin.n }));
  const sure = answers.filter(({ p }) => p >= 0.9);
  const share = (of: (answer: { p: number; place: number }) => boolean) => answers.filter(of).length / answers.length;
  return {
    n: answers.length,
    first: share(({ place }) => place === 0),
    inTwo: share(({ place }) => place < 2),
    bins: used,
    worstTenth: Math.max(0, ...used.filter((bin) => bin.n > ENOUGH).map((bin) => Math.abs(bin.said - bin.was))),
    sureWrong: sure.length === 0 ? 0 : sure.filter(({ place }) => place > 0).length / sure.length,
  };
}

const placed = (key: Key, sighting: Sighting, stage: number) => {
  const { p } = believe(key, sighting);
  const order = ranked(p);
  return { p: p[order[0]!]!, place: order.indexOf(stage) };
};

const sightingOfMet = ({ month, water, mm }: Met, signs: Sighting['signs']): Sighting => ({
  ...NOTHING_SEEN,
  signs,
  month,
  water,
  lengthMm: { mm, sd: LENGTH_SD },
});

/** Tiers who meet a stage as often as the prior says and note all they can see of it, a quarter of it unknown. */
export function simulatedTiers(n: number, world: World = AS_WRITTEN, key: Key = KEY, seed = 7): Said {
  const meet = naturals(world, seed, key);
  const { next: random } = chance(seed + 1);
  return tally(
    Array.from({ length: n }, () => {
      const met = meet();
      const signs = Object.fromEntries(
        Object.entries(met.signs).filter(() => random() >= UNKNOWN),
      ) as Sighting['signs'];
      return placed(key, sightingOfMet(met, signs), met.stage);
    }),
  );
}

/** Tiers who answer what is asked, month, water and place known, until one stage is certain or nothing more is asked: how often they are right when they stop, and how many answers it took. */
export function stoppingTiers(
  n: number,
  world: World = AS_WRITTEN,
  key: Key = KEY,
  seed = 11,
): { certain: Said; answers: number; share: number; all: Said } {
  const meet = naturals(world, seed, key);
  const { next: random } = chance(seed + 1);
  const certain: { p: number; place: number }[] = [];
  const all: { p: number; place: number }[] = [];
  const needed: number[] = [];
  for (let i = 0; i < n; i++) {
    const met = meet();
    let sighting: Sighting = { ...sightingOfMet(met, { found: met.signs.found! }), lengthMm: null };
    const skip: AskedId[] = [];
    let answered = 0;
    for (;;) {
      const belief = believe(key, sighting);
      if (Math.max(...belief.p) >= SURE) {
        certain.push(placed(key, sighting, met.stage));
        needed.push(answered);
        break;
      }
      const next = nextSign(key, sighting, belief, skip);
      if (next === null) {
        needed.push(Infinity);
        break;
      }
      const answer = random() < UNKNOWN ? undefined : met.signs[next.sign];
      if (answer === undefined) skip.push(next.sign);
      else sighting = { ...sighting, signs: { ...sighting.signs, [next.sign]: answer } };
      answered++;
    }
    all.push(placed(key, sighting, met.stage));
  }
  needed.sort((a, b) => a - b);
  return {
    certain: tally(certain),
    all: tally(all),
    answers: needed[Math.floor(needed.length / 2)]!,
    share: certain.length / n,
  };
}

/** How much the rows of one cause may weigh after the first: what the cases of all other stages would choose. */
const TEMPERS = [0.8, 0.85, 0.9, 0.95, 1] as const;

/** Written cases of each stage, by the key that the cases of all other stages fit best. */
export function leftOutByStage(key: Key = KEY): {
  first: number;
  inTwo: number;
  chosen: Record<string, number>;
  worst: { stage: string; first: number; n: number }[];
} {
  const all = cases as unknown as Case[];
  const scored = TEMPERS.map((temper) => {
    const fitted = { ...key, data: { ...key.data, temper } };
    return {
      temper,
      results: all.map((item) => {
        const { p } = believe(fitted, sightingOf(item));
        const truth = key.ids.indexOf(item.truth as never);
        return { stage: item.truth, place: ranked(p).indexOf(truth), log: Math.log(Math.max(1e-9, p[truth]!)) };
      }),
    };
  });
  const stages = [...new Set(all.map((item) => item.truth))];
  const chosen: Record<string, number> = {};
  const held = stages.flatMap((stage) => {
    const best = scored
      .map((one) => ({
        one,
        log: one.results.reduce((sum, { stage: of, log }) => (of === stage ? sum : sum + log), 0),
      }))
      .sort((a, b) => b.log - a.log)[0]!.one;
    chosen[best.temper] = (chosen[best.temper] ?? 0) + 1;
    return best.results.filter((result) => result.stage === stage);
  });
  const worst = stages
    .map((stage) => {
      const own = held.filter((result) => result.stage === stage);
      return { stage, n: own.length, first: own.filter(({ place }) => place === 0).length / own.length };
    })
    .filter(({ first }) => first < 1)
    .sort((a, b) => a.first - b.first);
  return {
    first: held.filter(({ place }) => place === 0).length / held.length,
    inTwo: held.filter(({ place }) => place < 2).length / held.length,
    chosen,
    worst,
  };
}
