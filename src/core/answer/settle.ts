import { NUMBER_STEP, SD_STEPS, SETTLED } from '../constants';
import { isAbout } from '../quantity';
import { modelLaw, modelSdSteps, rungProbabilities, scaleNumber, type Hook } from '../hooks';
import { railOf } from './answer';
import type { Answer, LadderOf } from './answer-shape';
import type { HookAnswer } from '../hook-score';

/** How sure a match is of its size within one model, and what taping would make of it. */
export interface Settled {
  /** Probability of the likeliest size now. */
  probability: number;
  /** Fewest hooks of the model to tape before it is settled: 0 where it is, null where the insect's own length is what is unsure. */
  measures: number | null;
  /** Sizes to tape, those nearest the target first, and the probability after them. */
  sizes: string[];
  after: number;
}

/** SD of every shank of a model in number steps, once some more of it were taped; what they would read is taken as it is now. */
function sdAfter(hooks: readonly Hook[], taped: ReadonlySet<string>): number {
  const shanks = hooks.map((hook) =>
    taped.has(hook.id)
      ? { ...hook.shank, sd: hook.shank.value * NUMBER_STEP * SD_STEPS.known, source: 'measured' as const }
      : hook.shank,
  );
  const numbers = hooks.map(scaleNumber);
  const sizes = hooks.flatMap((hook, index) =>
    numbers[index] === null ? [] : [{ n: numbers[index]!, labelShankMm: hook.shank.value }],
  );
  const measured = shanks.flatMap((shank, index) =>
    shank.source === 'measured' && numbers[index] !== null
      ? [{ n: numbers[index]!, shankMm: shank.value, sdMm: shank.sd! }]
      : [],
  );
  if (measured.length === 0) return modelSdSteps(shanks);
  const law = new Map(modelLaw(sizes, measured).map((item) => [item.n, item]));
  return modelSdSteps(
    shanks.map((shank, index) => {
      const item = numbers[index] === null ? undefined : law.get(numbers[index]!);
      return isAbout(shank.source) && item ? { value: item.shankMm, sd: item.sdMm, source: 'model' as const } : shank;
    }),
  );
}

/**
 * How many hooks of a model would settle its size: taped from the one that carries nearest the target outward, until the likeliest size
 * has the probability that counts as settled. Source: formulas §4, §6.
 */
export function measuresToSettle(ladder: LadderOf, model: number): Settled | null {
  const { columns, asked } = ladder;
  const rail = railOf(ladder, model);
  if (rail.length === 0) return null;
  const hookOf = (answer: HookAnswer) => columns.hooks[columns.at.get(answer.id)!]!;
  const hooks = rail.map(hookOf);
  const rungs = rail.map((answer) => ({ id: answer.id, carryMm: answer.carry_mm }));
  const best = (sdSteps: number) =>
    Math.max(...rungProbabilities(rungs, asked.targetMm, asked.relativeSe, sdSteps).values());
  const probability = best(modelSdSteps(hooks.map((hook) => hook.shank)));
  const open = rail
    .filter((answer) => isAbout(hookOf(answer).shank.source))
    .sort((a, b) => Math.abs(a.length_steps!) - Math.abs(b.length_steps!));
  if (probability >= SETTLED || open.length === 0)
    return { probability, measures: probability >= SETTLED ? 0 : null, sizes: [], after: probability };
  let after = probability;
  for (let count = 1; count <= open.length; count++) {
    const taped = open.slice(0, count);
    after = best(sdAfter(hooks, new Set(taped.map((answer) => answer.id))));
    if (after >= SETTLED) return { probability, measures: count, sizes: taped.map((answer) => answer.size), after };
  }
  return { probability, measures: null, sizes: [], after };
}

const MOST_INSECTS = 30;

/**
 * How many further insects like those at hand would settle a model's size, its hooks as they are known now: 0 where it is settled,
 * null where none of the first 30 would. Source: formulas §2 (se of the mean with the same spread), §4.
 */
export function insectsToSettle({ ladder, natural }: Pick<Answer, 'ladder' | 'natural'>, model: number): number | null {
  const rail = railOf(ladder, model);
  if (rail.length === 0) return null;
  const { columns, asked } = ladder;
  const { n, spreadMm, seMm, meanMm } = natural.length;
  const readingVariance = seMm ** 2 - spreadMm ** 2 / n;
  const rungs = rail.map((answer) => ({ id: answer.id, carryMm: answer.carry_mm }));
  const sdSteps = modelSdSteps(rail.map((answer) => columns.hooks[columns.at.get(answer.id)!]!.shank));
  for (let more = 0; more <= MOST_INSECTS; more++) {
    const relativeSe = Math.sqrt(readingVariance + spreadMm ** 2 / (n + more)) / meanMm;
    if (Math.max(...rungProbabilities(rungs, asked.targetMm, relativeSe, sdSteps).values()) >= SETTLED) return more;
  }
  return null;
}
