import type { Dressing } from '../dressings';
import { caseFrom } from '../naturals';
import type { Sample } from './answer-shape';

/** The natural a dressing is shown for when none is in hand: in its first stage and water, `mm` long or in the middle of its range; a case follows the body. */
export function naturalOf(
  dressing: Dressing,
  mm: number = Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1]),
): Sample {
  return {
    stage: dressing.stages[0]!,
    lengthsMm: [mm],
    overallMm: null,
    caseMm: caseFrom(null, mm),
    widthMm: null,
    method: 'typed',
    sex: null,
    colours: {},
    surface: 'dry',
    water: dressing.waters[0]!,
  };
}
