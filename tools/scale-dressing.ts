import type { Dressing, DressingPart } from '../src/core/dressings';

/** A dressing tied for another range of lengths: rules are shares, so they stay; plain millimetres grow with it. `factor` is over the old lengths. */
export function scaleDressing(dressing: Dressing, factor: number): Dressing {
  const grown = (part: DressingPart): DressingPart =>
    part.base === 'mm' && !part.scaled && part.factor !== null
      ? {
          ...part,
          factor: part.factor * factor,
          low: part.low === null ? null : part.low * factor,
          high: part.high === null ? null : part.high * factor,
        }
      : part;
  return {
    ...dressing,
    length_mm: [dressing.length_mm[0] * factor, dressing.length_mm[1] * factor],
    parts: dressing.parts.map(grown),
    weights: dressing.weights.map((weight) =>
      weight.diameter_mm === null ? weight : { ...weight, diameter_mm: weight.diameter_mm * factor },
    ),
  };
}
