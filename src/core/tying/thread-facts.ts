import { AUGHT, FLAT_WIDTHS, GRAMS_PER_DENIER, GRAMS_PER_DENIER_AT_MOST } from '../constants';
import type { Material } from '../materials';
import { bundleDiameter, flatThickness, threadDiameter, type Fibre } from './amounts';

/** What a thread is, from its denier and its fibre. Millimetres, grams. */
export interface ThreadFacts {
  denier: number;
  fibre: Fibre;
  /** As one solid fibre; as a round, twisted bundle; untwisted and laid flat, four widths of the solid one across. */
  solidMm: number;
  roundMm: number;
  flat: { wideMm: number; thickMm: number };
  /** What it holds, g: the weakest and the strongest of its kind. */
  grams: [low: number, high: number];
  /** About which number before the stroke it is sold under; null where the fibre has none, or it is thicker or finer than any. */
  aught: number | null;
}

/** The number before the stroke that a thread of a fibre is sold under, about; null beyond the labels that are known. Never without the fibre. Source: domain §5. */
export function aughtOf(denier: number, fibre: Fibre): number | null {
  const labels = AUGHT[fibre];
  const at = labels.findIndex(([, own], index) => denier <= own && denier >= (labels[index + 1]?.[1] ?? own));
  if (at < 0) return null;
  const [number, own] = labels[at]!;
  const [next, finer] = labels[at + 1] ?? [number, own];
  return own === finer ? number : Math.round(number + ((own - denier) / (own - finer)) * (next - number));
}

/** The denier of a label of a fibre, about; null beyond the labels that are known. Source: domain §5. */
export function denierOf(aught: number, fibre: Fibre): number | null {
  const labels = AUGHT[fibre];
  const at = labels.findIndex(([own], index) => aught >= own && aught <= (labels[index + 1]?.[0] ?? own));
  if (at < 0) return null;
  const [number, own] = labels[at]!;
  const [next, finer] = labels[at + 1] ?? [number, own];
  return next === number ? own : Math.round(own + ((aught - number) / (next - number)) * (finer - own));
}

/** Null for what is no thread. */
export function threadFacts({ denier, fibre }: Pick<Material, 'denier' | 'fibre'>): ThreadFacts | null {
  if (denier === null || fibre === null) return null;
  const solidMm = threadDiameter(denier, fibre);
  return {
    denier,
    fibre,
    solidMm,
    roundMm: bundleDiameter(denier, fibre),
    flat: { wideMm: FLAT_WIDTHS * solidMm, thickMm: flatThickness(denier, fibre) },
    grams: [denier * GRAMS_PER_DENIER[fibre], denier * GRAMS_PER_DENIER_AT_MOST[fibre]],
    aught: aughtOf(denier, fibre),
  };
}
