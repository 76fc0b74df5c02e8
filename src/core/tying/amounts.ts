import { BUNDLE_PACKING, DUBBING, FIBRE_DENSITY, FLAT_WIDTHS, LOOP, WOUND_SPARE_MM } from '../constants';

export type Fibre = keyof typeof FIBRE_DENSITY;

/** Diameter of a thread as one solid fibre, mm. Source: formulas §8. */
export function threadDiameter(denier: number, fibre: Fibre): number {
  return Math.sqrt((4 * (denier / 9000)) / (Math.PI * FIBRE_DENSITY[fibre])) * 1000;
}

/** Diameter of the same thread as a round bundle, mm. */
export function bundleDiameter(denier: number, fibre: Fibre): number {
  return threadDiameter(denier, fibre) / Math.sqrt(BUNDLE_PACKING);
}

/** Thickness of the same thread laid flat, four widths across, mm. */
export function flatThickness(denier: number, fibre: Fibre): number {
  const solid = threadDiameter(denier, fibre);
  return (Math.PI * solid ** 2) / 4 / (FLAT_WIDTHS * solid);
}

/** Length to cut for a strip wound `turns` times over mean diameter `diameterMm` at `pitchMm`, with the spare that is held, mm. */
export function woundCut(turns: number, diameterMm: number, pitchMm: number): number {
  return turns * Math.hypot(Math.PI * diameterMm, pitchMm) + WOUND_SPARE_MM;
}

/** Loop for a rope of `ropeMm`: height of the loop and thread to draw off, mm. */
export function loopFor(ropeMm: number): { heightMm: number; threadMm: number } {
  const heightMm = ropeMm / LOOP.shortening + LOOP.spareHeightMm;
  return { heightMm, threadMm: 2 * heightMm + LOOP.spareMm };
}

/** Dubbing for a body, mg: outer and core diameter and length in mm. */
export function dubbingMass(outerMm: number, coreMm: number, lengthMm: number): number {
  return DUBBING.loss * DUBBING.density * (Math.PI / 4) * (outerMm ** 2 - coreMm ** 2) * lengthMm;
}

/** Fibres to take so that `needed` are left after losing `loss` (0–1) of them. */
export function fibresTaken(needed: number, loss: number): number {
  return Math.ceil(needed / (1 - loss));
}
