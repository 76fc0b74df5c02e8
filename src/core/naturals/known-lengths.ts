import type { OrderId, Source } from '@/catalogue/ids';
import { BODY_FROM } from '../constants';

/** What was measured of one natural, mm; any of them may be missing, one must be there. */
export interface KnownLengths {
  bodyMm: number | null;
  overallMm: number | null;
  caseMm: number | null;
}

/** Body length and where it came from. */
export interface BodyLength {
  mm: number;
  source: Source;
  from: 'body' | 'overall' | 'case';
}

const OVERALL_AS_CADDIS: ReadonlySet<OrderId> = new Set(['caddis', 'alderfly', 'water-moth']);

/** Overall length with folded wings as a multiple of the body, by order. Source: formulas §2, ids (down-wing, stone-adult). */
export function overallRatio(order: OrderId): number {
  return OVERALL_AS_CADDIS.has(order) ? BODY_FROM.overallCaddis : BODY_FROM.overallOther;
}

/** The body from whatever length is known: itself, else the case, else the overall length. Null when nothing is known. */
export function bodyFrom(known: KnownLengths, order: OrderId): BodyLength | null {
  if (known.bodyMm !== null) return { mm: known.bodyMm, source: 'typed', from: 'body' };
  if (known.caseMm !== null) return { mm: known.caseMm / BODY_FROM.caseRatio, source: 'estimated', from: 'case' };
  if (known.overallMm !== null)
    return { mm: known.overallMm / overallRatio(order), source: 'estimated', from: 'overall' };
  return null;
}

/** The case from its own measure, else from the body. */
export function caseFrom(caseMm: number | null, bodyMm: number): number {
  return caseMm ?? bodyMm * BODY_FROM.caseRatio;
}
