import { command, found, type Around } from '../command';
import type { Entities } from '../kinds';
import { boxSchema, type BoxRecord } from './schema';

/** Rows and columns of a box of which nothing was said. */
export const USUAL_BOX = { rows: 4, columns: 6 } as const;

/** A box of the usual size; its id. */
export function makeBox(draft: Entities, name: string, { newId }: Around): string {
  const id = newId('box');
  draft.box[id] = boxSchema.cast({ name, ...USUAL_BOX });
  return id;
}

export const newBox = command<{ name: string }, string>(
  'new-box',
  (draft, { name }, around) => makeBox(draft, name, around),
  { label: 'box' },
);

export const setBox = command<{ boxId: string } & Partial<Pick<BoxRecord, 'name' | 'rows' | 'columns' | 'carried'>>>(
  'box',
  (draft, { boxId, ...fields }) => void Object.assign(found(draft.box, boxId), fields),
  { field: ({ boxId, name }) => (name === undefined ? null : `${boxId}/name`) },
);

/** A box that goes takes the flies that lie only in it. */
export const deleteBox = command<{ boxId: string }>('delete-box', (draft, { boxId }) => {
  delete draft.box[boxId];
  for (const [flyId, fly] of Object.entries(draft.fly))
    if (fly.tally.places.every((place) => place.boxId === boxId)) delete draft.fly[flyId];
});
