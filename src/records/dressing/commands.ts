import { DRESSINGS } from '@/catalogue';
import type { Dressing } from '@/core/dressings';
import type { Material } from '@/core/materials';
import { command } from '../command';
import type { Entities } from '../kinds';
import { putMaterial } from '../material/commands';
import { freeDressingId } from './queries';
import type { DressingRecord } from './schema';

/** Key of the record that holds a dressing of the tier's own. */
const keyOf = (id: string) => `dressing_${id}`;

/** A dressing of the tier's own in its place; a revision that a fly was tied by is kept by number, and this is the next. */
function put(draft: Entities, dressing: Dressing): void {
  const before = draft.dressing[keyOf(dressing.id)];
  const tied = before !== undefined && Object.values(draft.fly).some((fly) => fly.dressingId === before.id && fly.dressingRev === before.rev);
  draft.dressing[keyOf(dressing.id)] = { ...structuredClone(dressing), demo: before?.demo ?? false, base: null, rev: tied ? before.rev + 1 : dressing.rev } as DressingRecord;
}

export const putDressing = command<{ dressing: Dressing }>('dressing', (draft, { dressing }) => put(draft, dressing));

/** The same for one that was just made from another. */
export const deriveDressing = command<{ dressing: Dressing }>('derive', (draft, { dressing }) => put(draft, dressing));

/** A dressing of the tier's own taken out; what was tied by it keeps its id. */
export const deleteDressing = command<{ id: string }>('delete-dressing', (draft, { id }) => void delete draft.dressing[keyOf(id)]);

/** Dressings of a file with their materials. A shipped one is never written over: it comes in beside it, as made from it, each under an id of its own. */
export const takeDressings = command<{ dressings: readonly Dressing[]; materials: readonly Material[] }>('dressings-in', (draft, { dressings, materials }) => {
  for (const material of materials) putMaterial(draft, material);
  for (const dressing of dressings) {
    const taken = [...DRESSINGS, ...Object.values(draft.dressing)];
    put(draft, DRESSINGS.some((item) => item.id === dressing.id) ? { ...dressing, id: freeDressingId(dressing.id, taken), parent: dressing.id } : dressing);
  }
});
