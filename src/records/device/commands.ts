import type { CautionId } from '@/catalogue/ids';
import { command } from '../command';
import type { Entities } from '../kinds';
import { DEVICE_ID, deviceSchema, type DeviceRecord } from './schema';

function put({ device }: Entities, fields: (own: DeviceRecord) => Partial<DeviceRecord>): void {
  const own = { ...deviceSchema.cast({}), ...device[DEVICE_ID] };
  device[DEVICE_ID] = { ...own, ...fields(own) };
}

/** What only this device remembers. */
export const setDevice = command<Partial<DeviceRecord>>('device', (draft, fields) => put(draft, () => fields), {
  here: true,
});

/** Cautions that were shown on a day (`2033-05-24`) and need not be shown on it again. */
export const noteCautions = command<{ ids: readonly CautionId[]; day: string }>(
  'cautions',
  (draft, { ids, day }) =>
    put(draft, ({ cautioned }) => ({ cautioned: { ...cautioned, ...Object.fromEntries(ids.map((id) => [id, day])) } })),
  { here: true },
);
