import { command } from '../command';
import type { Entities } from '../kinds';
import { SETTINGS_ID, settingsSchema, type SettingsRecord } from './schema';

function put({ settings }: Entities, fields: (own: SettingsRecord) => Partial<SettingsRecord>): void {
  const own = { ...settingsSchema.cast({}), ...settings[SETTINGS_ID] };
  settings[SETTINGS_ID] = { ...own, ...fields(own) };
}

/** What undo calls a change of each field. */
const CALLED: Readonly<Record<keyof SettingsRecord, string>> = {
  unit: 'unit',
  barbRule: 'barb',
  letterKeys: 'keys',
  schools: 'schools',
  south: 'world',
  fauna: 'world',
  fingerMm: 'finger',
  backupDays: 'backup-days',
  onlyOwned: 'only-owned',
  convertBy: 'convert-by',
  smallest: 'smallest',
  skill: 'bench',
  minutes: 'bench',
  tools: 'bench',
  aims: 'aims',
  dressingSchools: 'schools',
  pickWeights: 'weights',
};

/** How the app is set, one field or several that go together. */
export const setSettings = command<Partial<SettingsRecord>>('settings', (draft, fields) => put(draft, () => fields), {
  label: (fields) => CALLED[Object.keys(fields)[0] as keyof SettingsRecord],
});

/** Schools kept for one dressing, over the tier's own. */
export const setDressingSchools = command<{ dressingId: string; schools: Record<string, string> }>(
  'dressing-schools',
  (draft, { dressingId, schools }) =>
    put(draft, (own) => ({ dressingSchools: { ...own.dressingSchools, [dressingId]: schools } })),
  { label: 'schools' },
);
