import type { SchoolOption } from '@/catalogue/ids';
import { WIRE_CLASS } from '../constants';
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

/**
 * What a label says a hook measures: the number and its X decide, never the hook's own shank.
 * `xLong` is negative for short, `xHeavy` negative for fine. Null when the label is free text. Source: formulas §6.
 */
export function labelDimensions(label: string, xLong: number, xHeavy: number, school: XLabelSchool): LabelDimensions | null {
  const size = readSizeLabel(label);
  if (size.kind === 'text') return null;
  const n = size.kind === 'number' ? size.n : readsGape(size.gapeMm);
  const scaleLength = referenceShank(n);
  const gapeMm = size.kind === 'gape' ? size.gapeMm : referenceGape(scaleLength);
  return {
    shankMm: referenceShank(n - xLong * (school === 'catalogue-step' ? 2 : 1)),
    gapeMm,
    biteMm: throatOf(gapeMm),
    wireMm: referenceWire(scaleLength) * WIRE_CLASS.perX ** xHeavy,
    eyeMm: referenceEye(scaleLength),
  };
}
