import type { LandmarkId } from '@/catalogue/ids';
import { REFERENCE } from '../constants';
import type { BaseSpec } from '../dressings';

/** What a proportion can be a share of, mm. */
export interface BaseLengths {
  shank: number;
  'hook-length': number;
  overall: number;
  gape: number;
  eye: number;
  abdomen: number;
  fly: number;
  natural: number;
  bead: number;
  girth: number;
  tool: number;
  landmarks: Record<LandmarkId, number>;
}

/** Length of one unit of a base, mm. Null for a base that gives no length (count, eye-judged) or is not known yet (another part). Source: formulas §5. */
export function baseLength(
  base: BaseSpec,
  lengths: BaseLengths,
  parts: ReadonlyMap<string, number>,
  scaled: boolean,
): number | null {
  if (base === 'mm') return scaled ? lengths.shank / REFERENCE.shankMm : 1;
  if (base.startsWith('part:')) return parts.get(base.slice(5)) ?? null;
  if (base.startsWith('landmark:')) {
    const [from, to] = base.slice(9).split('..') as [LandmarkId, LandmarkId];
    return Math.abs(lengths.landmarks[to] - lengths.landmarks[from]);
  }
  if (base === 'count' || base === 'eye-judged' || base === 'rest') return null;
  return lengths[base as Exclude<keyof BaseLengths, 'landmarks'>];
}
