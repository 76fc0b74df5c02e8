import jStat from 'jstat';
import { NUMBER_STEP, SD_STEPS } from '../constants';
import { isAbout, type Quantity } from '../quantity';

export interface ModelRung {
  id: string;
  carryMm: number;
}

/** Where a rung is first in its model: carries between which it is the nearest; null where the model ends. */
export interface RungBounds {
  lowMm: number | null;
  highMm: number | null;
  below: string | null;
  above: string | null;
}

/** Boundaries between neighbouring rungs of one model: geometric means of their carries. Order of the input is free. */
export function rungBounds(rungs: readonly ModelRung[]): Map<string, RungBounds> {
  const sorted = [...rungs].sort((a, b) => a.carryMm - b.carryMm || a.id.localeCompare(b.id));
  return new Map(
    sorted.map((rung, index) => {
      const below = sorted[index - 1];
      const above = sorted[index + 1];
      return [
        rung.id,
        {
          lowMm: below ? Math.sqrt(below.carryMm * rung.carryMm) : null,
          highMm: above ? Math.sqrt(above.carryMm * rung.carryMm) : null,
          below: below?.id ?? null,
          above: above?.id ?? null,
        },
      ];
    }),
  );
}

/** Root mean square of the shanks' SD in number steps over a model's sizes: 0.18 where measured or typed, 0.5 from a label, the law's own where it speaks. */
export function modelSdSteps(shanks: readonly Quantity[]): number {
  const sum = shanks.reduce(
    (total, { value, sd, source }) =>
      total + (sd === null ? (isAbout(source) ? SD_STEPS.about : SD_STEPS.known) : sd / (value * NUMBER_STEP)) ** 2,
    0,
  );
  return Math.sqrt(sum / shanks.length);
}

/** Nothing lies this far from the middle: 1e-17 of a normal distribution, less than a double can tell from 1. */
const FAR_SD = 8.5;

/**
 * Probability that each rung of one model is the one nearest the target; they sum to 1.
 * `relativeSd` is se/mean (or hatch SD/mean for the share of a hatch), `sdSteps` the model's own uncertainty. Source: formulas §4.
 */
export function rungProbabilities(
  rungs: readonly ModelRung[],
  targetMm: number,
  relativeSd: number,
  sdSteps: number,
): Map<string, number> {
  const spread = Math.sqrt(relativeSd ** 2 + (NUMBER_STEP * sdSteps) ** 2);
  const below = (edge: number) => {
    const z = Math.log(edge / targetMm) / spread;
    return z < -FAR_SD ? 0 : z > FAR_SD ? 1 : jStat.normal.cdf(z, 0, 1);
  };
  const bounds = rungBounds(rungs);
  return new Map(
    [...bounds].map(([id, { lowMm, highMm }]) => [
      id,
      (highMm === null ? 1 : below(highMm)) - (lowMm === null ? 0 : below(lowMm)),
    ]),
  );
}
