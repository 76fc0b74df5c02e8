import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import type {
  BeadKindId, CautionId, Evidence, FrameId, FunctionId, LengthMethod, MetalId, PartId, RegionId, RideId, SchoolOption, SideId, StageId, StyleId, ThreadRole, VerbId, VisePosition, WaterId, WeightKind,
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
}

/** A base of a proportion: an id of ids, Bases, `part:ID`, or `landmark:FROM..TO`. */
export type BaseSpec = string;
/** Where something lies: a landmark, `tie-down`, or `part:ID` (that part's front end). */
export type Station = string;

const BARE_BASES = /^(part:[a-z0-9-]+|landmark:[a-z-]+\.\.[a-z-]+)$/;

/**
 * Schema of a dressing (docs/formats/dressings.md): stage, style, rules for every part, and the order of work.
 * `to: "forward"` means the part lies along the shank and takes room from `from` toward the eye.
 */
export function dressingSchema(ids: KnownIds) {
  const base = () => string().test('base', 'base', (value) => value === undefined || ids.bases.includes(value) || BARE_BASES.test(value));
  const station = () => string().nullable().defined().test('station', 'station', (value) => value === null || value === 'tie-down' || value === 'forward' || ids.landmarks.includes(value as string) || /^part:[a-z0-9-]+$/.test(value as string));
  const maybe = <T extends string>(values: readonly T[]) => string<T>().nullable().defined().default(null).oneOf([...values, null]);
  const share = object({ base: base().required(), factor: number().required() });
  const part = object({
    id: string().required().matches(/^[a-z0-9-]+$/),
    part: string<PartId>().oneOf(ids.parts).required(),
    base: base().required(),
    factor: number().nullable().defined(),
    low: number().nullable().defined(),
    high: number().nullable().defined(),
    at_least: share.nullable().defined().default(null),
    from: station(),
    to: station(),
    thick: share.nullable().defined().default(null),
    count: number().integer().min(0).nullable().defined(),
    spare: number().integer().min(0).nullable().defined(),
    material: string().nullable().defined(),
    function: maybe<FunctionId>(ids.functions),
    region: maybe<RegionId>(ids.regions),
    method: maybe<LengthMethod>(['bind-then-cut', 'measure-then-bind']),
    optional: boolean().required(),
    scaled: boolean().default(false),
    school: string().nullable().default(null),
    counter: boolean().default(false),
    trim: maybe<SchoolOption['hackle-trim']>(['full', 'flat-below', 'v-below', 'both']),
  });
  const step = object({
    do: string<VerbId>().oneOf(ids.verbs).required(),
    part: string().nullable().defined(),
    material: string().nullable().defined(),
    at: station(),
    turns: number().min(0).nullable().defined(),
    side: maybe<SideId>(['near', 'far', 'top', 'under']),
    frame: maybe<FrameId>(['hand', 'thread', 'hook']),
    vise: maybe<VisePosition>(['normal', 'inverted', 'tilted', 'turned']),
    orientation: string().nullable().default(null),
    tool: string().nullable().defined(),
    check: string().nullable().defined(),
    mend: array(string().required()).required().min(0),
    caution: maybe<CautionId>(ids.cautions),
    reversible: boolean().required(),
    wait_s: number().min(0).nullable().defined(),
  });
  const weight = object({
    kind: string<WeightKind>().oneOf(['bead', 'wound', 'sides', 'hook-wire']).required(),
    metal: maybe<MetalId>(['tungsten', 'brass', 'glass', 'lead', 'tin']),
    bead_kind: maybe<BeadKindId>(['drilled', 'countersunk', 'slotted']),
    diameter_mm: number().positive().nullable().default(null),
    turns: number().min(0).nullable().default(null),
    cover: share.nullable().default(null),
  });
  return object({
    id: string().required().matches(/^[a-z0-9-]+$/),
    rev: number().integer().min(1).required(),
    name: string().required(),
    stages: array(string<StageId>().oneOf(ids.stages).required()).min(1).required(),
    style: string<StyleId>().oneOf(ids.styles).required(),
    ride: string<RideId>().oneOf(ids.rides).required(),
    waters: array(string<WaterId>().oneOf(ids.waters).required()).min(1).required(),
    length_mm: mixed<[number, number]>().required().test('range', 'range', (value) => Array.isArray(value) && value.length === 2 && Number(value[0]) < Number(value[1])),
    minutes: number().positive().nullable().defined(),
    skill: number<1 | 2 | 3>().oneOf([1, 2, 3]).required(),
    evidence: string<Evidence>().oneOf(['tested', 'seen', 'theory', 'heard']).required(),
    taper: string<SchoolOption['taper']>().oneOf(['tail-butts', 'wing-butts', 'butts-left', 'side-strips', 'none']).required(),
    threads: array(object({
      role: string<ThreadRole>().oneOf(['foundation', 'show-through', 'head', 'sewing']).required(),
      material: string().required(),
      finish_turns: number().integer().min(0).required(),
      optional: boolean().default(false),
    })).required().min(0),
    weights: array(weight).default([]),
    layers: array(object({ part: string().required(), from_under: array(string().required()).min(1).required() })).default([]),
    parts: array(part).min(1).required(),
    steps: array(step).min(1).required(),
    cautions: array(string<CautionId>().oneOf(ids.cautions).required()).required().min(0),
    parent: string().nullable().defined(),
  });
}

export type Dressing = InferType<ReturnType<typeof dressingSchema>>;
export type DressingPart = Dressing['parts'][number];
export type DressingStep = Dressing['steps'][number];
export type DressingWeight = Dressing['weights'][number];
