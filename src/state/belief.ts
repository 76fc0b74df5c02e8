import { CASE } from '@/catalogue';
import { believe, type Belief, type Key, type Sighting } from '@/core/belief';
import { sightingOf } from '@/core/case';
import type { SampleRecord, SettingsRecord } from '@/records';
import { selectSettings } from './settings';
import { selectKey } from './own-groups';
import type { State } from './store';

const cache = new Map<
  string,
  { sample: SampleRecord; settings: SettingsRecord; key: Key; sighting: Sighting; belief: Belief }
>();

/** What is believed of a sample's natural, remembered until the sample changes. */
export function selectBelief(state: State, sampleId: string): { sighting: Sighting; belief: Belief } | null {
  const sample = state.records.entities.sample[sampleId];
  if (!sample) return null;
  const settings = selectSettings(state);
  const key = selectKey(state);
  const known = cache.get(sampleId);
  if (known && known.sample === sample && known.settings === settings && known.key === key) return known;
  const sighting = sightingOf(sample, settings, CASE);
  const fresh = { sample, settings, key, sighting, belief: believe(key, sighting) };
  cache.set(sampleId, fresh);
  return fresh;
}
