import type { StageId, StageMatch, WaterId } from '@/catalogue/ids';
import { NUMBER_STEP } from '../constants';
import { reason, type Reason } from '../code';
import type { StageRow } from '../hooks';
import type { Dressing } from './dressing';

export interface RankedDressing {
  dressing: Dressing;
  score: number;
  stageMatch: StageMatch;
  why: Reason[];
}

const NEIGHBOUR = 0.5;
const OTHER_WATER = 0.8;
const LENGTH_SPREAD_STEPS = 2;

/** Number steps by which a length lies outside a dressing's range; 0 inside. */
function stepsOutside(lengthMm: number, [low, high]: readonly [number, number]): number {
  if (lengthMm < low) return Math.log(low / lengthMm) / NUMBER_STEP;
  return lengthMm > high ? Math.log(lengthMm / high) / NUMBER_STEP : 0;
}

/** Rows between a stage and the nearest of a dressing's stages of the same order; the earlier row is nearer by half on a tie. */
function rowsAway(dressing: Dressing, stage: StageId, rows: readonly StageRow[]): number {
  const at = rows.findIndex((row) => row.id === stage);
  const order = rows[at]?.order;
  const distances = dressing.stages.flatMap((id) => {
    const index = rows.findIndex((row) => row.id === id);
    return rows[index]?.order === order ? [Math.abs(index - at) + (index > at ? 0.5 : 0)] : [];
  });
  return distances.length === 0 ? Infinity : Math.min(...distances);
}

/**
 * Dressings for a stage, best first: stage 1 or 0.5, length, water; ties by id. A stage that has none takes the nearest
 * stage's of its order, fewest rows away. Where the order holds fewer than two, the rest of the library follows.
 * `lengthMm` null leaves length out. Source: domain §4, docs/architecture.md (choosing).
 */
export function rankDressings(library: readonly Dressing[], stage: StageId, lengthMm: number | null, water: WaterId | null, rows: readonly StageRow[]): RankedDressing[] {
  const scored = library.map((dressing) => {
    const same = dressing.stages.includes(stage);
    const away = same ? 0 : rowsAway(dressing, stage, rows);
    const outside = lengthMm === null ? 0 : stepsOutside(lengthMm, dressing.length_mm);
    const byStage = same ? 1 : NEIGHBOUR;
    const byLength = outside === 0 ? 1 : Math.exp(-0.5 * (outside / LENGTH_SPREAD_STEPS) ** 2);
    const byWater = water === null || dressing.waters.includes(water) ? 1 : OTHER_WATER;
    const why: Reason[] = [
      same
        ? reason('stage-same', { stage: { kind: 'stages', id: stage } }, { weight: 1, evidence: dressing.evidence })
        : reason(away === Infinity ? 'stage-other' : 'stage-neighbour', { stage: { kind: 'stages', id: dressing.stages[0]! }, wanted: { kind: 'stages', id: stage } }, { weight: NEIGHBOUR, evidence: 'theory' }),
    ];
    if (lengthMm !== null) {
      const [low, high] = dressing.length_mm;
      why.push(reason(outside === 0 ? 'length-inside' : 'length-outside', { low: { mm: low }, high: { mm: high }, steps: outside }, { steps: outside, weight: byLength, evidence: 'theory' }));
    }
    if (water !== null) why.push(reason(byWater === 1 ? 'water-listed' : 'water-other', { water: { kind: 'waters', id: water } }, { weight: byWater, evidence: dressing.evidence }));
    return { dressing, score: byStage * byLength * byWater, stageMatch: same ? ('same' as const) : ('neighbour' as const), why, away };
  });
  const hasSame = scored.some((item) => item.away === 0);
  const ofOrder = scored
    .filter((item) => item.away !== Infinity)
    .sort((a, b) => (hasSame ? b.score - a.score || a.away - b.away : a.away - b.away || b.score - a.score) || a.dressing.id.localeCompare(b.dressing.id));
  const rest = ofOrder.length >= 2 ? [] : scored.filter((item) => item.away === Infinity).sort((a, b) => b.score - a.score || a.dressing.id.localeCompare(b.dressing.id));
  return [...ofOrder, ...rest].map(({ away: _away, ...item }) => item);
}
