import type { VerbId } from '@/catalogue/ids';
import { LEARNING, SESSION, VERB_SHARE } from '../constants';
import { learnt } from './learnt';
import { inOrder, soonest, type Block, type InVise, type Job, type Ordered } from './order';

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
  /** Shares of the usual time that quick and slow work takes; that of any hands where nobody kept record. */
  spread?: Spread;
}

/** Quick and slow, beside the usual 1. */
export interface Spread {
  quick: number;
  slow: number;
}
const ANY_HANDS: Spread = { quick: SESSION.quick, slow: SESSION.slow };

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
  /** Stretches of work as they follow one another: which fly, from which step on to which, seconds at it and the wait after. */
  bars: { fly: number; from: number; to: number; atS: number; handsS: number; waitS: number }[];
}

/** A fly that is still to be finished: how many of its steps are done, and how long it has to lie yet. */
export interface FlyToGo {
  /** Which of the cards. */
  card: number;
  /** The how-manieth of its dressing it is, from 0, over all that were tied. */
  nth: number;
  done: number;
  wetS: number;
}

/** How a session goes on: the pace of the hands beside the usual, and the fly in the vise, by its place among those to go. */
export interface GoingOn {
  pace: number;
  inVise: number | null;
  /** Whether the tier took it up, so that it is gone on with. */
  chosen?: boolean;
}
const AT_THE_START: GoingOn = { pace: 1, inVise: null };

/** Minutes for one fly where its dressing says none: by how many materials it has. Source: domain §9. */
export function guessedMinutes({ parts }: Pick<SessionCard, 'parts'>): number {
  const materials = new Set(parts.flatMap(({ material }) => material?.id ?? [])).size;
  const { few, ordinary, many } = LEARNING.minutes;
  return materials <= LEARNING.few ? few : materials <= LEARNING.ordinary ? ordinary : many;
}

interface Tied extends FlyToGo {
  /** Hands on each step, s. */
  hands: number[];
}

/** Seconds of hands that each step of a card takes, for the nth fly of its dressing. */
export function handsOn(card: SessionCard, nth: number): number[] {
  const shares = card.steps.map(({ do: verb }) => VERB_SHARE[verb as VerbId] ?? 1);
  const all = shares.reduce((sum, share) => sum + share, 0);
  const seconds = 60 * (card.minutes ?? guessedMinutes(card)) * learnt(nth);
  return shares.map((share) => (seconds * share) / all);
}

/** Steps that follow one another without a wait, of one fly from its first open step on. */
function blocksOf(steps: SessionCard['steps'], { hands, done }: Tied): { block: Block; steps: number[] }[] {
  const blocks: { block: Block; steps: number[] }[] = [];
  let open: { block: Block; steps: number[] } | null = null;
  steps.forEach(({ wait_s: wait }, at) => {
    if (at < done) return;
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
  const flies = parts.flatMap(({ count, made = 0 }, card) =>
    Array.from({ length: count }, (_, nth) => ({ card, nth: made + nth, done: 0, wetS: 0 })),
  );
  return planRest(parts, flies, mode);
}

/** What is left of a session, from now on: flies that lie drying are not touched before they are dry, and one that was left in the middle is gone on with first. */
export function planRest(
  parts: readonly Pick<SessionPart, 'card' | 'spread'>[],
  toGo: readonly FlyToGo[],
  mode: SessionMode,
  { pace, inVise, chosen = false }: GoingOn = AT_THE_START,
): SessionPlan {
  const flies: Tied[] = toGo.map((fly) => ({
    ...fly,
    hands: handsOn(parts[fly.card]!.card, fly.nth).map((seconds) => seconds * pace),
  }));
  const stepsOf = (fly: number) => parts[flies[fly]!.card]!.card.steps;
  const cut = flies.map((tied, fly) =>
    mode === 'fly'
      ? blocksOf(stepsOf(fly), tied)
      : stepsOf(fly)
          .map(({ wait_s: wait }, at) => ({ block: { handsS: tied.hands[at]!, waitS: wait ?? 0 }, steps: [at] }))
          .slice(tied.done),
  );
  const jobsAt = (of: (spread: Spread) => number): Job[] =>
    cut.map((blocks, fly) => ({
      kind: kindOf(flies, fly),
      readyS: flies[fly]!.wetS,
      blocks: blocks.map(({ block }) => ({
        ...block,
        handsS: block.handsS * of(parts[flies[fly]!.card]!.spread ?? ANY_HANDS),
      })),
    }));
  const usual = jobsAt(() => 1);
  const start = startOf(flies, stepsOf, mode, inVise, chosen);
  const { order, proven } =
    mode === 'fly'
      ? soonest(usual, SESSION.viseS, start)
      : { order: stepByStep(parts.length, flies, cut), proven: false };
  const at = (of: (spread: Spread) => number): Ordered => {
    const jobs = jobsAt(of);
    return inOrder(mode === 'fly' ? jobs : savedOn(jobs, order, flies), order, SESSION.viseS, start);
  };
  const done = at(() => 1);
  return {
    flies: flies.length,
    minutes: {
      mean: done.lastS / 60,
      low: at(({ quick }) => quick).lastS / 60,
      high: at(({ slow }) => slow).lastS / 60,
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
    one_by_one_minutes: oneByOne(usual) / 60,
    proven,
    bars: done.placed.map(({ job, block, atS }) => {
      const { steps, block: own } = cut[job]![block]!;
      const [from, to] = [stepsOf(job)[steps[0]!]!.n, stepsOf(job)[steps.at(-1)!]!.n];
      return { fly: job + 1, from, to, atS, handsS: own.handsS, waitS: own.waitS };
    }),
  };
}

/** The fly in the vise at the start. Fly by fly it is held when it was taken up by choice or left in the middle: its last step needs no wait, and another follows. */
function startOf(
  flies: readonly FlyToGo[],
  stepsOf: (fly: number) => SessionCard['steps'],
  mode: SessionMode,
  inVise: number | null,
  chosen: boolean,
): InVise {
  const fly = inVise === null ? undefined : flies[inVise];
  if (!fly) return { job: -1, held: false };
  const steps = stepsOf(inVise!);
  const amid = fly.done > 0 && fly.done < steps.length && !steps[fly.done - 1]!.wait_s;
  const held = mode === 'fly' && fly.wetS === 0 && (amid || chosen);
  return { job: inVise!, held };
}

/** Flies are alike that are of one card, stand at one step and take as long. */
function kindOf(flies: readonly Tied[], fly: number): number {
  const { card, hands, done } = flies[fly]!;
  return flies.findIndex((own) => own.card === card && own.done === done && own.hands[0] === hands[0]);
}

/** Card after card, each step on all its flies that have not got so far. */
function stepByStep(cards: number, flies: readonly Tied[], cut: readonly (readonly { steps: number[] }[])[]): number[] {
  return Array.from({ length: cards }, (_, card) => card).flatMap((card) => {
    const own = flies.flatMap((fly, at) => (fly.card === card ? [at] : []));
    const last = Math.max(-1, ...own.flatMap((at) => cut[at]!.map(({ steps }) => steps[0]!)));
    return Array.from({ length: last + 1 }, (_, step) => step).flatMap((step) =>
      own.filter((at) => flies[at]!.done <= step && step < flies[at]!.done + cut[at]!.length),
    );
  });
}

/** Step by step the material stays in the hand: what is done on the next fly alike takes less by what reaching for it takes, a quarter of the step at most. */
function savedOn(jobs: readonly Job[], order: readonly number[], flies: readonly Tied[]): Job[] {
  const next = flies.map(({ done }) => done);
  const saved = jobs.map(({ blocks }) => blocks.map(({ handsS }) => handsS));
  let last = { card: -1, step: -1 };
  for (const job of order) {
    const step = next[job]!++;
    const { card } = flies[job]!;
    if (last.card === card && last.step === step) {
      const block = step - flies[job]!.done;
      const hands = saved[job]![block]!;
      saved[job]![block] = hands - Math.min(SESSION.reachS, SESSION.reachShare * hands);
    }
    last = { card, step };
  }
  return jobs.map((job, at) => ({
    ...job,
    blocks: job.blocks.map((block, nth) => ({ ...block, handsS: saved[at]![nth]! })),
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
