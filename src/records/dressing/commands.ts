import type { Dressing } from '@/core/dressings';
import { command } from '../command';
import type { Entities } from '../kinds';
import { ownId } from '../own-id';
import type { DressingRecord } from './schema';

/** Key of the record that holds a dressing of the tier's own. */
export const keyOf = (id: string) => `dressing_${id}`;

/** A dressing of the tier's own in its place; a revision that a fly was tied by is kept by number, and this is the next. */
function put(draft: Entities, dressing: Dressing): void {
  const before = draft.dressing[keyOf(dressing.id)];
  draft.dressing[keyOf(dressing.id)] = {
    ...structuredClone(dressing),
    demo: before?.demo ?? false,
    base: null,
    rev: revAfter(draft, dressing),
  } as DressingRecord;
}

/** Number of a dressing that goes in: one more than the one that is there where a fly was tied by that. */
export function revAfter(draft: Entities, dressing: Dressing): number {
  const before = draft.dressing[keyOf(dressing.id)];
  const tied =
    before !== undefined &&
    Object.values(draft.fly).some((fly) => fly.dressingId === before.id && fly.dressingRev === before.rev);
  return tied ? before.rev + 1 : dressing.rev;
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
