import type { FaunaId, OrderId, SignId, StageId, TraitId } from '@/catalogue/ids';
import type { Lab } from '../colour';

/** A sign of the key, or where, doing what and in what light the insect was: all are asked alike. */
export type AskedId = SignId | 'found' | 'doing' | 'light';

/** Answers that each sign may have, in the order they are shown. */
export type Answers = Readonly<Record<AskedId, readonly string[]>>;

/** What is said of a sign: its cause, the share of observers who answer it wrongly, and the sign it presupposes. */
export interface SignData {
  factor: string;
  /** Share of observers who give another answer than what is there. */
  error: number;
  /** It can be answered only where another sign has one of these answers: the skin of wings needs wings. */
  needs?: { sign: AskedId; answers: readonly string[] };
}

/** The likelihoods as data: src/catalogue/likelihoods.json. Weights of a sign are completed by `prepareKey`; null where a sign does not apply to a stage. */
export interface KeyData {
  /** Weight of every further sign that shares a cause with one already heard. */
  temper: number;
  signs: Readonly<Record<string, SignData>>;
  /** Known mistakes of observers: a share of one answer is given as another. */
  mistakes: readonly { sign: string; from: string; to: string; rate: number; stages: readonly string[] }[];
  stages: Readonly<
    Record<string, { prior: number; signs: Readonly<Record<string, Readonly<Record<string, number>> | null>> }>
  >;
}

/** Odds by what is seen on the water and by the form of the rises: src/catalogue/observations.json. `rest` is for stages not named. */
export interface WaterOdds {
  rest: number;
  seen: Readonly<Record<string, Readonly<Record<string, number>>>>;
  rise: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

export interface GroupStage {
  stage: StageId;
  length_mm: readonly [min: number, typical: number, max: number] | null;
  overall_mm?: readonly [number, number, number] | null;
  case_mm?: readonly [number, number, number] | null;
  /** Months of this stage, where they differ from the group's. */
  months?: readonly number[];
  /** Colour words, `tone-hue`. */
  shades: readonly string[];
}

/** A group of naturals: src/catalogue/groups.json. */
export interface NaturalGroup {
  id: string;
  order: OrderId;
  name: string;
  scientific: string;
  /** Faunas where the group lives. */
  regions: readonly FaunaId[];
  waters: readonly string[];
  months: readonly number[];
  hours: readonly (readonly number[])[];
  hatch: string | null;
  adult_tails: readonly number[] | null;
  /** Tails of its young where they are not the three of most. */
  young_tails?: readonly number[] | null;
  hind_wing: boolean;
  colours: Readonly<Record<string, string>>;
  stages: readonly GroupStage[];
  note: string | null;
  evidence: string;
}

/** Colour words with their Lab centres: src/catalogue/colour-words.json. */
export interface ColourWords {
  spread: number;
  hues: Readonly<Record<string, Readonly<Record<string, Lab>>>>;
}

export interface KeySource {
  answers: Answers;
  data: KeyData;
  odds: WaterOdds;
  groups: readonly NaturalGroup[];
  colours: ColourWords;
  stages: readonly { id: StageId; order: OrderId; traits: readonly TraitId[] }[];
}

/** [sign][stage][answer]. */
export type Table = Readonly<Record<AskedId, readonly (readonly number[])[]>>;

/** The key made ready: likelihood tables by stage, sign and answer. */
export interface Key extends KeySource {
  /** Names of stages by index. */
  ids: readonly StageId[];
  prior: readonly number[];
  /** Given that what a sign needs is there: each row sums to 1; even where the sign does not apply. */
  table: Table;
  /** The same while nobody has said whether what it needs is there: that it was seen at all speaks for stages that have it. */
  alone: Table;
  /** Groups that have a stage, by index of the stage. */
  members: readonly (readonly Member[])[];
}

export interface Member {
  group: NaturalGroup;
  entry: GroupStage;
  /** Its stage is met all the year, whenever its group's season is. */
  young: boolean;
  /** Its tails by answer, where a group has its own; they sum to 1. */
  tails: readonly number[];
}
