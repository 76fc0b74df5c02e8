import equal from 'fast-deep-equal';
import { DRESSINGS } from '@/catalogue';
import type { Dressing } from '@/core/dressings';
import type { Material } from '@/core/materials';
import { command, type Around } from '../command';
import { takeSaid } from '../import-duplicate';
import type { Entities } from '../kinds';
import { materialKey } from '../material/commands';
import { ownId } from '../own-id';
import { dressingOf } from './queries';
import type { DressingRecord } from './schema';

/** Key of the record that holds a dressing of the tier's own. */
const keyOf = (id: string) => `dressing_${id}`;

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
function revAfter(draft: Entities, dressing: Dressing): number {
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

/** Whether two say the same of how a fly is tied, whatever they are called by. */
function sameFly(one: Dressing, other: Dressing): boolean {
  // A field that is not there and one that is undefined say the same.
  const said = (dressing: Dressing) =>
    JSON.parse(JSON.stringify({ ...dressing, id: '', rev: 0, parent: null })) as object;
  return equal(said(one), said(other));
}

/** A dressing of a file, which says all of how it is tied, what is empty too: parts, steps and switches name each other. */
function take(draft: Entities, dressing: Dressing, around: Around): void {
  const key = keyOf(dressing.id);
  const before = draft.dressing[key];
  if (before && sameFly(dressingOf(before), dressing)) return;
  const whole = Object.keys(dressing) as (keyof Dressing)[];
  takeSaid(draft, 'dressing', key, { ...structuredClone(dressing), rev: revAfter(draft, dressing) }, around, whole);
}

/** Dressings of a file with their materials. A shipped one is never written over: it comes in beside it, as made from it, each under an id of its own, and only once however often it is read. */
export const takeDressings = command<{ dressings: readonly Dressing[]; materials: readonly Material[] }>(
  'dressings-in',
  (draft, { dressings, materials }, around) => {
    for (const { id, name, hex, like, functions } of materials)
      takeSaid(draft, 'material', materialKey(id), { name, hex, like, functions }, around);
    for (const dressing of dressings) {
      if (!DRESSINGS.some((item) => item.id === dressing.id)) take(draft, dressing, around);
      else if (
        !Object.values(draft.dressing).some((own) => own.parent === dressing.id && sameFly(dressingOf(own), dressing))
      )
        take(draft, { ...dressing, id: ownId('dressing', dressing.id, around.newId), parent: dressing.id }, around);
    }
  },
);
