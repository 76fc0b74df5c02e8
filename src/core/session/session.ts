import type { VerbId } from '@/catalogue/ids';
import { LEARNING, SESSION, VERB_SHARE } from '../constants';
import { learnt } from './learnt';
import { inOrder, soonest, type Block, type Job, type Ordered } from './order';

/** What a session has to know of a card. */
export interface SessionCard {
  dressing: { id: string };
  /** For one fly, when the hand knows it; null where nobody said. */
  minutes: number | null;
  parts: readonly { material: { id: string } | null }[];
  steps: readonly { n: number; do: VerbId | string; part: string | null; wait_s: number | null }[];
}

/** So many flies of a card; `made` are those of it that were tied before. */
export interface SessionPart {
  card: SessionCard;
  count: number;
  made?: number;
}

/** Fly by fly: one is finished, or laid aside to dry, before the next. Step by step: a step is done on all flies of a card before the next step. */
export type SessionMode = 'fly' | 'step';

export interface SessionPlan {
  flies: number;
  /** When the last fly is done, minutes from the start: as reckoned, for quick and for slow hands. */
  minutes: { mean: number; low: number; high: number };
  /** When each fly is done, its last wait with it. Flies are numbered from 1 in the order of the cards. */
  ends: { fly: number; at_min: number }[];
  /** Every step of every fly in the order it is done. */
  order: { at_min: number; fly: number; step: number; wait_s: number | null }[];
  /** The same flies with every wait sat out. */
  one_by_one_minutes: number;
  /** Whether no order is quicker. */
  proven: boolean;
}

/** Minutes for one fly where its dressing says none: by how many materials it has. Source: domain §9. */
export function guessedMinutes({ parts }: Pick<SessionCard, 'parts'>): number {
  const materials = new Set(parts.flatMap(({ material }) => material?.id ?? [])).size;
  const { few, ordinary, many } = LEARNING.minutes;
  return materials <= LEARNING.few ? few : materials <= LEARNING.ordinary ? ordinary : many;
}

interface Tied {
  card: number;
  /** Hands on each step, s. */
  hands: number[];
}

function fliesOf(parts: readonly SessionPart[]): Tied[] {
  return parts.flatMap(({ card, count, made = 0 }, at) => {
    const shares = card.steps.map(({ do: verb }) => VERB_SHARE[verb as VerbId] ?? 1);
    const all = shares.reduce((sum, share) => sum + share, 0);
    const seconds = 60 * (card.minutes ?? guessedMinutes(card));
    return Array.from({ length: count }, (_, nth) => ({
      card: at,
      hands: shares.map((share) => (seconds * learnt(made + nth) * share) / all),
    }));
  });
}

/** Steps that follow one another without a wait, of one fly. */
function blocksOf(steps: SessionCard['steps'], hands: readonly number[]): { block: Block; steps: number[] }[] {
  const blocks: { block: Block; steps: number[] }[] = [];
  let open: { block: Block; steps: number[] } | null = null;
  steps.forEach(({ wait_s: wait }, at) => {
    open ??= { block: { handsS: 0, waitS: 0 }, steps: [] };
    open.block.handsS += hands[at]!;
    open.steps.push(at);
    if (!wait) return;
    open.block.waitS = wait;
    blocks.push(open);
    open = null;
  });
  return open === null ? blocks : [...blocks, open];
}

/** A session worked through: waits are overlapped with work on other flies, and no fly is touched while it is still wet. Throws nothing; no flies take no time. */
export function planSession(parts: readonly SessionPart[], mode: SessionMode): SessionPlan {
  const flies = fliesOf(parts);
  const stepsOf = (fly: number) => parts[flies[fly]!.card]!.card.steps;
  const cut = flies.map(({ hands }, fly) =>
    mode === 'fly'
      ? blocksOf(stepsOf(fly), hands)
      : stepsOf(fly).map(({ wait_s: wait }, at) => ({ block: { handsS: hands[at]!, waitS: wait ?? 0 }, steps: [at] })),
  );
  const jobsAt = (pace: number): Job[] =>
    cut.map((blocks, fly) => ({
      kind: kindOf(flies, fly),
      blocks: blocks.map(({ block }) => ({ ...block, handsS: block.handsS * pace })),
    }));
  const jobs = jobsAt(1);
  const { order, proven } =
    mode === 'fly' ? soonest(jobs, SESSION.viseS) : { order: stepByStep(parts, flies, cut), proven: false };
  const at = (pace: number): Ordered =>
    mode === 'fly'
      ? inOrder(jobsAt(pace), order, SESSION.viseS)
      : inOrder(savedOn(jobsAt(pace), order, flies), order, SESSION.viseS);
  const done = at(1);
  return {
    flies: flies.length,
    minutes: {
      mean: done.lastS / 60,
      low: at(SESSION.quick).lastS / 60,
      high: at(SESSION.slow).lastS / 60,
    },
    ends: done.endS.map((s, fly) => ({ fly: fly + 1, at_min: s / 60 })),
    order: done.placed.flatMap(({ job, block, atS }) => {
      let now = atS;
      return cut[job]![block]!.steps.map((step) => {
        const { n, wait_s: wait } = stepsOf(job)[step]!;
        const begun = { at_min: now / 60, fly: job + 1, step: n, wait_s: wait };
        now += flies[job]!.hands[step]!;
        return begun;
      });
    }),
    one_by_one_minutes: oneByOne(jobs) / 60,
    proven,
  };
}

/** Flies are alike that are of one card and take as long. */
function kindOf(flies: readonly Tied[], fly: number): number {
  return flies.findIndex(({ card, hands }) => card === flies[fly]!.card && hands[0] === flies[fly]!.hands[0]);
}

/** Card after card, each step on all its flies. */
function stepByStep(parts: readonly SessionPart[], flies: readonly Tied[], cut: readonly unknown[][]): number[] {
  return parts.flatMap((_, card) => {
    const own = flies.flatMap((fly, at) => (fly.card === card ? [at] : []));
    return (cut[own[0] ?? -1] ?? []).flatMap(() => own);
  });
}

/** Step by step the material stays in the hand: what is done on the next fly alike takes less by what reaching for it takes, a quarter of the step at most. */
function savedOn(jobs: readonly Job[], order: readonly number[], flies: readonly Tied[]): Job[] {
  const next = jobs.map(() => 0);
  const saved = jobs.map(({ blocks }) => blocks.map(({ handsS }) => handsS));
  let last = { card: -1, step: -1 };
  for (const job of order) {
    const step = next[job]!++;
    const { card } = flies[job]!;
    if (last.card === card && last.step === step) {
      const hands = saved[job]![step]!;
      saved[job]![step] = hands - Math.min(SESSION.reachS, SESSION.reachShare * hands);
    }
    last = { card, step };
  }
  return jobs.map((job, at) => ({
    ...job,
    blocks: job.blocks.map((block, step) => ({ ...block, handsS: saved[at]![step]! })),
  }));
}

/** Each fly begun when the one before is finished, every wait within a fly sat out; a finished fly dries beside. */
function oneByOne(jobs: readonly Job[]): number {
  let [now, last] = [0, 0];
  for (const { blocks } of jobs) {
    now += SESSION.viseS;
    blocks.forEach(({ handsS, waitS }, at) => {
      now += handsS;
      last = Math.max(last, now + waitS);
      if (at < blocks.length - 1) now += waitS;
    });
  }
  return last;
}
