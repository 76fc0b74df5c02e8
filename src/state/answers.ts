import { CASE, catalogueOf } from '@/catalogue';
import { answer, type Answer, type Catalogue, type Schools } from '@/core/answer';
import type { NaturalGroup } from '@/core/belief';
import { choicesOf, sampleOf, waitsFor } from '@/core/case';
import { NO_PICKING, type Results } from '@/core/dressings';
import { columnsOf } from '@/core/hooks';
import { withCalled, type Named } from '@/core/materials';
import type { Eye } from '@/core/naturals';
import type { AnswerRecord, DeviceRecord, MatchRecord, SampleRecord, SettingsRecord } from '@/records';
import { selectDressings } from './dressings';
import { selectEye } from './eye';
import { selectHooks, selectHooksHad, selectOwned } from './hooks';
import { selectGroups } from './own-groups';
import { selectNamed, selectStash, selectWorkable } from './stash';
import { selectResults } from './results';
import { selectDevice, selectSettings } from './settings';
import type { State } from './store';

/** What a match's answer is now: waiting for an input, or answered; `old` while something typed cannot be read. */
export type Answered =
  { status: 'waiting'; missing: 'stage' | 'length' } | { status: 'answered'; answer: Answer; old: boolean };

let catalogueCache: { inputs: readonly unknown[]; catalogue: Catalogue } | null = null;

/** Hooks of the tier's makers and the maker-less range, with the tier's own dressings and the shipped library. */
export function selectCatalogue(state: State): Catalogue {
  const hooks = selectHooks(state);
  const dressings = selectDressings(state);
  const materials = selectWorkable(state);
  const inputs = [hooks, dressings, materials];
  if (!catalogueCache || !inputs.every((input, index) => input === catalogueCache!.inputs[index]))
    catalogueCache = { inputs, catalogue: { ...catalogueOf(hooks), dressings, materials } };
  return catalogueCache.catalogue;
}

/** Whether anything of a sample stands as it was typed because it cannot be read. */
function hasUnread(record: SampleRecord): boolean {
  return (
    record.overall.typed !== null ||
    record.case.typed !== null ||
    record.specimens.some((specimen) => specimen.body.typed !== null) ||
    Object.keys(record.unread).length > 0
  );
}

/** What a match's answer waits for; null when it can be answered, and for one that is not there. Works nothing out. */
export function selectWaitsFor(state: State, matchId: string): 'stage' | 'length' | null {
  const match = state.records.entities.match[matchId];
  const sample = match && state.records.entities.sample[match.sampleId];
  return match && sample
    ? waitsFor(sample, match.answers.find((item) => item.id === match.leading)?.stage, CASE.growing)
    : null;
}

const answerCache = new Map<string, { inputs: readonly unknown[]; result: Answered }>();

/** The answer to a sample by one record of what is asked, remembered under `key` until one of its inputs changes. */
export function answeredBy(state: State, key: string, sample: SampleRecord, record: AnswerRecord): Answered {
  const catalogue = selectCatalogue(state);
  const named = selectNamed(state);
  const tier = {
    settings: selectSettings(state),
    groups: selectGroups(state),
    owned: selectOwned(state),
    hand: selectDevice(state).hand,
    eye: sample.method === 'eye' ? selectEye(state) : null,
    results: selectResults(state),
    stash: selectStash(state),
    hooks: selectHooksHad(state),
  };
  const inputs = [sample, record, named, catalogue, ...Object.values(tier)];
  const cached = answerCache.get(key);
  if (cached && cached.inputs.every((input, index) => input === inputs[index])) return cached.result;
  const result = work(sample, record, withSwaps(catalogue, record, named), tier);
  answerCache.set(key, { inputs, result });
  return result;
}

/** The answer of one answer record of a match. */
export function selectAnswered(state: State, matchId: string, answerId: string): Answered | null {
  const match: MatchRecord | undefined = state.records.entities.match[matchId];
  const sample = match && state.records.entities.sample[match.sampleId];
  const record: AnswerRecord | undefined = match?.answers.find((item) => item.id === answerId);
  return match && sample && record ? answeredBy(state, `${matchId}/${answerId}`, sample, record) : null;
}

/** A catalogue with what was chosen by hand for a card, be it had or not. */
function withSwaps(catalogue: Catalogue, { swaps }: AnswerRecord, named: Named): Catalogue {
  const materials = withCalled(catalogue.materials, Object.values(swaps), named);
  return materials === catalogue.materials ? catalogue : { ...catalogue, materials };
}

/** What is known of the tier beside what is asked. */
interface Tier extends Pick<DeviceRecord, 'hand'> {
  settings: SettingsRecord;
  eye: Eye | null;
  owned: Record<string, number>;
  groups: readonly NaturalGroup[];
  results: ReadonlyMap<string, Results>;
  stash: ReadonlySet<string> | null;
  hooks: ReadonlySet<string> | null;
}

function work(
  sample: SampleRecord,
  record: AnswerRecord,
  catalogue: Catalogue,
  { settings, owned, hand, eye, groups, results, stash, hooks }: Tier,
): Answered {
  const missing = waitsFor(sample, record.stage, CASE.growing);
  if (missing !== null || !record.stage) return { status: 'waiting', missing: missing ?? 'stage' };
  const known = columnsOf(catalogue.hooks).at;
  const result = answer(
    sampleOf(sample, record.stage, CASE, eye),
    choicesOf(
      sample,
      record.stage,
      settings,
      {
        offset: record.offset,
        barbRule: settings.barbRule,
        owned,
        onlyOwned: settings.onlyOwned,
        smallest: settings.smallest ?? null,
        hookPin: record.hookId && known.has(record.hookId) ? record.hookId : null,
        dressingPin: record.dressingId ?? null,
        schools: { ...settings.schools, ...record.schools } as Schools,
        dressingSchools: settings.dressingSchools,
        cardSchools: record.schools as Schools,
        hand,
        without: record.without,
        added: record.added,
        swaps: record.swaps,
        picking: { ...NO_PICKING, results, stash, hooks },
      },
      groups,
      CASE.growing,
    ),
    catalogue,
  );
  return { status: 'answered', answer: result, old: hasUnread(sample) };
}
