import type { FunctionId } from '@/catalogue/ids';
import { REFERENCE, STEM } from '../constants';
import type { Material } from '../materials';

const SOFT: ReadonlySet<FunctionId> = new Set(['hackle.soft', 'hackle.cdc-loop']);

/** Width of one turn as it lies on this hook, mm: a stem for feathers, thinner on a smaller hook, the material's own else. Null for what is not wound. */
export function layOnHook(material: Pick<Material, 'lay_mm'> | null, does: FunctionId | null, shankMm: number): number | null {
  const scale = (shankMm / REFERENCE.shankMm) ** STEM.power;
  if (does === 'hackle.stiff') return STEM.stiffMm * scale;
  if (does !== null && SOFT.has(does)) return STEM.softMm * scale;
  return material?.lay_mm ?? null;
}
