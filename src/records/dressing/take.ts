import equal from 'fast-deep-equal';
import { DRESSINGS } from '@/catalogue';
import type { Dressing } from '@/core/dressings';
import type { Material } from '@/core/materials';
import { command, inPieces, type Around } from '../command';
import { takeSaid } from '../import-duplicate';
import type { Entities } from '../kinds';
import { materialKey } from '../material/commands';
import { ownId } from '../own-id';
import { keyOf, revAfter } from './commands';
import { dressingOf } from './queries';

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

/** A dressing is as much as fifty other records. */
const AT_ONCE = 5;

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
  {
    parts: ({ dressings, materials }) => [
      { dressings: [], materials },
      ...inPieces(dressings, AT_ONCE).map((some) => ({ dressings: some, materials: [] })),
    ],
  },
);
