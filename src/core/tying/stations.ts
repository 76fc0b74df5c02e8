import type { LandmarkId } from '@/catalogue/ids';
import { PLUS, type Station } from '../dressings';

export interface StationContext {
  landmarks: Record<LandmarkId, number>;
  tieDownMm: number;
  /** Rear face of the bead, or the back of the eye. */
  faceMm: number;
  /** Ends of parts that lie along the hook. */
  ends: ReadonlyMap<string, { from: number; to: number }>;
  /** Length of one unit of a base. */
  unit: (base: string) => number | null;
}

/** A station in millimetres behind the eye; null for one that is not known or is no place. Source: formulas §5. */
export function stationMm(station: Station | null, context: StationContext): number | null {
  if (station === null || station === 'forward' || station === 'collar' || station === 'head') return null;
  const plus = PLUS.exec(station);
  const mark = plus ? station.slice(0, plus.index) : station;
  const at = markMm(mark, context);
  if (at === null || !plus) return at;
  const unit = context.unit(plus[2]!);
  return unit === null ? null : at + Number(plus[1]) * unit;
}

function markMm(mark: string, { landmarks, tieDownMm, faceMm, ends }: StationContext): number | null {
  if (mark === 'tie-down') return tieDownMm;
  if (mark === 'front') return faceMm;
  if (mark.startsWith('part:')) {
    const [id, end] = mark.slice(5).split('/') as [string, string | undefined];
    const lies = ends.get(id);
    return lies === undefined ? null : end === 'rear' ? lies.from : lies.to;
  }
  return landmarks[mark as LandmarkId] ?? null;
}
