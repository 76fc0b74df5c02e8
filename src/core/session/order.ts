/** A stretch of work on one fly that is not broken off, seconds, and how long the fly then has to lie before it is touched again. */
export interface Block {
  handsS: number;
  waitS: number;
}

/** One fly: its blocks in their order. Flies of the same `kind` are alike. One that lies drying may be touched again after `readyS`. */
export interface Job {
  kind: number;
  blocks: readonly Block[];
  readyS?: number;
}

/** Which fly is in the vise at the start; one that is `held`, in the middle of its block, is gone on with first. */
export interface InVise {
  job: number;
  held: boolean;
}
const EMPTY: InVise = { job: -1, held: false };

/** One block of one fly, begun at a time. Seconds from the start of the session. */
export interface Placed {
  job: number;
  block: number;
  atS: number;
}

export interface Ordered {
  placed: Placed[];
  /** When each fly is done, its last wait with it. */
  endS: number[];
  /** When the last of them is. */
  lastS: number;
}

/** So many positions, times flies, are looked at before the best that was found is taken; small sessions end long before with the best there is. */
const MOST_LOOKED = 720_000;

/** Works through blocks in a given order: each begins when the hands are free, the fly has lain long enough and is in the vise. One pair of hands does one thing at a time. */
export function inOrder(
  jobs: readonly Job[],
  order: readonly number[],
  changeS: number,
  { job: first }: InVise = EMPTY,
): Ordered {
  const next = jobs.map(() => 0);
  const ready = jobs.map(({ readyS = 0 }) => readyS);
  const placed: Placed[] = [];
  let [free, inVise] = [0, first];
  for (const job of order) {
    const block = jobs[job]!.blocks[next[job]!]!;
    const atS = Math.max(free + (job === inVise ? 0 : changeS), ready[job]!);
    placed.push({ job, block: next[job]!, atS });
    free = atS + block.handsS;
    ready[job] = free + block.waitS;
    next[job]!++;
    inVise = job;
  }
  return { placed, endS: ready, lastS: Math.max(0, ...ready) };
}

/** The order in which the last fly is done soonest: branch and bound over which fly is taken up next. Alike flies at the same point are one choice. `proven` says that no order is quicker; where too many would have to be looked at it is the best found. */
export function soonest(
  jobs: readonly Job[],
  changeS: number,
  start: InVise = EMPTY,
): { order: number[]; proven: boolean } {
  const left = jobs.map(({ blocks }) => {
    // What a fly still takes from each of its blocks on: hands alone, and the whole way to its end.
    const tails = [{ hands: 0, way: 0 }];
    for (const { handsS, waitS } of [...blocks].reverse())
      tails.unshift({ hands: tails[0]!.hands + handsS, way: tails[0]!.way + handsS + waitS });
    return tails;
  });
  const total = jobs.reduce((sum, { blocks }) => sum + blocks.length, 0);
  let best: { order: number[]; lastS: number } = { order: [], lastS: Infinity };
  for (const rule of [longestWay, firstReady, oneAfterTheOther]) {
    const order = dispatched(jobs, left, changeS, start, rule);
    const { lastS } = inOrder(jobs, order, changeS, start);
    if (lastS < best.lastS) best = { order, lastS };
  }
  const next = jobs.map(() => 0);
  const ready = jobs.map(({ readyS = 0 }) => readyS);
  const taken: number[] = [];
  const most = MOST_LOOKED / Math.max(1, jobs.length);
  let nodes = 0;
  const look = (free: number, inVise: number, ended: number): void => {
    if (taken.length === total) {
      if (ended < best.lastS) best = { order: [...taken], lastS: ended };
      return;
    }
    if (nodes++ > most) return;
    let [hands, changes, way, shortest] = [0, 0, 0, Infinity];
    jobs.forEach((_, job) => {
      const tail = left[job]![next[job]!]!;
      if (tail.way === 0 && tail.hands === 0) return;
      hands += tail.hands;
      if (job !== inVise) changes += changeS;
      way = Math.max(way, Math.max(ready[job]!, free) + tail.way);
      // Whichever is taken last, its own last wait stands at the end.
      shortest = Math.min(shortest, jobs[job]!.blocks.at(-1)!.waitS);
    });
    if (Math.max(ended, way, free + hands + changes + (shortest === Infinity ? 0 : shortest)) >= best.lastS) return;
    const seen = new Set<string>();
    const choices = jobs
      .map((job, at) => ({
        at,
        block: job.blocks[next[at]!],
        key: `${job.kind} ${next[at]} ${ready[at]} ${at === inVise}`,
      }))
      .filter(({ block, key }) => block !== undefined && !seen.has(key) && seen.add(key))
      .map(({ at, block }) => ({ at, block: block!, from: Math.max(free + (at === inVise ? 0 : changeS), ready[at]!) }))
      .sort((a, b) => a.from - b.from || left[b.at]![next[b.at]!]!.way - left[a.at]![next[a.at]!]!.way || a.at - b.at);
    for (const { at, block, from } of choices) {
      if (taken.length === 0 && start.held && at !== start.job) continue;
      const before = ready[at]!;
      taken.push(at);
      next[at]!++;
      const after = from + block.handsS;
      ready[at] = after + block.waitS;
      look(after, at, Math.max(ended, ready[at]!));
      ready[at] = before;
      next[at]!--;
      taken.pop();
    }
  };
  look(0, start.job, Math.max(0, ...jobs.map(({ blocks, readyS = 0 }) => (blocks.length === 0 ? readyS : 0))));
  return { order: best.order, proven: nodes <= most };
}

type Rule = (choice: { from: number; way: number; at: number; inVise: boolean }) => number[];
/** The fly with the longest way to go, of those that can be taken up soonest. */
const longestWay: Rule = ({ from, way, at }) => [from, -way, at];
const firstReady: Rule = ({ from, inVise, at }) => [from, inVise ? 0 : 1, at];
const oneAfterTheOther: Rule = ({ at }) => [at];

function dispatched(
  jobs: readonly Job[],
  left: readonly (readonly { way: number }[])[],
  changeS: number,
  start: InVise,
  rule: Rule,
): number[] {
  const next = jobs.map(() => 0);
  const ready = jobs.map(({ readyS = 0 }) => readyS);
  const order: number[] = [];
  let [free, last] = [0, start.job];
  const total = jobs.reduce((sum, { blocks }) => sum + blocks.length, 0);
  while (order.length < total) {
    const choices = jobs.flatMap(({ blocks }, at) => {
      if (next[at]! >= blocks.length || (order.length === 0 && start.held && at !== start.job)) return [];
      const from = Math.max(free + (at === last ? 0 : changeS), ready[at]!);
      return [{ at, from, rank: rule({ from, way: left[at]![next[at]!]!.way, at, inVise: at === last }) }];
    });
    choices.sort((a, b) => a.rank.map((value, index) => value - b.rank[index]!).find((apart) => apart !== 0) ?? 0);
    const { at, from } = choices[0]!;
    const block = jobs[at]!.blocks[next[at]!]!;
    free = from + block.handsS;
    ready[at] = free + block.waitS;
    next[at]!++;
    last = at;
    order.push(at);
  }
  return order;
}
