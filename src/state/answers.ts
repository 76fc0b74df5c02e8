import { catalogueOf, GROWING_ON, labOfShade } from '@/catalogue';
import { unshrunk, type NaturalGroup } from '@/core/belief';
import { groupsThatFit, tailsOfNatural } from '@/core/naturals';
import type { Eye } from '@/core/naturals';
import { hexOfLab } from '@/core/colour';
import type { LevelId, RegionId, StageId } from '@/catalogue/ids';
import { answer, NO_CHOICES, type Answer, type Catalogue, type Sample, type Schools } from '@/core/answer';
import { columnsOf } from '@/core/hooks';
import { NO_PICKING, type Picking } from '@/core/dressings';
import { selectDressings } from './dressings';
import { selectEye } from './eye';
import { selectHooks, selectOwned } from './hooks';
import { selectGroups } from './own-groups';
import { selectMaterials } from './own-materials';
import type { State } from './store';
import { DEVICE_ID, deviceSchema, SETTINGS_ID, settingsSchema, type AnswerRecord, type DeviceRecord, type MatchRecord, type SampleRecord, type SettingsRecord } from '@/records';

/** What a match's answer is now: waiting for an input, or answered; `old` while something typed cannot be read. */
export type Answered = { status: 'waiting'; missing: 'stage' | 'length' } | { status: 'answered'; answer: Answer; old: boolean };

let catalogueCache: { inputs: readonly unknown[]; catalogue: Catalogue } | null = null;

/** Hooks of the tier's makers and the maker-less range, with the tier's own dressings and the shipped library. */
export function selectCatalogue(state: State): Catalogue {
  const hooks = selectHooks(state);
  const dressings = selectDressings(state);
  const materials = selectMaterials(state);
  const inputs = [hooks, dressings, materials];
  if (!catalogueCache || !inputs.every((input, index) => input === catalogueCache!.inputs[index])) catalogueCache = { inputs, catalogue: { ...catalogueOf(hooks), dressings, materials } };
  return catalogueCache.catalogue;
}

const NO_SETTINGS = settingsSchema.cast({});
const NO_DEVICE = deviceSchema.cast({});

export function selectSettings(state: State): SettingsRecord {
  return state.records.entities.settings[SETTINGS_ID] ?? NO_SETTINGS;
}

export function selectDevice(state: State): DeviceRecord {
  return state.records.entities.device[DEVICE_ID] ?? NO_DEVICE;
}

/** Whether an insect counts: not set aside, and of the sex asked for where both are told apart. */
export function counts(record: SampleRecord, specimen: SampleRecord['specimens'][number]): boolean {
  const wanted = record.sex === 'male' || record.sex === 'female' ? record.sex : null;
  return specimen.out === null && (wanted === null || specimen.sex === null || specimen.sex === wanted);
}

/** Body lengths that count, mm, as they were before any spirit shrank them. */
export function bodiesOf(record: SampleRecord, stage: Sample['stage'] | null): number[] {
  return record.specimens.filter((specimen) => counts(record, specimen)).flatMap(({ body }) => (body.mm === null || body.mm === undefined ? [] : [record.preserved && stage ? unshrunk(GROWING_ON, stage, body.mm) : body.mm]));
}

/** Half-width of the readings where every one has its own, as photographs have; null where the method's holds. */
function ownHalfWidth(record: SampleRecord): number | null {
  const halves = record.specimens.filter((specimen) => specimen.body.mm !== null && counts(record, specimen)).map((specimen) => specimen.halfMm ?? null);
  if (halves.length === 0 || halves.some((half) => half === null)) return null;
  return Math.sqrt(halves.reduce<number>((sum, half) => sum + half! ** 2, 0) / halves.length);
}

/** Half-width of lengths by eye: the tier's own eye where it is known. */
function eyeHalfWidth(record: SampleRecord, measured: readonly number[], eye: Eye | null): number | null {
  if (record.method !== 'eye' || eye === null || measured.length === 0) return null;
  return (eye.halfShare * measured.reduce((sum, mm) => sum + mm, 0)) / measured.length;
}

/** The sample as core takes it, for one stage; `eye` is how the tier's own eye reads. */
export function sampleFor(record: SampleRecord, stage: Sample['stage'], eye: Eye | null): Sample {
  const measured = bodiesOf(record, stage);
  const rough = measured.length === 0 ? record.rough : null;
  return {
    stage,
    lengthsMm: rough ? [rough.mm] : measured,
    halfWidthMm: rough ? rough.halfMm : (ownHalfWidth(record) ?? eyeHalfWidth(record, measured, eye)),
    overallMm: record.overall.mm,
    caseMm: record.case.mm,
    widthMm: null,
    method: rough ? 'eye' : record.method,
    sex: record.sex,
    colours: { ...coloursInWords(record.shades), ...Object.fromEntries(Object.entries(record.colours).map(([region, hex]) => [region as RegionId, { hex: hex as `#${string}`, source: 'typed' as const }])) },
    surface: record.surface,
    water: record.water,
  };
}

/** A word's centre stands in for a colour until one is given; estimated. */
function coloursInWords(shades: SampleRecord['shades']): Sample['colours'] {
  return Object.fromEntries(Object.entries(shades).flatMap(([region, shade]) => {
    const lab = labOfShade(shade);
    return lab ? [[region as RegionId, { hex: hexOfLab(lab), source: 'estimated' as const }]] : [];
  }));
}

/** Whether anything of a sample stands as it was typed because it cannot be read. */
export function hasUnread(record: SampleRecord): boolean {
  return record.overall.typed !== null || record.case.typed !== null || record.specimens.some((specimen) => specimen.body.typed !== null) || Object.keys(record.unread).length > 0;
}

/** Where in the water an insect was taken, by where it was and what it did; empty where neither says. */
const LEVELS: Partial<Record<string, LevelId>> = {
  bed: 'bed', 'under-stone': 'bed', weed: 'bed', drift: 'drift', film: 'film', surface: 'surface', air: 'air',
  crawling: 'bed', swimming: 'rising', hanging: 'film', hatching: 'film', stuck: 'film', fluttering: 'surface', skating: 'surface', dipping: 'surface', 'walking-down': 'going-down', spent: 'film',
};

const MONTHS = 12;
/** What is known of the tier and the moment, for choosing a dressing. */
export function pickingFor(sample: SampleRecord, settings: SettingsRecord, stage: StageId | null = null, groups: readonly NaturalGroup[] = []): Picking {
  const levels = [sample.found, sample.doing].flatMap((word) => LEVELS[word ?? ''] ?? []);
  const month = Number(sample.when.slice(5, 7));
  return {
    ...NO_PICKING,
    levels: [...new Set(levels)],
    groups: stage ? groupsThatFit(groups, stage, bodiesOf(sample, stage), settings.fauna ?? null) : [],
    month: Number.isInteger(month) && month >= 1 && month <= MONTHS ? (settings.south ? ((month + 5) % MONTHS) + 1 : month) : null,
    skill: settings.skill ?? null,
    minutes: settings.minutes ?? null,
    tools: settings.tools ? new Set(settings.tools) : null,
    weights: settings.pickWeights,
  };
}

const answerCache = new Map<string, { inputs: readonly unknown[]; result: Answered }>();

/** The answer of one answer record of a match, remembered until one of its inputs changes. */
export function selectAnswered(state: State, matchId: string, answerId: string): Answered | null {
  const match: MatchRecord | undefined = state.records.entities.match[matchId];
  const sample = match && state.records.entities.sample[match.sampleId];
  const record: AnswerRecord | undefined = match?.answers.find((item) => item.id === answerId);
  if (!match || !sample || !record) return null;
  const catalogue = selectCatalogue(state);
  const settings = selectSettings(state);
  const groups = selectGroups(state);
  const owned = selectOwned(state);
  const { hand } = selectDevice(state);
  const eye = sample.method === 'eye' ? selectEye(state) : null;
  const inputs = [sample, record, catalogue, settings, hand, eye, owned, groups];
  const key = `${matchId}/${answerId}`;
  const cached = answerCache.get(key);
  if (cached && cached.inputs.every((input, index) => input === inputs[index])) return cached.result;
  const result = work(sample, record, catalogue, { settings, owned, hand, eye, groups });
  answerCache.set(key, { inputs, result });
  return result;
}

function work(sample: SampleRecord, record: AnswerRecord, catalogue: Catalogue, { settings, owned, hand, eye, groups }: Pick<DeviceRecord, 'hand'> & { settings: SettingsRecord; eye: Eye | null; owned: Record<string, number>; groups: readonly NaturalGroup[] }): Answered {
  if (!record.stage) return { status: 'waiting', missing: 'stage' };
  const asked = sampleFor(sample, record.stage, eye);
  if (asked.lengthsMm.length === 0 && asked.overallMm === null && asked.caseMm === null) return { status: 'waiting', missing: 'length' };
  const known = columnsOf(catalogue.hooks).at;
  const picking = pickingFor(sample, settings, record.stage, groups);
  const result = answer(asked, {
    ...NO_CHOICES,
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
    picking,
    tails: tailsOfNatural({ stage: record.stage, counted: [Number(sample.signs.tails ?? NaN)].filter(Number.isInteger), fits: picking.groups, groups }),
  }, catalogue);
  return { status: 'answered', answer: result, old: hasUnread(sample) };
}
