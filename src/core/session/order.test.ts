import fc from 'fast-check';
import { inOrder, soonest, type Job } from './order';

const job = (kind: number, ...blocks: [hands: number, wait: number][]): Job => ({
  kind,
  blocks: blocks.map(([handsS, waitS]) => ({ handsS, waitS })),
});
/** Random numbers that are the same in every run. */
function drawn(seed: number) {
  return () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
}
/** Every order of the blocks of some flies. */
function* everyOrder(jobs: readonly Job[], next = jobs.map(() => 0), taken: number[] = []): Generator<number[]> {
  let any = false;
  for (let at = 0; at < jobs.length; at++) {
    if (next[at]! >= jobs[at]!.blocks.length) continue;
    any = true;
    next[at]!++;
    taken.push(at);
    yield* everyOrder(jobs, next, taken);
    taken.pop();
    next[at]!--;
  }
  if (!any) yield [...taken];
}
function randomOrder(jobs: readonly Job[], next: () => number): number[] {
  const bag = jobs.flatMap(({ blocks }, at) => blocks.map(() => at));
  for (let at = bag.length - 1; at > 0; at--) {
    const other = Math.floor(next() * (at + 1));
    [bag[at], bag[other]] = [bag[other]!, bag[at]!];
  }
  return bag;
}
const someJobs = (most: number, blocks: number) =>
  fc.array(
    fc.array(fc.tuple(fc.integer({ min: 20, max: 900 }), fc.constantFrom(0, 15, 60, 600, 2400)), {
      minLength: 1,
      maxLength: blocks,
    }),
    { minLength: 1, maxLength: most },
  );
const jobsFrom = (drawnJobs: [number, number][][]) => drawnJobs.map((blocks, kind) => job(kind, ...blocks));

test('each block begins when the hands are free, the fly has lain and is in the vise', () => {
  const jobs = [job(0, [100, 50], [10, 0]), job(1, [20, 0])];
  expect(inOrder(jobs, [0, 1, 0], 5)).toEqual({
    placed: [
      { job: 0, block: 0, atS: 5 },
      { job: 1, block: 0, atS: 110 },
      { job: 0, block: 1, atS: 155 },
    ],
    endS: [165, 130],
    lastS: 165,
  });
  // The fly stays in the vise: no change, but it has to dry.
  expect(inOrder(jobs, [0, 0, 1], 5).placed.map(({ atS }) => atS)).toEqual([5, 155, 170]);
  expect(inOrder([], [], 5)).toEqual({ placed: [], endS: [], lastS: 0 });
});

test('one pair of hands does one thing at a time, in the order of each fly, and nothing wet is touched', () =>
  fc.assert(
    fc.property(someJobs(6, 4), fc.integer({ min: 0, max: 30 }), (blocks, change) => {
      const jobs = jobsFrom(blocks as [number, number][][]);
      const { placed, endS, lastS } = inOrder(jobs, soonest(jobs, change).order, change);
      expect(placed).toHaveLength(jobs.reduce((sum, own) => sum + own.blocks.length, 0));
      const ended = jobs.map(() => ({ block: -1, dry: 0 }));
      let free = 0;
      for (const { job: fly, block, atS } of placed) {
        expect(atS).toBeGreaterThanOrEqual(free);
        expect(atS).toBeGreaterThanOrEqual(ended[fly]!.dry);
        expect(block).toBe(ended[fly]!.block + 1);
        free = atS + jobs[fly]!.blocks[block]!.handsS;
        ended[fly] = { block, dry: free + jobs[fly]!.blocks[block]!.waitS };
      }
      expect(endS).toEqual(ended.map(({ dry }) => dry));
      expect(lastS).toBe(Math.max(...endS));
    }),
    { numRuns: 60 },
  ));

test('of small sessions no order at all is quicker', () =>
  fc.assert(
    fc.property(someJobs(4, 2), fc.constantFrom(0, 15), (blocks, change) => {
      const jobs = jobsFrom(blocks as [number, number][][]);
      const { order, proven } = soonest(jobs, change);
      let best = Infinity;
      for (const other of everyOrder(jobs)) best = Math.min(best, inOrder(jobs, other, change).lastS);
      expect(proven).toBe(true);
      expect(inOrder(jobs, order, change).lastS).toBe(best);
    }),
    { numRuns: 40 },
  ));

test('of sessions of up to twelve flies none of ten thousand random orders is quicker', () => {
  const next = drawn(20_261_129);
  for (let session = 0; session < 6; session++) {
    const kinds = 1 + Math.floor(next() * 3);
    const models = Array.from({ length: kinds }, (_, kind) =>
      job(
        kind,
        ...Array.from(
          { length: 1 + Math.floor(next() * 3) },
          () => [60 + Math.floor(next() * 500), [0, 15, 60, 600, 2400][Math.floor(next() * 5)]!] as [number, number],
        ),
      ),
    );
    const jobs = Array.from({ length: 4 + 2 * (session % 5) }, (_, at) => models[at % kinds]!);
    const own = inOrder(jobs, soonest(jobs, 15).order, 15).lastS;
    let best = Infinity;
    for (let at = 0; at < 10_000; at++) best = Math.min(best, inOrder(jobs, randomOrder(jobs, next), 15).lastS);
    expect(own).toBeLessThanOrEqual(best);
  }
});

test('the longest drying is begun first, so that it lies while the rest is tied', () => {
  const jobs = [job(0, [100, 0]), job(1, [100, 1000])];
  expect(soonest(jobs, 0).order).toEqual([1, 0]);
});
