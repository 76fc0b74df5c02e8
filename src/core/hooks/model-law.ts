import { LABEL_SD_STEPS, MODEL_SLOPE_CV, NUMBER_STEP, REFERENCE } from '../constants';

/** A level of which nothing is known: any hook there is. */
const UNKNOWN_SD_STEPS = 30;

/** One size of a model: its number on the maker's scale and the shank its label promises. */
export interface ModelSize {
  n: number;
  /** Null where the label says nothing of the length: then only what was measured speaks. */
  labelShankMm: number | null;
}

export interface MeasuredShank {
  n: number;
  shankMm: number;
  /** SD of the reading, mm. */
  sdMm: number;
}

export interface LawShank {
  n: number;
  shankMm: number;
  sdMm: number;
}

/**
 * Shanks of all sizes of one model, given the few that were measured: ln S = a + b·(n − n̄), both Gaussian.
 * Priors: a from the labels ± half a number step, b = ln q ± 12 %. The level is taken at the mean number n̄, so that the
 * prior of the slope does not loosen the level. Closed form. `sizes` must not be empty. Source: formulas §6.
 */
export function modelLaw(sizes: readonly ModelSize[], measured: readonly MeasuredShank[]): LawShank[] {
  const centre = sizes.reduce((sum, size) => sum + size.n, 0) / sizes.length;
  const slope0 = -NUMBER_STEP;
  const labelled = sizes.flatMap((size) =>
    size.labelShankMm === null ? [] : [Math.log(size.labelShankMm) - slope0 * (size.n - centre)],
  );
  const level0 =
    labelled.length === 0
      ? Math.log(REFERENCE.shankMm)
      : labelled.reduce((sum, level) => sum + level, 0) / labelled.length;
  let pAA = 1 / ((labelled.length === 0 ? UNKNOWN_SD_STEPS : LABEL_SD_STEPS) * NUMBER_STEP) ** 2;
  let pBB = 1 / (MODEL_SLOPE_CV * NUMBER_STEP) ** 2;
  let pAB = 0;
  let hA = pAA * level0;
  let hB = pBB * slope0;
  for (const { n, shankMm, sdMm } of measured) {
    const x = n - centre;
    const precision = (shankMm / sdMm) ** 2;
    const y = Math.log(shankMm);
    pAA += precision;
    pAB += precision * x;
    pBB += precision * x * x;
    hA += precision * y;
    hB += precision * x * y;
  }
  const determinant = pAA * pBB - pAB * pAB;
  const level = (pBB * hA - pAB * hB) / determinant;
  const slope = (pAA * hB - pAB * hA) / determinant;
  return sizes.map(({ n }) => {
    const x = n - centre;
    const shankMm = Math.exp(level + slope * x);
    const variance = (pBB - 2 * pAB * x + pAA * x * x) / determinant;
    return { n, shankMm, sdMm: shankMm * Math.sqrt(variance) };
  });
}

/** One ratio for a whole model's gape or wire against its labels, from the sizes measured. */
export interface RatioLaw {
  ratio: number;
  /** SD of the ratio, as a share of it. */
  sd: number;
}

/** The ratio of measured to labelled gape (or wire) of a model; prior 1 ± half a number step. `sdShare`: SD of a reading as a share. */
export function ratioLaw(pairs: readonly { labelMm: number; measuredMm: number; sdShare: number }[]): RatioLaw {
  let precision = 1 / (LABEL_SD_STEPS * NUMBER_STEP) ** 2;
  let sum = 0;
  for (const pair of pairs) {
    const weight = 1 / pair.sdShare ** 2;
    precision += weight;
    sum += weight * Math.log(pair.measuredMm / pair.labelMm);
  }
  return { ratio: Math.exp(sum / precision), sd: 1 / Math.sqrt(precision) };
}
