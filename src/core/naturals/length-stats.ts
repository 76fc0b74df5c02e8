import jStat from 'jstat';
import type { Method, TraitId } from '@/catalogue/ids';
import {
  EYE_HALF_WIDTH_SHARE,
  METHOD_HALF_WIDTH_MM,
  OUTLIER,
  POSTURE_CV,
  PRIOR_CV,
  PRIOR_WEIGHT,
  Z95,
} from '../constants';

/** The length of a sample. Millimetres throughout; `outliers` are indices into `valuesMm`. */
export interface LengthStats {
  n: number;
  valuesMm: number[];
  meanMm: number;
  /** Sample SD, null for one individual. */
  sdMm: number | null;
  ci95Mm: [low: number, high: number];
  /** s_pop: how far individuals of this hatch lie apart, shrunk toward what its kind usually shows. */
  spreadMm: number;
  /** Uncertainty of the mean: which single size is right for this hatch. */
  seMm: number;
  /** How the next individual may differ: how to split a box over sizes. */
  hatchSdMm: number;
  outliers: number[];
  method: Method;
}

/** Coefficient of variation that comes from how the body is held, not from how long it is. Source: formulas §2. */
export function postureCv({ traits }: { traits: readonly TraitId[] }): number {
  if (traits.includes('soft')) return POSTURE_CV.soft;
  return traits.includes('curls') ? POSTURE_CV.pupa : POSTURE_CV.other;
}

/** Half-width at 95 % of one reading of `lengthMm` by `method`, mm. */
export function methodHalfWidth(method: Method, lengthMm: number): number {
  return method === 'eye' ? EYE_HALF_WIDTH_SHARE * lengthMm : METHOD_HALF_WIDTH_MM[method];
}

function median(sorted: number[]): number {
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

function medianOf(values: number[]): number {
  return median([...values].sort((a, b) => a - b));
}

/**
 * Mean, spread and uncertainty of the lengths of one sample.
 * `valuesMm`: 1 or more finite lengths, mm; `posture`: coefficient of variation by how its stage is held. An outlier is flagged, never dropped.
 * Source: formulas §2; outliers after Iglewicz and Hoaglin (1993).
 */
export function lengthStats(
  valuesMm: readonly number[],
  method: Method,
  posture: number,
  halfWidthMm: number | null = null,
): LengthStats {
  const n = valuesMm.length;
  const mean = valuesMm.reduce((sum, value) => sum + value, 0) / n;
  const sumOfSquares = valuesMm.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const variance = n > 1 ? sumOfSquares / (n - 1) : 0;
  const sd = n > 1 ? Math.sqrt(variance) : null;
  const m = (halfWidthMm ?? methodHalfWidth(method, mean)) / Z95;
  const priorVariance = (PRIOR_CV ** 2 + posture ** 2) * mean ** 2;
  const popVariance = (PRIOR_WEIGHT * priorVariance + (n - 1) * variance) / (n + PRIOR_WEIGHT - 1);
  const half = sd === null ? Z95 * m : (jStat.studentt.inv(0.975, n - 1) * sd) / Math.sqrt(n);
  return {
    n,
    valuesMm: [...valuesMm],
    meanMm: mean,
    sdMm: sd,
    ci95Mm: [mean - half, mean + half],
    spreadMm: Math.sqrt(popVariance),
    seMm: Math.sqrt(popVariance / n + m ** 2),
    hatchSdMm: Math.sqrt(popVariance * (1 + 1 / n)),
    outliers: outliersOf(valuesMm, Math.sqrt(m ** 2 + (posture * mean) ** 2)),
    method,
  };
}

function outliersOf(values: readonly number[], floorSd: number): number[] {
  if (values.length < OUTLIER.from) return [];
  const centre = medianOf([...values]);
  const mad = medianOf(values.map((value) => Math.abs(value - centre)));
  const scale = Math.max(mad, OUTLIER.scale * floorSd);
  return values.flatMap((value, index) =>
    (OUTLIER.scale * Math.abs(value - centre)) / scale > OUTLIER.limit ? [index] : [],
  );
}
