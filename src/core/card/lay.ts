import type { FunctionId, PartId } from '@/catalogue/ids';
import { REFERENCE, STEM } from '../constants';
import type { Material } from '../materials';

const SOFT: ReadonlySet<FunctionId> = new Set(['hackle.soft', 'hackle.cdc-loop']);

/** Width of one turn as it lies on this hook, mm: a stem for feathers and for what is wound open, a finer herl on a smaller hook, the material's own else. Null for what is not wound. */
export function layOnHook(
  material: Pick<Material, 'lay_mm'> | null,
  does: FunctionId | null,
  shankMm: number,
  open = false,
): number | null {
  const scale = (shankMm / REFERENCE.shankMm) ** STEM.power;
  if (open) return STEM.openMm * scale;
  if (does === 'hackle.stiff') return STEM.stiffMm * scale;
  if (does !== null && SOFT.has(does)) return STEM.softMm * scale;
  const lay = material?.lay_mm ?? null;
  return lay !== null && does === 'body.herl' ? lay * scale : lay;
}

/** Turns of a loop of plume round the hook: it is as dense as its load, not as its turns. Source: ways of work. */
export const LOOP_TURNS = 2;

/** Kinds that are counted in turns of what is wound. */
const IN_TURNS: ReadonlySet<PartId> = new Set(['rib', 'gills', 'hackle', 'second-hackle', 'stacked-hackle', 'halo']);

/** Whether a part's count is turns; a loop of plume is counted in plumes, what is bound in pieces. */
export function countsTurns(kind: PartId, does: FunctionId | null): boolean {
  return IN_TURNS.has(kind) && does !== 'hackle.cdc-loop';
}

/** Ways whose count is what is loaded or bound, not turns. */
export const LOOPED: ReadonlySet<string> = new Set(['plume-loop']);
