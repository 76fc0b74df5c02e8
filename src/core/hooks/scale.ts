import { HOOK_STEEL, NUMBER_STEP, Q, REFERENCE, WIRE_CLASS } from '../constants';
import type { WireId } from '@/catalogue/ids';

/** Shank of number `n` on the reference scale, mm (1/0 is 0, 2/0 is −1). A model: about ±8 %. Source: formulas §1. */
export function referenceShank(n: number): number {
  return REFERENCE.shankMm * Q ** (n - REFERENCE.size);
}

/** The number whose reference shank is `shankMm`; inverse of `referenceShank`. */
export function reads(shankMm: number): number {
  return REFERENCE.size - Math.log(shankMm / REFERENCE.shankMm) / NUMBER_STEP;
}

/** Wire diameter of a reference hook of scale length `lengthMm`, mm. */
export function referenceWire(lengthMm: number): number {
  return REFERENCE.wire.factor * lengthMm ** REFERENCE.wire.power;
}

export function referenceEyeHole(lengthMm: number): number {
  return REFERENCE.eyeHole.factor * lengthMm ** REFERENCE.eyeHole.power;
}

/** Outer length of the eye, mm: hole and two wires. */
export function referenceEye(lengthMm: number): number {
  return 2 * referenceWire(lengthMm) + referenceEyeHole(lengthMm);
}

export function referenceGape(lengthMm: number): number {
  return REFERENCE.gape.factor * lengthMm ** REFERENCE.gape.power;
}

/** Scale length whose reference gape is `gapeMm`, mm. */
export function scaleLengthOfGape(gapeMm: number): number {
  return (gapeMm / REFERENCE.gape.factor) ** (1 / REFERENCE.gape.power);
}

/** The number whose reference gape is `gapeMm`: the gape reading. */
export function readsGape(gapeMm: number): number {
  return reads(scaleLengthOfGape(gapeMm));
}

/** Throat (bite) of a hook of gape `gapeMm`, mm. */
export function throatOf(gapeMm: number): number {
  return REFERENCE.throatPerGape * gapeMm;
}

/** Light, standard or heavy wire, against the wire of a reference hook of the same gape reading. */
export function wireClass(wireMm: number, gapeMm: number): WireId {
  const ratio = wireMm / referenceWire(scaleLengthOfGape(gapeMm));
  if (ratio < WIRE_CLASS.lightBelow) return 'light';
  return ratio <= WIRE_CLASS.heavyAbove ? 'standard' : 'heavy';
}

/** Mass of a bare hook, mg, from shank, gape, wire and outer eye in mm. */
export function hookMass(shankMm: number, gapeMm: number, wireMm: number, eyeMm: number): number {
  const run =
    shankMm + (Math.PI * (gapeMm + wireMm)) / 2 + HOOK_STEEL.pointShare * shankMm + Math.PI * (eyeMm - wireMm);
  return HOOK_STEEL.density * (Math.PI / 4) * wireMm ** 2 * run;
}

/** Difference of two lengths in number steps; positive when `a` is the longer. */
export function stepsBetween(a: number, b: number): number {
  return Math.log(a / b) / NUMBER_STEP;
}
