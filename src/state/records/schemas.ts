import type { LengthError } from '@/core/photo';
import { array, boolean, mixed, number, object, string, type InferType, type Schema } from 'yup';
import { KNOWN } from '@/catalogue';
import type { BarbId, BarbRuleId, BendId, CautionId, Evidence, EyeId, FaunaId, IntentId, Method, MoveId, OrderId, PointId, RegionId, RideId, RiseFormId, SeenId, SexId, Source, StageId, UnitId, WaterId } from '@/catalogue/ids';
import type { Move } from '@/core/box';
import { CRITERIA, dressingSchema, type Criterion } from '@/core/dressings';
import type { ConvertBy } from '@/core/answer';
import type { LabelDirection, Taping, XLabelSchool } from '@/core/hooks';

const demo = () => boolean().default(false);
const stage = () => string<StageId>().oneOf(KNOWN.stages);
const maybe = <T extends string>(values: readonly T[]) => string<T>().nullable().defined().default(null).oneOf([...values, null]);
const mm = () => number().min(0.5).max(120).nullable().defined().default(null);
const text = () => string().nullable().defined().default(null);
const hexes = () => mixed<Partial<Record<RegionId, string>>>().default({}).test('colours', 'colours', (value) => value !== null && typeof value === 'object' && Object.entries(value).every(([region, hex]) => KNOWN.regions.includes(region as RegionId) && /^#[0-9a-f]{6}$/.test(String(hex))));
const words = () => mixed<Record<string, string>>().default({}).test('words', 'words', (value) => value !== null && typeof value === 'object' && Object.values(value).every((item) => typeof item === 'string'));

/** One length: the last good value, and what was typed while that cannot be read. */
export const measureSchema = object({ mm: mm(), typed: text() });

const specimenSchema = object({
  id: string().required(),
  body: measureSchema.default({ mm: null, typed: null }),
  sex: maybe<SexId>(KNOWN.sexes),
  /** Left out of the mean, with the reason given; null counts. */
  out: text(),
  /** Half-width at 95 % of this reading, mm, where it has one of its own: a photograph's. */
  halfMm: number().positive().nullable().defined().default(null),
});

/** One insect of a sample, measured or still to be. */
export function specimen(id: string, mm: number | null = null): InferType<typeof specimenSchema> {
  return specimenSchema.cast({ id, body: { mm, typed: null } });
}

export const sampleSchema = object({
  demo: demo(),
  when: string().required(),
  place: string().defined().default(''),
  water: string<WaterId>().oneOf(KNOWN.waters).nullable().default(null),
  found: maybe(KNOWN.found),
  doing: maybe(KNOWN.doing),
  surface: string<'dry' | 'wet'>().oneOf(['dry', 'wet']).default('dry'),
  method: string<Method>().oneOf(KNOWN.methods).default('typed'),
  sex: maybe<SexId>(KNOWN.sexes),
  specimens: array(specimenSchema).default([]),
  /** Soft larvae that lay in spirit are counted a little longer than they read. */
  preserved: boolean().default(false),
  /** Waits on Now for the bench in the evening. */
  kept: boolean().default(false),
  overall: measureSchema.default({ mm: null, typed: null }),
  case: measureSchema.default({ mm: null, typed: null }),
  colours: hexes(),
  /** Colours that were typed and cannot be read, kept as typed. */
  unread: words(),
  photos: array(string().required()).default([]),
  /** Answers to the key, by sign; where it was and what it did are `found` and `doing`. */
  signs: words(),
  /** Signs that cannot be told on this insect: not asked again. */
  skipped: array(string().required()).default([]),
  /** What is measured or on the clock and the key is not to weigh: length, belly, month, case-length. */
  leftOut: array(string().required()).default([]),
  seen: array(string<SeenId>().oneOf(KNOWN.seen).required()).default([]),
  rise: maybe<RiseFormId>(KNOWN.riseForms),
  /** A length without a tool, used until one is measured: how it was had, and its half-width at 95 %. */
  rough: object({ mm: number().min(0.5).max(120).required(), halfMm: number().positive().required(), how: string<'chip' | 'stretch' | 'fingers' | 'grown'>().oneOf(['chip', 'stretch', 'fingers', 'grown']).required() }).nullable().default(null),
  /** Colours in words, `tone-hue`, used until a colour is given. */
  shades: words(),
});

export const answerSchema = object({
  id: string().required(),
  stage: stage().nullable().defined().default(null),
  offset: object({ sizes: number().min(-3).max(3).default(0), intent: string<IntentId>().oneOf(KNOWN.intents).default('exact') }),
  hookId: text(),
  dressingId: text(),
  schools: words(),
  /** Switches (or parts) turned off by hand. */
  without: array(string().required()).default([]),
  /** Switches turned on that are off as a rule. */
  added: array(string().required()).default([]),
  settled: text(),
});

/** An answer of a match with nothing chosen but its stage. */
export function newAnswer(id: string, stage: StageId | null): InferType<typeof answerSchema> {
  return answerSchema.cast({ id, stage });
}

export const matchSchema = object({
  demo: demo(),
  title: string().defined().default(''),
  opened: string().required(),
  sampleId: string().required(),
  answers: array(answerSchema).min(1).max(4).required(),
  leading: string().required(),
  /** The match this one follows: the same insects at an earlier or later stage. */
  parentId: text(),
});

const moves = () => mixed<Record<string, Move>>().default({}).test('moves', 'moves', (value) => value !== null && typeof value === 'object' && Object.values(value as Record<string, Move>).every((move) => typeof move.at === 'string' && typeof move.boxId === 'string' && Number.isInteger(move.count) && KNOWN.moves.includes(move.why as MoveId)));

/** A fly of a box: a dressing's revision on a hook, or one not tied here and what is noted of it. How many are left is the sum of its moves. */
export const flySchema = object({
  demo: demo(),
  name: string().defined().default(''),
  dressingId: text(),
  dressingRev: number().integer().min(1).nullable().defined().default(null),
  hookId: text(),
  choices: words(),
  stage: stage().nullable().defined().default(null),
  lengthMm: mm(),
  /** Colour of its body in words, `tone-hue`. */
  shade: text(),
  ride: maybe<RideId>(KNOWN.rides),
  moves: moves(),
});

export const BOX_SIDE = [1, 12] as const;

const side = () => number().integer().min(BOX_SIDE[0]).max(BOX_SIDE[1]).required();

/** A fly box: rows and columns of compartments; one that stays at home answers nothing on the water. */
export const boxSchema = object({ demo: demo(), name: string().required(), rows: side(), columns: side(), carried: boolean().default(true) });

/** One insect of a measured photograph as it was found, and as it was corrected by hand: both are kept. Card mm, midlines from the head. */
export interface OverlayInsect {
  n: number;
  /** The individual of the sample that has its length; null for a case, or where it was let go. */
  specimenId: string | null;
  what: 'body' | 'case';
  bodyMm: number;
  sdMm: number;
  /** What the ± is made of, one standard deviation each, mm; readings of before and those by taps have none. */
  error?: LengthError;
  midlineMm: [number, number][];
  /** Regions that wings lie over: a hand that moves no region does not bring their colour. */
  veiled?: RegionId[];
  widthsMm: number[];
  /** With wings and the like beyond the body; null where it was not seen. */
  overallMm: number | null;
  /** Body millimetres of a card millimetre. */
  factor: number;
  hand: { nodes: [number, number][]; cuts: [number, number, number, number]; bodyMm: number; sdMm: number } | null;
}

/** What was measured on a kept crop, so that it can be drawn over it again. */
export interface Overlay {
  leftMm: number;
  topMm: number;
  widthMm: number;
  heightMm: number;
  /** By the field card, or by taps on something known. */
  by: 'card' | 'hand';
  view: 'back' | 'belly' | 'side';
  insects: OverlayInsect[];
}

/** A photograph: kept whole while it waits to be measured, then a small crop with what was measured. Its picture is stored apart, under `blob/` and this id. */
export const photoSchema = object({
  demo: demo(),
  sampleId: string().required(),
  type: string().required(),
  bytes: number().min(0).required(),
  taken: string().required(),
  overlay: mixed<Overlay>().nullable().defined().default(null).test('overlay', 'overlay', (value) => value == null || (typeof value === 'object' && Array.isArray((value as Overlay).insects))),
});

/** A length judged by eye before its photograph was measured. */
export const guessSchema = object({ demo: demo(), guessMm: number().min(0.5).max(120).required(), trueMm: number().min(0.5).max(120).required(), taken: string().required() });

const month = () => number().integer().min(1).max(12).required();

/** A group of naturals of the tier's own: as the shipped ones are (docs/formats/groups.md). */
export const groupSchema = object({
  demo: demo(),
  order: string<OrderId>().oneOf(KNOWN.orders).required(),
  name: string().required(),
  scientific: string().defined().default(''),
  regions: array(string<FaunaId>().oneOf(KNOWN.faunas).required()).default([]),
  waters: array(string<WaterId>().oneOf(KNOWN.waters).required()).default([]),
  months: array(month()).default([]),
  /** Lengths count once all three are given, in order. */
  stages: array(object({ stage: stage().required(), leastMm: mm(), usualMm: mm(), mostMm: mm(), shades: array(string().required()).default([]) })).min(1).required(),
  note: text(),
  evidence: string<Evidence>().oneOf(KNOWN.evidence).default('seen'),
});

export const makerSchema = object({ demo: demo(), name: string().required(), xLabel: string<XLabelSchool>().oneOf(['number', 'catalogue-step']).default('number'), habit: string().defined().default(''), retired: boolean().default(false) });

const dimension = () => number().positive().nullable().defined().default(null);

const sizeSchema = object({ shankMm: dimension(), gapeMm: dimension(), biteMm: dimension(), wireMm: dimension(), eyeMm: dimension(), massMg: dimension(), source: string<Source>().oneOf(KNOWN.sources).default('typed'), retired: boolean().default(false) });

/** One size of a model: what is known of it, mm and mg; empty dimensions follow from the model's law or its label. */
export type SizeRecord = InferType<typeof sizeSchema>;

/** A size of which nothing but its label is known. */
export function sizeRecord(more: Partial<SizeRecord> = {}): SizeRecord {
  return { ...sizeSchema.cast({}), ...more };
}

const tapingSchema = object({ at: string().required(), size: string().required(), how: string<Taping['how']>().oneOf(['calliper', 'glass']).default('calliper'), shankMm: dimension(), gapeMm: dimension(), overallMm: dimension(), wireMm: dimension() });

/** One hook that was measured: its size on the packet and what was read, mm. Never changed once written, so that tabs and files join. */
export type TapingRecord = InferType<typeof tapingSchema>;

/** Every value of a map by its own schema; the map's keys are free. */
const mapOf = <T>(schema: Schema<T>) => mixed<Record<string, T>>().default({}).test('map', 'map', (value) => value !== null && typeof value === 'object' && Object.values(value).every((item) => schema.isValidSync(item)));

export const modelSchema = object({
  demo: demo(),
  makerId: string().required(),
  slug: string().required(),
  name: string().required(),
  bend: string<BendId>().oneOf(KNOWN.bends).required(),
  eye: string<EyeId>().oneOf(KNOWN.eyes).required(),
  point: string<PointId>().oneOf(KNOWN.points).required(),
  barb: string<BarbId>().oneOf(KNOWN.barbs).required(),
  wire: maybe(KNOWN.wires),
  xLong: number().default(0),
  xHeavy: number().default(0),
  labels: string<LabelDirection>().oneOf(['bigger-smaller', 'bigger-bigger']).default('bigger-smaller'),
  retired: boolean().default(false),
  /** By label, so that two tabs that add sizes lose none. */
  sizes: mapOf<SizeRecord>(sizeSchema as unknown as Schema<SizeRecord>),
  /** Hooks measured, by id: kept as they were read, and never the estimates from them. */
  tapings: mapOf<TapingRecord>(tapingSchema as unknown as Schema<TapingRecord>),
});

const packetMoves = () => mixed<Record<string, PacketMove>>().default({}).test('moves', 'moves', (value) => value !== null && typeof value === 'object' && Object.values(value as Record<string, PacketMove>).every((move) => typeof move.at === 'string' && Number.isInteger(move.count) && KNOWN.moves.includes(move.why as MoveId)));

/** One entry of a packet's ledger: how many hooks came (+) or went (−), and why. */
export interface PacketMove {
  at: string;
  count: number;
  why: MoveId;
}

/** A packet owned: which hook it holds, what stands on it, and what came and went. */
export const packetSchema = object({
  demo: demo(),
  hookId: string().required(),
  /** What is printed on it where that is not maker, model and size. */
  label: string().defined().default(''),
  note: string().defined().default(''),
  /** From so few on it counts as low; null never. */
  low: number().integer().min(0).nullable().defined().default(null),
  moves: packetMoves(),
});

/** A material of the tier's own: `like` is the shipped one that it behaves like. */
export const materialSchema = object({ demo: demo(), base: text(), name: string().required(), functions: array(string().oneOf(KNOWN.functions).required()).default([]), like: text(), hex: string().matches(/^#[0-9a-f]{6}$/).required() });

export const dressingRecordSchema = dressingSchema(KNOWN).concat(object({ demo: demo(), base: text() }));

export const settingsSchema = object({
  unit: string<UnitId>().oneOf(KNOWN.units).default('mm'),
  barbRule: string<BarbRuleId>().oneOf(KNOWN.barbRules).default('any'),
  letterKeys: boolean().default(true),
  schools: words(),
  /** South of the equator the year is turned. */
  south: boolean().default(false),
  fauna: maybe<FaunaId>(KNOWN.faunas),
  /** Width of the tier's own finger, set once. */
  fingerMm: number().min(5).max(40).nullable().defined().default(null),
  /** Only hooks in the drawer are offered. */
  onlyOwned: boolean().default(false),
  /** What counts most when a hook is looked for in another maker. */
  convertBy: string<ConvertBy>().oneOf(['length', 'gape', 'ride']).default('length'),
  /** Smallest reading worth tying, as a size number; null for any. */
  smallest: number().integer().min(0).max(32).nullable().defined().default(null),
  /** How practised the tier is, 1 to 3, and the most minutes one fly may take; null for any. */
  skill: number<1 | 2 | 3>().oneOf([1, 2, 3, null as never]).nullable().defined().default(null),
  minutes: number().min(1).max(120).nullable().defined().default(null),
  /** Tools on the bench; null until they were ticked once. */
  tools: array(string().required()).nullable().defined().default(null),
  /** Schools kept for one dressing, by its id: over the tier's own. */
  dressingSchools: mixed<Record<string, Record<string, string>>>().default({}).test('schools', 'schools', (value) => value !== null && typeof value === 'object' && Object.values(value).every((item) => item !== null && typeof item === 'object')),
  /** What each criterion of the choice counts: 1 as a rule, 0 leaves it out, 2 counts it twice. */
  pickWeights: mixed<Partial<Record<Criterion, number>>>().default({}).test('weights', 'weights', (value) => value !== null && typeof value === 'object' && Object.entries(value).every(([name, weight]) => (CRITERIA as readonly string[]).includes(name) && Number(weight) >= 0 && Number(weight) <= 3)),
});

export const deviceSchema = object({
  theme: string<'morning' | 'dusk' | 'red-lamp'>().oneOf(['morning', 'dusk', 'red-lamp']).default('morning'),
  hand: string<'right' | 'left'>().oneOf(['right', 'left']).default('right'),
  /** The side that actions lie on at the water. */
  thumb: string<'right' | 'left'>().oneOf(['right', 'left']).default('right'),
  /** Which side of an insect was photographed last, and what the printed card's 50 mm line really is, over 50. */
  view: string<'back' | 'belly' | 'side'>().oneOf(['back', 'belly', 'side']).default('belly'),
  printedScale: number().min(0.8).max(1.25).default(1),
  /** The day each caution was last shown: once a day is enough on the water. */
  cautioned: mixed<Partial<Record<CautionId, string>>>().default({}),
  lastRoute: text(),
  /** CSS pixels of a millimetre, for the screen it was measured on. */
  screen: object({ key: string().required(), pxPerMm: number().min(1).max(40).required() }).nullable().default(null),
});

/** The kinds of record, their schema version and schema. A kind's version grows when its shape changes; see migrate.ts. */
export const KINDS = {
  sample: { version: 4, schema: sampleSchema },
  match: { version: 3, schema: matchSchema },
  fly: { version: 2, schema: flySchema },
  box: { version: 1, schema: boxSchema },
  photo: { version: 2, schema: photoSchema },
  guess: { version: 1, schema: guessSchema },
  group: { version: 1, schema: groupSchema },
  maker: { version: 2, schema: makerSchema },
  model: { version: 2, schema: modelSchema },
  packet: { version: 1, schema: packetSchema },
  material: { version: 1, schema: materialSchema },
  dressing: { version: 2, schema: dressingRecordSchema },
  settings: { version: 4, schema: settingsSchema },
  device: { version: 3, schema: deviceSchema },
} satisfies Record<string, { version: number; schema: Schema }>;

export type Kind = keyof typeof KINDS;

export type Measure = InferType<typeof measureSchema>;
export type SampleRecord = InferType<typeof sampleSchema>;
export type AnswerRecord = InferType<typeof answerSchema>;
export type MatchRecord = InferType<typeof matchSchema>;
export type FlyRecord = InferType<typeof flySchema>;
export type BoxRecord = InferType<typeof boxSchema>;
export type PhotoRecord = InferType<typeof photoSchema>;
export type GuessRecord = InferType<typeof guessSchema>;
export type GroupRecord = InferType<typeof groupSchema>;
export type MakerRecord = InferType<typeof makerSchema>;
export type ModelRecord = InferType<typeof modelSchema>;
export type PacketRecord = InferType<typeof packetSchema>;
export type SettingsRecord = InferType<typeof settingsSchema>;
export type DeviceRecord = InferType<typeof deviceSchema>;

export interface RecordTypes {
  sample: SampleRecord;
  match: MatchRecord;
  fly: FlyRecord;
  box: BoxRecord;
  photo: PhotoRecord;
  guess: GuessRecord;
  group: GroupRecord;
  maker: MakerRecord;
  model: ModelRecord;
  packet: PacketRecord;
  material: InferType<typeof materialSchema>;
  dressing: InferType<typeof dressingRecordSchema>;
  settings: SettingsRecord;
  device: DeviceRecord;
}

/** Every record, by kind and id. */
export type Entities = { [K in Kind]: Record<string, RecordTypes[K]> };

export function noEntities(): Entities {
  return { sample: {}, match: {}, fly: {}, box: {}, photo: {}, guess: {}, group: {}, maker: {}, model: {}, packet: {}, material: {}, dressing: {}, settings: {}, device: {} };
}

/** The one settings record and the one device record. */
export const SETTINGS_ID = 'main';
export const DEVICE_ID = 'this';
