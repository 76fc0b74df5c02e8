import { REFERENCE } from '../constants';
import {
  hookFromRow,
  raftLength,
  reads,
  referenceEye,
  referenceGape,
  referenceShank,
  referenceWire,
  type Hook,
  type HookRow,
  type Style,
} from '../hooks';
import type { Dressing } from './dressing';

/** A hook of a dressing's range and the natural it is for, mm. */
export interface RangeHook {
  hook: Hook;
  naturalMm: number;
}

/** A caddis case over the body in it, where nothing was measured; typical. */
const CASE_OVER_BODY = 1.2;

/** What a style compares with the fly for a natural whose body is so long, mm. */
export function comparedMm(style: Style, naturalMm: number): number {
  if (style.measure === 'case') return naturalMm * CASE_OVER_BODY;
  return style.measure === 'raft' ? raftLength(naturalMm) : naturalMm;
}

/** Reference-shaped hooks for the shortest, middle and longest natural of a dressing. */
export function referenceRangeOf(dressing: Pick<Dressing, 'length_mm'>, style: Style): RangeHook[] {
  const [low, high] = dressing.length_mm;
  return [low, Math.sqrt(low * high), high].map((naturalMm) => {
    const bend = style.bends[0]!;
    const column = bend === 'curved-shank' || bend === 'continuous-curve' ? bend : 'straight';
    const path = style.path[column] ?? style.path.straight ?? 1;
    const shankMm = (style.share * comparedMm(style, naturalMm)) / path;
    const n = reads(shankMm);
    const scaleLength = referenceShank(n);
    const row: HookRow = {
      maker: 'reference',
      makerName: '',
      model: 'range',
      modelName: '',
      size: String(Math.round(REFERENCE.size)),
      bend,
      eye: 'down',
      point: 'straight',
      barb: 'barbed',
      wire: 'standard',
      xLong: 0,
      xHeavy: 0,
      labels: 'bigger-smaller',
      shankMm,
      gapeMm: referenceGape(scaleLength),
      biteMm: null,
      wireMm: referenceWire(scaleLength),
      eyeMm: referenceEye(scaleLength),
      massMg: null,
      source: 'model',
    };
    return { hook: hookFromRow(row, 'number')!, naturalMm };
  });
}
