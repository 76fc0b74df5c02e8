import { labOfShade } from '@/catalogue';
import { believe, INSECT_SD_MM, NOTHING_SEEN, type Belief, type Key, type LengthSeen, type Sighting } from '@/core/belief';
import { spanOfLength } from '@/core/naturals';
import { labOfHex } from '@/core/colour';
import { Z95 } from '@/core/constants';
import { bodiesOf, selectSettings } from './answers';
import { selectKey } from './own-groups';
import type { SampleRecord, SettingsRecord } from '@/records';
import type { State } from './store';

/** A length without a tool: between the bounds that were tapped, or about so much. */
function lengthByEye({ rough }: SampleRecord): LengthSeen | null {
  if (!rough) return null;
  const span = rough.how === 'chip' ? spanOfLength(rough.mm) : null;
  return span ? { fromMm: span.fromMm, toMm: span.toMm } : { mm: rough.mm, sd: rough.halfMm / Z95 };
}

/** What a sample says of its natural, as the key takes it: signs, place, month, mean length and belly. */
export function sightingFor(sample: SampleRecord, settings: SettingsRecord): Sighting {
  const bodies = bodiesOf(sample, null);
  const mean = bodies.length > 0 ? bodies.reduce((sum, mm) => sum + mm, 0) / bodies.length : null;
  const weighed = (what: string) => !sample.leftOut.includes(what);
  const belly = sample.colours['abdomen-belly'] ?? null;
  return {
    ...NOTHING_SEEN,
    signs: { ...sample.signs, ...(sample.found ? { found: sample.found } : {}), ...(sample.doing ? { doing: sample.doing } : {}) },
    seen: sample.seen,
    rise: sample.rise,
    water: sample.water,
    month: weighed('month') ? Number(sample.when.slice(5, 7)) || null : null,
    south: settings.south,
    region: settings.fauna,
    lengthMm: mean !== null ? (weighed('length') ? { mm: mean, sd: INSECT_SD_MM } : null) : lengthByEye(sample),
    caseMm: sample.case.mm !== null && weighed('case-length') ? { mm: sample.case.mm, sd: INSECT_SD_MM } : null,
    belly: belly ? (weighed('belly') ? labOfHex(belly) : null) : sample.shades['abdomen-belly'] ? labOfShade(sample.shades['abdomen-belly']) : null,
  };
}

const cache = new Map<string, { sample: SampleRecord; settings: SettingsRecord; key: Key; sighting: Sighting; belief: Belief }>();

/** What is believed of a sample's natural, remembered until the sample changes. */
export function selectBelief(state: State, sampleId: string): { sighting: Sighting; belief: Belief } | null {
  const sample = state.records.entities.sample[sampleId];
  if (!sample) return null;
  const settings = selectSettings(state);
  const key = selectKey(state);
  const known = cache.get(sampleId);
  if (known && known.sample === sample && known.settings === settings && known.key === key) return known;
  const sighting = sightingFor(sample, settings);
  const fresh = { sample, settings, key, sighting, belief: believe(key, sighting) };
  cache.set(sampleId, fresh);
  return fresh;
}
