import type {
  BendId,
  FaceId,
  IntentId,
  RegionId,
  RideId,
  SexId,
  Source,
  StageId,
  StageMatch,
  StyleId,
  WaterId,
  WireId,
  Readiness,
} from '@/catalogue/ids';
import type { Reason } from '../code';
import type { LengthStats } from '../naturals';
import type { Card, NamedColour } from '../card/card-shape';
import type { Criterion, Dressing, Picking, Tool } from '../dressings';
import type { HookAnswer, Schools, TyingChoices } from '../hook-score';
import type { Hook, HookColumns, StageRow, Style } from '../hooks';
import type { Material } from '../materials';
import type { Way } from '../ways';
import type { HooksAsked } from './rank-hooks';

/** Everything the answer is drawn from: data only. */
export interface Catalogue {
  styles: readonly Style[];
  stages: readonly StageRow[];
  hooks: readonly Hook[];
  dressings: readonly Dressing[];
  materials: readonly Material[];
  ways: readonly Way[];
  tools: readonly Tool[];
}

/** One natural, as measured. At least one length. */
export interface Sample {
  stage: StageId;
  /** Bodies, mm. */
  lengthsMm: readonly number[];
  overallMm: number | null;
  caseMm: number | null;
  widthMm: number | null;
  method: LengthStats['method'];
  /** Half-width at 95 % where the lengths have one of their own, mm; else the method's. */
  halfWidthMm?: number | null;
  sex: SexId | null;
  colours: Readonly<Partial<Record<RegionId, { hex: `#${string}`; source: Source; lab?: [number, number, number] }>>>;
  surface: 'dry' | 'wet';
  /** Null where nobody said: then it is no criterion. */
  water: WaterId | null;
}

/** What the tier chose; anything left out follows from the sample. */
export interface Choices extends TyingChoices {
  offset: { sizes: number; intent: IntentId };
  owned: Readonly<Record<string, number>>;
  onlyOwned: boolean;
  /** Smallest reading worth tying, as a size number; null for any. */
  smallest: number | null;
  makers: readonly string[];
  hookPin: string | null;
  dressingPin: string | null;
  /** Schools the tier keeps for one dressing, by its id, and for this card alone: each over what comes before. */
  dressingSchools: Readonly<Record<string, Schools>>;
  cardSchools: Schools;
  /** What is known of the tier and the moment. */
  picking: Picking;
  /** Tails the natural may have; empty where nothing says so. */
  tails: readonly number[];
}

export interface Dressed {
  id: string;
  name: string;
  score: number;
  why: Reason[];
  /** What each reason is about, in the same order; further reasons follow. */
  criteria: Criterion[];
  stage_match: StageMatch;
  ready: Readiness;
  pinned: boolean;
  style: StyleId;
}

export interface Holds {
  low_mm: number;
  high_mm: number;
  below: string | null;
  above: string | null;
}

/** What the rails of the ladder are drawn from, each when it comes into view. */
export interface LadderOf {
  columns: HookColumns;
  asked: HooksAsked;
  bestOfModel: Int32Array;
  modelSteps: Float64Array;
}

export interface Answer {
  natural: {
    stage: StageId;
    length: LengthStats;
    lengthSource: Source;
    case_mm: number | null;
    overall_mm: number | null;
    colours: Partial<Record<RegionId, NamedColour>>;
    water: WaterId | null;
    offset: Choices['offset'];
  };
  style: {
    id: StyleId;
    from: 'dressing' | 'stage';
    measure: Style['measure'];
    p: number;
    bends: BendId[];
    wire: WireId[];
    ride: RideId;
    face: FaceId;
  };
  /** The length the style compares, mm: body, case or raft. */
  measured_mm: number;
  target_mm: number;
  hooks: HookAnswer[];
  by_maker: Record<string, HookAnswer>;
  ladder: LadderOf;
  none_fits: { nearest: HookAnswer | null; message: Reason } | null;
  holds: Holds | null;
  dressing: Dressed | null;
  alternatives: Dressed[];
  card: Card | null;
  warnings: Reason[];
}
