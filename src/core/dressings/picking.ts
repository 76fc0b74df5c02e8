import type { IntentId, LevelId, RegionId, StageId, WaterId } from '@/catalogue/ids';
import type { Lab } from '../colour';
import type { Dressing } from './dressing';

/** What a dressing is scored by. */
export const CRITERIA = [
  'stage',
  'group',
  'ride',
  'length',
  'water',
  'level',
  'weight',
  'colour',
  'season',
  'skill',
  'minutes',
  'tools',
  'stash',
  'results',
  'intent',
] as const;
export type Criterion = (typeof CRITERIA)[number];

/** How a dressing of the tier's did on the water. */
export interface Results {
  /** Fish that took it. */
  took: number;
  /** Fish that came and turned away, and hours without one. */
  refused: number;
}

/** What is known of the tier and the moment, apart from the natural; null and empty are unknown and do not count. */
export interface Picking {
  levels: readonly LevelId[];
  /** Groups of naturals that it can be, by what is known of it. */
  groups: readonly string[];
  /** Month as north of the equator, 1–12. */
  month: number | null;
  skill: 1 | 2 | 3 | null;
  /** Most minutes for one fly. */
  minutes: number | null;
  tools: ReadonlySet<string> | null;
  stash: ReadonlySet<string> | null;
  /** Ids of the hooks in packets; null until any was counted. */
  hooks: ReadonlySet<string> | null;
  results: ReadonlyMap<string, Results>;
  /** Weight of each criterion: 1 as a rule, 0 leaves it out, 2 counts it twice. */
  weights: Readonly<Partial<Record<Criterion, number>>>;
}

export const NO_PICKING: Picking = {
  levels: [],
  groups: [],
  month: null,
  skill: null,
  minutes: null,
  tools: null,
  stash: null,
  hooks: null,
  results: new Map(),
  weights: {},
};

/** What dressings are ranked for. */
export interface Asked {
  stage: StageId;
  /** Body, mm; null leaves length out. */
  lengthMm: number | null;
  water: WaterId | null;
  colours: Readonly<Partial<Record<RegionId, Lab>>>;
  /** How those colours were seen. */
  surface: 'dry' | 'wet';
  intent: IntentId;
  picking: Picking;
  /** Whether a hook of the tier's carries a dressing; null where no packets are counted. */
  carried: ((dressing: Dressing) => boolean) | null;
}

/** Only a stage, and what else is given. */
export function askedFor(
  stage: StageId,
  more: Partial<Omit<Asked, 'stage' | 'picking'>> & { picking?: Partial<Picking> } = {},
): Asked {
  return {
    stage,
    lengthMm: more.lengthMm ?? null,
    water: more.water ?? null,
    colours: more.colours ?? {},
    surface: more.surface ?? 'dry',
    intent: more.intent ?? 'exact',
    picking: { ...NO_PICKING, ...more.picking },
    carried: more.carried ?? null,
  };
}
