import { performance } from 'node:perf_hooks';
import { STYLES } from '../src/catalogue';
import { carryOn, rankHooks, styleUse, type HooksAsked } from '../src/core/answer';
import type { Reason } from '../src/core/code';
import { columnsOf, suit, type Hook } from '../src/core/hooks';
import { manyHooks } from './many-hooks';

const ROUNDS = 61;
const LISTED = 50;

/** Median, ms. */
function median(task: (round: number) => unknown): number {
  const times = Array.from({ length: ROUNDS }, (_, round) => {
    const from = performance.now();
    task(round);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(ROUNDS / 2)]!;
}

function asked(round: number, hooks: readonly Hook[]): HooksAsked {
  return {
    use: styleUse(STYLES.find((style) => style.id === 'upright-dun')!),
    targetMm: 6 + (round % 17) * 0.5,
    bodyWidthMm: 1.1,
    barbRule: 'any',
    makers: [],
    owned: { [hooks[round]!.id]: 3, [hooks[round * 3]!.id]: 5 },
    onlyOwned: false,
    pin: null,
    leastShankMm: 0,
    relativeSe: 0.04,
    relativeHatchSd: 0.07,
  };
}

/** Why a hook stands where it does. */
function reasonsOf(hook: Hook, { use, targetMm, bodyWidthMm }: HooksAsked): readonly Reason[] {
  const { carryMm, beadMm } = carryOn(hook, use, false)!;
  return suit(use.style, {
    bend: hook.bend,
    wire: hook.wire,
    gapeMm: hook.gape.value,
    wireMm: hook.wireDiameter.value,
    carryMm,
    targetMm,
    thickMm: Math.max(beadMm, bodyWidthMm),
  }).reasons;
}

/** One loop over typed columns: what any ranking must at least read. */
function plainLoop(
  { shank, gape, wire, bite, eye }: Record<'shank' | 'gape' | 'wire' | 'bite' | 'eye', Float64Array>,
  targetMm: number,
): number {
  let sum = 0;
  for (let row = 0; row < shank.length; row++)
    sum += Math.abs(Math.log(shank[row]! / targetMm)) + gape[row]! + wire[row]! + bite[row]! + eye[row]!;
  return sum;
}

/** Ranking of a whole catalogue, as multiples of one plain loop over it, in the same run: the best 50 in order with their reasons, the nearest of every model. */
export function rankingCost(hooksCsv: string): { count: number; loops: number; allowed: number }[] {
  let sink = 0;
  const measured = [20_000, 2_000].map((count) => {
    const hooks = manyHooks(hooksCsv, count);
    const columns = columnsOf(hooks);
    const of = (pick: (hook: Hook) => { value: number }) =>
      Float64Array.from(columns.hooks, (hook) => pick(hook).value);
    const plain = {
      shank: of((hook) => hook.shank),
      gape: of((hook) => hook.gape),
      wire: of((hook) => hook.wireDiameter),
      bite: of((hook) => hook.bite),
      eye: of((hook) => hook.eyeOuter),
    };
    const rank = (round: number) => {
      const wanted = asked(round, columns.hooks);
      const { order } = rankHooks(columns, wanted, LISTED);
      for (const row of order) sink += reasonsOf(columns.hooks[row]!, wanted).length;
    };
    const loop = (round: number) => void (sink += plainLoop(plain, 6 + (round % 17) * 0.5));
    for (let warm = 0; warm < 3; warm++) [...Array(ROUNDS).keys()].forEach((round) => (rank(round), loop(round)));
    return { count, loop: median(loop), rank: median(rank) };
  });
  const baseline = measured[0]!.loop;
  if (!Number.isFinite(sink)) throw new Error('ranking came to no number');
  return measured.map(({ count, rank }, index) => ({
    count,
    loops: rank / (baseline * (count / 20_000)),
    allowed: index === 0 ? 5 : 4,
  }));
}
