import { PACE } from '../constants';
import {
  handsOn,
  planRest,
  type FlyToGo,
  type SessionCard,
  type SessionMode,
  type SessionPlan,
  type Spread,
} from './session';

/** Why a fly was given up. */
export const SPOILS = [
  'thread',
  'slipped',
  'proportion',
  'material',
  'glue',
  'eye',
  'hook',
  'dropped',
  'other',
] as const;
export type SpoilId = (typeof SPOILS)[number];

/** A card of a session and how many flies of it are wanted; `made` were tied before it. */
export interface RunningItem<C extends SessionCard = SessionCard> {
  id: string;
  card: C;
  count: number;
  made: number;
  spread?: Spread;
}

/** One fly of a session that was begun. Times in ms since 1970, real time, so that they hold over a reload and a screen that slept. */
export interface RunningFly {
  item: string;
  n: number;
  /** Steps that are done. */
  done: number;
  state: 'begun' | 'made' | 'spoiled';
  /** Until when it is not touched. */
  wetUntil: number | null;
  /** Seconds at each step, by its number. */
  spent: Readonly<Record<string, number>>;
  /** Where it was spoiled, by the number of the step. */
  spoiledAt: number | null;
  why: SpoilId | null;
}

/** Where a session stands. */
export interface Running<C extends SessionCard = SessionCard> {
  mode: SessionMode;
  items: readonly RunningItem<C>[];
  flies: Readonly<Record<string, RunningFly>>;
  /** The fly in the vise; one that the tier took up is gone on with, whatever the order says. */
  at: string | null;
  chosen?: boolean;
}

/** Names a fly of a session: the card and its number in it, from 1. */
export const flyKey = (item: string, n: number) => `${item}-${n}`;

export interface ItemTally {
  wanted: number;
  made: number;
  begun: number;
  spoiled: number;
  /** Neither made nor begun yet. */
  open: number;
}

/** What of an item is made, begun, spoiled and still to be begun. A spoiled fly is tied again. */
export function tallyOf(
  { flies }: Pick<Running, 'flies'>,
  { id, count }: Pick<RunningItem, 'id' | 'count'>,
): ItemTally {
  const own = Object.values(flies).filter(({ item }) => item === id);
  const of = (state: RunningFly['state']) => own.filter((fly) => fly.state === state).length;
  const [made, begun] = [of('made'), of('begun')];
  return { wanted: count, made, begun, spoiled: of('spoiled'), open: Math.max(0, count - made - begun) };
}

/** The same over all cards of a session. */
export function totalOf(running: {
  flies: Running['flies'];
  items: readonly Pick<RunningItem, 'id' | 'count'>[];
}): ItemTally {
  const sum: ItemTally = { wanted: 0, made: 0, begun: 0, spoiled: 0, open: 0 };
  for (const item of running.items) {
    const own = tallyOf(running, item);
    for (const of of Object.keys(sum) as (keyof ItemTally)[]) sum[of] += own[of];
  }
  return sum;
}

/** Whether the time of a step is that of hands: not of one that was left alone for long, nor of one that was tapped on. */
export function isTimed(tookS: number, usualS: number): boolean {
  return tookS <= Math.max(PACE.awayS, PACE.awayTimes * usualS) && tookS >= PACE.tappedShare * usualS;
}

/** Seconds that count of a step: what is not the time of hands counts as usual. */
export function countedSeconds(tookS: number, usualS: number): number {
  return isTimed(tookS, usualS) ? tookS : usualS;
}

const usualOf = ({ card, made }: RunningItem, n: number) => handsOn(card, made + n - 1);

/** How long the hands take in this session beside the usual: 1 before the first step, then more and more by what was done. */
export function paceOf({ items, flies }: Pick<Running, 'items' | 'flies'>): number {
  let [took, usual] = [60 * PACE.priorMin, 60 * PACE.priorMin];
  for (const { item: id, n, spent } of Object.values(flies)) {
    const item = items.find((own) => own.id === id);
    if (!item) continue;
    const hands = usualOf(item, n);
    item.card.steps.forEach((step, at) => {
      const seconds = spent[step.n];
      if (seconds === undefined) return;
      took += countedSeconds(seconds, hands[at]!);
      usual += hands[at]!;
    });
  }
  return Math.min(PACE.most, Math.max(PACE.least, took / usual));
}

export interface Rest {
  plan: SessionPlan;
  /** What the flies of the plan are, by their place in it. */
  flies: { key: string; item: string; n: number }[];
  /** The fly and step that come next, and seconds until it can be touched; null when nothing is left to tie. */
  next: { key: string; item: string; n: number; step: number; waitS: number } | null;
  /** Seconds from now until the last fly is done and dry. */
  lastS: number;
  pace: number;
}

/** What is left of a session at a time (ms since 1970): flies under way from where they stand, then those still to be begun. */
export function restOf(running: Running, now: number): Rest {
  const wet = (until: number | null) => (until === null ? 0 : Math.max(0, (until - now) / 1000));
  const flies: Rest['flies'] = [];
  const toGo: FlyToGo[] = [];
  let madeDryS = 0;
  running.items.forEach((item, card) => {
    const own = Object.values(running.flies)
      .filter((fly) => fly.item === item.id)
      .sort((a, b) => a.n - b.n);
    const put = (n: number, done: number, wetS: number) => {
      flies.push({ key: flyKey(item.id, n), item: item.id, n });
      toGo.push({ card, nth: item.made + n - 1, done, wetS });
    };
    for (const { state, n, done, wetUntil } of own)
      if (state === 'begun') put(n, done, wet(wetUntil));
      else if (state === 'made') madeDryS = Math.max(madeDryS, wet(wetUntil));
    const last = Math.max(0, ...own.map(({ n }) => n));
    for (let more = 1; more <= tallyOf(running, item).open; more++) put(last + more, 0, 0);
  });
  const at = flies.findIndex(({ key }) => key === running.at);
  const pace = paceOf(running);
  const chosen = at >= 0 && running.chosen === true && toGo[at]!.wetS === 0;
  const plan = planRest(running.items, toGo, running.mode, { pace, inVise: at < 0 ? null : at, chosen });
  const first = (chosen && plan.order.find(({ fly }) => fly === at + 1)) || plan.order[0];
  return {
    plan,
    flies,
    next: first ? { ...flies[first.fly - 1]!, step: first.step, waitS: toGo[first.fly - 1]!.wetS } : null,
    lastS: Math.max(60 * plan.minutes.mean, madeDryS),
    pace,
  };
}

/** A fly that was not begun. */
export function freshFly(item: string, n: number): RunningFly {
  return { item, n, done: 0, state: 'begun', wetUntil: null, spent: {}, spoiledAt: null, why: null };
}

/** A fly after its next step: what it took is noted, what needs a wait lies until then, and after the last step it is made. */
export function withStep(
  fly: RunningFly,
  { steps }: SessionCard,
  { now, tookS }: { now: number; tookS: number },
): RunningFly {
  const step = steps[fly.done];
  if (fly.state !== 'begun' || !step) return fly;
  const done = fly.done + 1;
  return {
    ...fly,
    done,
    state: done === steps.length ? 'made' : 'begun',
    wetUntil: step.wait_s ? now + 1000 * step.wait_s : null,
    spent: { ...fly.spent, [step.n]: (fly.spent[step.n] ?? 0) + tookS },
  };
}

/** A fly with its last step taken back: to be done again; what it took stays counted, for the hands were at it. */
export function withoutStep(fly: RunningFly): RunningFly {
  if (fly.state === 'spoiled' || fly.done === 0) return fly;
  return { ...fly, done: fly.done - 1, state: 'begun', wetUntil: null };
}
