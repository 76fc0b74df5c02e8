import { command, found, type Around } from '../command';
import type { Entities } from '../kinds';
import type { OutingRecord } from '../outing/schema';
import { waterSchema, type WaterRecord } from './schema';

export function makeWater(draft: Entities, name: string, { newId }: Around): string {
  const id = newId('water');
  draft.water[id] = waterSchema.cast({ name });
  return id;
}

/** A water of which only its name is known yet. Its id. */
export const newWater = command<{ name: string }, string>('new-water', (draft, { name }, around) =>
  makeWater(draft, name, around),
);

export const setWater = command<{ waterId: string } & Partial<Omit<WaterRecord, 'demo'>>>(
  'water-set',
  (draft, { waterId, ...fields }) => void Object.assign(found(draft.water, waterId), fields),
  { field: ({ waterId, ...fields }) => `${waterId}/${Object.keys(fields).join()}` },
);

/** A water that goes leaves the outings there, without its name. */
export const deleteWater = command<{ waterId: string }>('delete-water', (draft, { waterId }) => {
  delete draft.water[waterId];
  for (const outing of Object.values(draft.outing)) if (outing.waterId === waterId) outing.waterId = null;
});

/** What a logger had of a water: its days, and the readings that fall into outings there, in one step. */
export const takeTemperatures = command<{
  waterId: string;
  daily: WaterRecord['daily'];
  temps: Readonly<Record<string, OutingRecord['temps']>>;
}>('water-temperatures', (draft, { waterId, daily, temps }) => {
  Object.assign(found(draft.water, waterId).daily, daily);
  for (const [outingId, readings] of Object.entries(temps)) found(draft.outing, outingId).temps = readings;
});
