import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import type {
  AmountUnit,
  BankChangeId,
  BeadKindId,
  BeadLock,
  BendId,
  CautionId,
  Evidence,
  FrameId,
  FunctionId,
  LengthMethod,
  LevelId,
  MetalId,
  PartId,
  RegionId,
  RideId,
  SchoolOption,
  SideId,
  StageId,
  StyleId,
  ThreadRole,
  VerbId,
  VisePosition,
  WaterId,
  WeightKind,
  WireId,
} from '@/catalogue/ids';

/** The ids a dressing may use, by kind: the schema takes them as values because core holds no data. */
export interface KnownIds {
  stages: readonly StageId[];
  styles: readonly StyleId[];
  rides: readonly RideId[];
  waters: readonly WaterId[];
  parts: readonly PartId[];
  functions: readonly FunctionId[];
  regions: readonly RegionId[];
  verbs: readonly VerbId[];
  cautions: readonly CautionId[];
  landmarks: readonly string[];
  bases: readonly string[];
  levels: readonly LevelId[];
  bends: readonly BendId[];
  wires: readonly WireId[];
  amountUnits: readonly AmountUnit[];
  beadLocks: readonly BeadLock[];
  bankChanges: readonly BankChangeId[];
}

/** A base of a proportion: an id of ids, Bases, `part:ID`, `landmark:FROM..TO`, or `reach:LANDMARK:BASE`, by which its tip stands so much of the base past the landmark. */
export type BaseSpec = string;
/** Where something lies: a landmark, `tie-down`, `front` (behind the bead, or the eye), `part:ID` (that part's front end) or `part:ID/rear`, each with a share of a base after it. */
export type Station = string;

const BARE_BASES = /^(part:[a-z0-9-]+|landmark:[a-z-]+\.\.[a-z-]+|reach:[a-z-]+:[a-z-]+)$/;
/** What may follow a station: so much of a base toward the bend (+) or the eye (−). */
export const PLUS = /([+-]\d*\.?\d+)([a-z-]+)$/;

/** What no fly comes near: past it a file is nonsense, and a drawing of it would never end. */
const MOST = {
  factor: 100,
  amount: 1000,
  count: 500,
  parts: 60,
  steps: 400,
  letters: 2000,
  /** Two days. */
  waitS: 172_800,
  beadMm: 15,
} as const;

/**
 * Schema of a dressing (docs/formats/dressings.md): stage, style, rules for every part, and the order of work.
 * `to: "forward"` means the part lies along the shank and takes room from `from` toward the eye; `"collar"` that it stands in the head's reserve as wide as its turns; `"head"` that it fills what is left of that.
 */
export function dressingSchema(ids: KnownIds) {
  const base = () =>
    string().test(
      'base',
      'base',
      (value) => value === undefined || ids.bases.includes(value) || BARE_BASES.test(value),
    );
  const station = () =>
    string()
      .nullable()
      .defined()
      .test(
        'station',
        'station',
        (value) =>
          value === null ||
          ['tie-down', 'forward', 'collar', 'head', 'front'].includes(value as string) ||
          ids.landmarks.includes((value as string).replace(PLUS, '')) ||
          /^part:[a-z0-9-]+(\/rear)?$/.test((value as string).replace(PLUS, '')),
      );
  const maybe = <T extends string>(values: readonly T[]) =>
    string<T>()
      .nullable()
      .defined()
      .default(null)
      .oneOf([...values, null]);
  const share = object({ base: base().required(), factor: number().min(-MOST.factor).max(MOST.factor).required() });
  const amount = () => number().min(-MOST.amount).max(MOST.amount).nullable().defined().default(null);
  const text = () => string().max(MOST.letters).nullable().defined().default(null);
  const part = object({
    id: string()
      .required()
      .matches(/^[a-z0-9-]+$/),
    part: string<PartId>().oneOf(ids.parts).required(),
    base: base().required(),
    factor: amount(),
    low: amount(),
    high: amount(),
    at_least: share.nullable().defined().default(null),
    from: station().default(null),
    to: station().default(null),
    thick: share.nullable().defined().default(null),
    /** Width it is cut to: strips, film, foam, straw. */
    wide: share.nullable().defined().default(null),
    count: number().integer().min(0).max(MOST.count).nullable().defined().default(null),
    spare: number().integer().min(0).max(MOST.count).nullable().defined().default(null),
    /** What `count` counts: fibres, strands, millimetres of stem or noodle, compressed millimetres, clips, pinches. */
    unit: string<AmountUnit>().oneOf(ids.amountUnits).default('count'),
    material: text(),
    function: maybe<FunctionId>(ids.functions),
    region: maybe<RegionId>(ids.regions),
    method: maybe<LengthMethod>(METHODS),
    optional: boolean().default(false),
    scaled: boolean().default(false),
    school: text(),
    counter: boolean().default(false),
    trim: maybe<SchoolOption['hackle-trim']>(['full', 'flat-below', 'v-below', 'both']),
    /** How it is made: a way of work (src/catalogue/ways.json); null where its steps were written by hand. */
    way: text(),
    /** What its way asks beside: how tails are parted, a coat, a tint, further materials. */
    by: text(),
    coat: text(),
    tint: text(),
    also: array(string().required()).default([]),
    /** Its count is the natural's own. */
    follows: maybe<'natural'>(['natural']),
  });
  const step = object({
    do: string<VerbId>().oneOf(ids.verbs).required(),
    part: text(),
    material: text(),
    at: station().default(null),
    turns: number().min(0).max(MOST.count).nullable().defined().default(null),
    side: maybe<SideId>(['near', 'far', 'top', 'under']),
    frame: maybe<FrameId>(['hand', 'thread', 'hook']),
    vise: maybe<VisePosition>(['normal', 'inverted', 'tilted', 'turned']),
    orientation: text(),
    tool: text(),
    check: text(),
    mend: array(string().required()).default([]),
    caution: maybe<CautionId>(ids.cautions),
    reversible: boolean().default(true),
    wait_s: number().min(0).max(MOST.waitS).nullable().defined().default(null),
    method: maybe<LengthMethod>(METHODS),
    /** A thing made beforehand that this step uses, by its id. */
    assembly: text(),
    /** Its phase of the part's way; null for a step that was put in by hand. */
    phase: text(),
    /** What is done, where the verb alone does not say it: a code of speech. */
    as: text(),
    /** What the act leaves on the hook, for the bench; null where the words of the step are all there is. */
    points: maybe<'rear' | 'front' | 'up' | 'out'>(['rear', 'front', 'up', 'out']),
    waits_for: maybe<'wind' | 'fold' | 'show'>(['wind', 'fold', 'show']),
    cuts: maybe<'waste' | 'show' | 'thread'>(['waste', 'show', 'thread']),
    leaves_waste: boolean().nullable().defined().default(null),
    /** Waste that stays in as taper. */
    stays: boolean().default(false),
    /** Another part's end that holds this one. */
    held_by: text(),
    /** It holds the bead. */
    locks: boolean().default(false),
    /** The tier's or the author's own word beside what the way says. */
    note: text(),
  });
  const weight = object({
    kind: string<WeightKind>().oneOf(['bead', 'wound', 'sides', 'hook-wire']).required(),
    metal: maybe<MetalId>(['tungsten', 'brass', 'glass', 'lead', 'tin']),
    bead_kind: maybe<BeadKindId>(['drilled', 'countersunk', 'slotted']),
    diameter_mm: number().positive().max(MOST.beadMm).nullable().defined().default(null),
    turns: number().min(0).max(MOST.count).nullable().defined().default(null),
    cover: share.nullable().defined().default(null),
    lock: maybe<BeadLock>(ids.beadLocks),
  });
  return object({
    id: string()
      .required()
      .matches(/^[a-z0-9-]+$/),
    rev: number().integer().min(1).required(),
    name: string().max(MOST.letters).required(),
    stages: array(string<StageId>().oneOf(ids.stages).required()).min(1).required(),
    style: string<StyleId>().oneOf(ids.styles).required(),
    ride: string<RideId>().oneOf(ids.rides).required(),
    /** Where in the water it is taken, apart from the stage. */
    levels: array(string<LevelId>().oneOf(ids.levels).required()).default([]),
    waters: array(string<WaterId>().oneOf(ids.waters).required()).min(1).required(),
    /** Packet steps by which a water wants it larger (+) or smaller. */
    size_by_water: mixed<Partial<Record<WaterId, number>>>()
      .default({})
      .test(
        'waters',
        'waters',
        (value) =>
          value !== null &&
          typeof value === 'object' &&
          Object.entries(value).every(
            ([water, steps]) =>
              ids.waters.includes(water as WaterId) && Number.isInteger(steps) && Math.abs(Number(steps)) <= 3,
          ),
      ),
    /** Hooks it is tied on, best first; X of length from–to, null for any. */
    hooks: array(
      object({
        bend: string<BendId>().oneOf(ids.bends).required(),
        x_long: mixed<[number, number]>()
          .nullable()
          .defined()
          .default(null)
          .test('range', 'range', (value) => value == null || isRange(value)),
        wire: array(string<WireId>().oneOf(ids.wires).required()).default([]),
      }),
    ).default([]),
    /** Months its natural is about, north of the equator; empty for any. */
    months: array(number().integer().min(1).max(12).required()).default([]),
    /** Groups of naturals it is made for above others, by id; empty for any of its stages. */
    groups: array(string().required()).default([]),
    length_mm: mixed<[number, number]>()
      .required()
      .test('range', 'range', (value) => isRange(value) && Number(value![0]) < Number(value![1])),
    minutes: amount(),
    skill: number<1 | 2 | 3>().oneOf([1, 2, 3]).required(),
    evidence: string<Evidence>().oneOf(EVIDENCE).required(),
    taper: string<SchoolOption['taper']>()
      .oneOf(['tail-butts', 'wing-butts', 'butts-left', 'side-strips', 'none'])
      .required(),
    work_order: maybe<SchoolOption['work-order']>([
      'wing-first',
      'tail-first',
      'tuft-first',
      'hackle-first',
      'rear-first',
    ]),
    protection: string<SchoolOption['protection']>()
      .oneOf(['none', 'glue-under', 'resin-over', 'counter-rib'])
      .default('none'),
    finish: string<SchoolOption['finish']>().oneOf(['tidy', 'rough']).default('tidy'),
    /** Eyes of shank kept free for the head until it is wound. */
    head_room: number().min(0).max(3).nullable().defined().default(null),
    threads: array(
      object({
        role: string<ThreadRole>().oneOf(['foundation', 'show-through', 'head', 'sewing']).required(),
        material: string().required(),
        finish_turns: number().integer().min(0).max(MOST.count).required(),
        optional: boolean().default(false),
      }),
    ).default([]),
    weights: array(weight).default([]),
    layers: array(
      object({ part: string().required(), from_under: array(string().required()).min(1).required() }),
    ).default([]),
    /** One bunch or strand that serves several parts. */
    bundles: array(
      object({
        id: string().required(),
        material: string().required(),
        parts: array(string().required()).min(2).required(),
        unit: string<AmountUnit>().oneOf(ids.amountUnits).default('count'),
        amount: amount(),
      }),
    ).default([]),
    /** Parts that may be left out, or put in; `stages` are those it is on for, all where empty. */
    switches: array(
      object({
        id: string().required(),
        name: string().required(),
        parts: array(string().required()).min(1).required(),
        on: boolean().required(),
        attracts: boolean().default(false),
        why: string().required(),
        stages: array(string<StageId>().oneOf(ids.stages).required()).default([]),
      }),
    ).default([]),
    /** Parts made beforehand, `count` a fly, with steps of their own. */
    assemblies: array(
      object({
        id: string().required(),
        name: string().required(),
        part: string().required(),
        count: number().integer().min(1).max(MOST.count).required(),
        spare: number().integer().min(0).max(MOST.count).default(0),
        steps: array(step).min(1).max(MOST.steps).required(),
      }),
    ).default([]),
    parts: array(part).min(1).max(MOST.parts).required(),
    steps: array(step).min(1).max(MOST.steps).required(),
    tools: array(string().required()).default([]),
    cautions: array(string<CautionId>().oneOf(ids.cautions).required()).default([]),
    /** What can be changed at the water before another fly is put on. */
    bank: array(
      object({
        id: string<BankChangeId>().oneOf(ids.bankChanges).required(),
        text: string().required(),
        ride: maybe<RideId>(ids.rides),
      }),
    ).default([]),
    /** What is said for it, each with what that rests on. */
    claims: array(
      object({ text: string().required(), evidence: string<Evidence>().oneOf(EVIDENCE).required() }),
    ).default([]),
    /** The dressing it was made from, and what changed. */
    parent: text(),
    changes: array(
      object({ kind: string<ChangeKind>().oneOf(CHANGE_KINDS).required(), part: text(), text: string().required() }),
    ).default([]),
  });
}

/** What a dressing may differ in from the one it was made from. */
export type ChangeKind = (typeof CHANGE_KINDS)[number];
const CHANGE_KINDS = ['scaled', 'recoloured', 'added', 'dropped', 'material', 'rule', 'order'] as const;

const METHODS: readonly LengthMethod[] = ['bind-then-cut', 'measure-then-bind'];
const EVIDENCE: readonly Evidence[] = ['tested', 'seen', 'theory', 'heard'];

function isRange(value: unknown): boolean {
  return (
    Array.isArray(value) && value.length === 2 && value.every((item) => Number.isFinite(item)) && value[0] <= value[1]
  );
}

export type Dressing = InferType<ReturnType<typeof dressingSchema>>;
export type DressingPart = Dressing['parts'][number];
export type DressingStep = Dressing['steps'][number];
export type DressingWeight = Dressing['weights'][number];
export type DressingAssembly = Dressing['assemblies'][number];
export type DressingSwitch = Dressing['switches'][number];
