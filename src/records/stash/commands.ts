import type { MoveId } from '@/catalogue/ids';
import { shadeId as idOfShade } from '@/core/materials/shades';
import { command, enter, found, type Around } from '../command';
import { takeSaid } from '../import-duplicate';
import type { Entities } from '../kinds';
import { isCounted, leftOf } from './queries';
import { stashSchema, type StashRecord } from './schema';

/** What is had: a material, in a shade of the list or in one that nobody ships. */
export interface StashItem {
  materialId: string;
  shadeId: string | null;
  shade?: string;
  hex?: string | null;
}

/** Key of the record of one thing of the stash: the same on every device. */
export const stashKey = ({ materialId, shadeId, shade = '' }: StashItem) =>
  `stash_${shadeId ?? (shade === '' ? materialId : idOfShade(materialId, shade))}`;

function move(draft: Entities, owner: string, count: number, why: MoveId, around: Around): void {
  enter(draft, { kind: 'stash', owner, id: around.newId('move'), event: { at: around.now, count, why } }, around);
}

/** Says of materials that they are had, or that they are not. */
export const tickStash = command<{ items: readonly StashItem[]; on: boolean }>('stash', (draft, { items, on }) => {
  for (const item of items) {
    const id = stashKey(item);
    if (!on) delete draft.stash[id];
    else draft.stash[id] ??= stashSchema.cast(item);
  }
});

export const setStash = command<
  { id: string } & Partial<Pick<StashRecord, 'label' | 'hex' | 'low' | 'place' | 'note'>>
>('stash-item', (draft, { id, ...fields }) => void Object.assign(found(draft.stash, id), fields), {
  field: ({ id, ...fields }) => `${id}/${Object.keys(fields).join()}`,
});

/** How much there is, as it was counted. */
export const countStash = command<{ id: string; left: number }>('stash-count', (draft, { id, left }, around) => {
  const own = found(draft.stash, id);
  const by = left - (leftOf(own) ?? 0);
  if (by !== 0 || !isCounted(own)) move(draft, id, by, isCounted(own) ? 'counted' : 'got', around);
});

export const deleteStash = command<{ id: string }>('delete-stash', (draft, { id }) => void delete draft.stash[id]);

/** One row of a table of a stash. */
export interface StashIn extends StashItem {
  hex: string | null;
  label: string | null;
  amount: number | null;
  low: number | null;
  place: string | null;
  note: string | null;
}

/** Takes a table of a stash in: what is there is edited in what the table says, the rest is added; an amount is counted to what it says. Read twice it changes nothing. */
export const takeStash = command<{ rows: readonly StashIn[] }>(
  'stash-file',
  (draft, { rows }, around) => {
    for (const { amount, hex, label, low, place, note, ...item } of rows) {
      const id = stashKey(item);
      takeSaid(draft, 'stash', id, { ...item, hex, label, low, place, note }, around);
      const own = draft.stash[id]!;
      const left = leftOf(own);
      if (amount !== null && amount !== left)
        move(draft, id, amount - (left ?? 0), left === null ? 'got' : 'counted', around);
    }
  },
  { label: 'stash' },
);
