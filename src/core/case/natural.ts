import type { DoingId, FoundId, Method, RegionId, SexId, WaterId } from '@/catalogue/ids';
import type { GrowingOn, Key, NaturalGroup } from '../belief';
import type { Lab } from '../colour';
import type { StageRow } from '../hooks';

/** One insect of a natural as noted. */
export interface Insect {
  body: { readonly mm?: number | null };
  /** Left out of the mean, with the reason given; null counts. */
  out: string | null;
  sex: SexId | null;
  /** Half-width at 95 % of this reading where it has one of its own, mm. */
  halfMm: number | null;
}

/** A natural as a tier notes it, in whatever order: nothing of it need be known. */
export interface Natural {
  /** `2033-05-24T04:50`; anything else tells no month. */
  when: string;
  water: WaterId | null;
  found: FoundId | null;
  doing: DoingId | null;
  surface: 'dry' | 'wet';
  method: Method;
  sex: SexId | null;
  specimens: readonly Insect[];
  /** Soft larvae that lay in spirit. */
  preserved: boolean;
  overall: { readonly mm?: number | null };
  case: { readonly mm?: number | null };
  colours: Readonly<Partial<Record<RegionId, string>>>;
  /** Colours in words, `tone-hue`, until one is given. */
  shades: Readonly<Record<string, string>>;
  signs: Readonly<Record<string, string>>;
  /** What is measured or on the clock and not to be weighed: length, belly, month, case-length. */
  leftOut: readonly string[];
  seen: readonly string[];
  rise: string | null;
  /** A length without a tool, used until one is measured. */
  rough: { readonly mm: number; readonly halfMm: number; readonly how: string } | null;
}

/** A natural of which nothing is noted. */
export const NOTHING_NOTED: Natural = {
  when: '',
  water: null,
  found: null,
  doing: null,
  surface: 'dry',
  method: 'typed',
  sex: null,
  specimens: [],
  preserved: false,
  overall: { mm: null },
  case: { mm: null },
  colours: {},
  shades: {},
  signs: {},
  leftOut: [],
  seen: [],
  rise: null,
  rough: null,
};

/** One insect of so many millimetres. */
export const insectOf = (mm: number): Insect => ({ body: { mm }, out: null, sex: null, halfMm: null });

/** What a case is worked out against: data only. */
export interface CaseData {
  key: Key;
  groups: readonly NaturalGroup[];
  growing: GrowingOn;
  stages: readonly StageRow[];
  /** The middle of a colour in words; null for words that are none. */
  labOfShade(shade: string): Lab | null;
}
