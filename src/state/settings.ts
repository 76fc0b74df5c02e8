import {
  DEVICE_ID,
  deviceSchema,
  SETTINGS_ID,
  settingsSchema,
  type DeviceRecord,
  type SettingsRecord,
} from '@/records';
import type { State } from './store';

const NO_SETTINGS = settingsSchema.cast({});
const NO_DEVICE = deviceSchema.cast({});

export function selectSettings(state: State): SettingsRecord {
  return state.records.entities.settings[SETTINGS_ID] ?? NO_SETTINGS;
}

export function selectDevice(state: State): DeviceRecord {
  return state.records.entities.device[DEVICE_ID] ?? NO_DEVICE;
}
