import equal from 'fast-deep-equal';
import { DRESSINGS } from '@/catalogue';
import type { Dressing } from '@/core/dressings';
import type { Material } from '@/core/materials';
import { command } from '../command';
import type { Entities } from '../kinds';
import { putMaterial } from '../material/commands';
import { ownId } from '../own-id';
import { dressingOf } from './queries';
import type { DressingRecord } from './schema';

/** Key of the record that holds a dressing of the tier's own. */
const keyOf = (id: string) => `dressing_${id}`;

/** A dressing of the tier's own in its place; a revision that a fly was tied by is kept by number, and this is the next. */
function put(draft: Entities, dressing: Dressing): void {
  const before = draft.dressing[keyOf(dressing.id)];
  const tied =
    before !== undefined &&
    Object.values(draft.fly).some((fly) => fly.dressingId === before.id && fly.dressingRev === before.rev);
  draft.dressing[keyOf(dressing.id)] = {
    ...structuredClone(dressing),
    demo: before?.demo ?? false,
    base: null,
    rev: tied ? before.rev + 1 : dressing.rev,
  } as DressingRecord;
}

export const putDressing = command<{ dressing: Dressing }>('dressing', (draft, { dressing }) => put(draft, dressing));

/** A dressing that was just made, from another or from a bare hook: put in under an id of its own, which is given back. */
export const makeDressing = command<{ dressing: Dressing }, string>('derive', (draft, { dressing }, { newId }) => {
  const id = ownId('dressing', dressing.name, newId);
  put(draft, { ...dressing, id });
  return id;
});

/** A dressing of the tier's own taken out; what was tied by it keeps its id. */
export const deleteDressing = command<{ id: string }>(
  'delete-dressing',
  (draft, { id }) => void delete draft.dressing[keyOf(id)],
);

/** Whether two say the same of how a fly is tied, whatever they are called by. */
function sameFly(one: Dressing, other: Dressing): boolean {
  return equal({ ...one, id: '', rev: 0, parent: null }, { ...other, id: '', rev: 0, parent: null });
}

/** Dressings of a file with their materials. A shipped one is never written over: it comes in beside it, as made from it, each under an id of its own, and only once however often it is read. */
export const takeDressings = command<{ dressings: readonly Dressing[]; materials: readonly Material[] }>(
  'dressings-in',
  (draft, { dressings, materials }, { newId }) => {
    for (const material of materials) putMaterial(draft, material);
    for (const dressing of dressings) {
      if (!DRESSINGS.some((item) => item.id === dressing.id)) put(draft, dressing);
      else if (
        !Object.values(draft.dressing).some((own) => own.parent === dressing.id && sameFly(dressingOf(own), dressing))
      )
        put(draft, { ...dressing, id: ownId('dressing', dressing.id, newId), parent: dressing.id });
    }
  },
);
