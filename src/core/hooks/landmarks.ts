import type { LandmarkId } from '@/catalogue/ids';
import { throatOf } from './scale';

export interface LandmarkHook {
  shankMm: number;
  gapeMm: number;
  eyeMm: number;
  /** The dressed path along the wire, W·S. */
  pathMm: number;
  /** Rear face of the bead, 0 without one. */
  behindBeadMm: number;
}

/** Every landmark as a distance from behind the eye along the hook, mm. Source: formulas §5. */
export function landmarks(hook: LandmarkHook): Record<LandmarkId, number> {
  const { shankMm: s, gapeMm: g, eyeMm: e } = hook;
  const hookPoint = s + g / 2 - throatOf(g);
  return {
    'behind-eye': 0,
    'one-eye': e,
    'two-eyes': 2 * e,
    'one-third': s / 3,
    'mid-shank': s / 2,
    'two-thirds': (2 * s) / 3,
    'hook-point': hookPoint,
    barb: Math.min(s, hookPoint + 0.2 * s),
    'bend-start': s,
    'into-bend': hook.pathMm,
    'behind-bead': hook.behindBeadMm,
  };
}

/** Behind the eye to the outside of the bend, mm. */
export function hookLength(shankMm: number, gapeMm: number, wireMm: number): number {
  return shankMm + gapeMm / 2 + wireMm;
}
