import type { SchoolOption } from '@/catalogue/ids';
import { NUMBERS_PER_PACKET, WIRE_CLASS } from '../constants';
import { readsGape, referenceEye, referenceGape, referenceShank, referenceWire, throatOf } from './scale';
import { readSizeLabel } from './size-label';

/** Dimensions that a packet's label promises, mm. */
export interface LabelDimensions {
  shankMm: number;
  gapeMm: number;
  biteMm: number;
  wireMm: number;
  eyeMm: number;
}

/** Under `number` one X long is one number longer; under `catalogue-step` one stocked size. */
export type XLabelSchool = SchoolOption['x-label'];

/** Whether a bigger label of a maker is the smaller hook, as on the reference scale, or the bigger one. */
export type LabelDirection = 'bigger-smaller' | 'bigger-bigger';

/**
 * Where a label stands on the reference scale: its number, or the reading of a gape code. Null for free text, and for plain numbers
 * that grow with the hook: nothing says how long those are.
 */
export function labelNumber(label: string, direction: LabelDirection): number | null {
  const size = readSizeLabel(label);
  if (size.kind === 'gape') return readsGape(size.gapeMm);
  return size.kind === 'number' && direction === 'bigger-smaller' ? size.n : null;
}

/**
 * What a label says a hook measures: the number and its X decide, never the hook's own shank.
 * `xLong` is negative for short, `xHeavy` negative for fine. Null when the label is free text. Source: formulas §6.
 */
export function labelDimensions(
  label: string,
  xLong: number,
  xHeavy: number,
  school: XLabelSchool,
  direction: LabelDirection = 'bigger-smaller',
): LabelDimensions | null {
  const size = readSizeLabel(label);
  const n = labelNumber(label, direction);
  if (n === null) return null;
  const dimensions = dimensionsAt(n, xLong, xHeavy, school);
  return size.kind === 'gape' ? { ...dimensions, gapeMm: size.gapeMm, biteMm: throatOf(size.gapeMm) } : dimensions;
}

/** How many numbers longer "aX long" is. */
export function numbersLong(xLong: number, school: XLabelSchool): number {
  return xLong * (school === 'catalogue-step' ? NUMBERS_PER_PACKET : 1);
}

/** Dimensions of number `n` of the reference scale with its X, mm. */
export function dimensionsAt(n: number, xLong: number, xHeavy: number, school: XLabelSchool): LabelDimensions {
  const scaleLength = referenceShank(n);
  const gapeMm = referenceGape(scaleLength);
  return {
    shankMm: referenceShank(n - numbersLong(xLong, school)),
    gapeMm,
    biteMm: throatOf(gapeMm),
    wireMm: referenceWire(scaleLength) * WIRE_CLASS.perX ** xHeavy,
    eyeMm: referenceEye(scaleLength),
  };
}
