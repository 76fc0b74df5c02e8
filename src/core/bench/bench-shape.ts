import type { FunctionId, PartId, SideId, VerbId, VisePosition } from '@/catalogue/ids';
import type { Param } from '../code';

/** What holds a fly that has no thread. */
export const WIRE = 'wire';

/** Which way the free end of something bound points. */
export type Points = 'rear' | 'front' | 'up' | 'out';

/** A stretch of the hook, from behind the eye along the wire, mm: `rear` is the larger. */
export interface Stretch {
  rear: number;
  front: number;
}

/** The hook in the vise, mm from behind the eye. */
export interface BenchHook {
  shankMm: number;
  gapeMm: number;
  wireMm: number;
  eyeMm: number;
  /** Where the dressing is tied down, W·S. */
  tieDownMm: number;
  /** Where a bead will lie; null without one. */
  bead: { frontMm: number; rearMm: number } | null;
}

/** How far a wound or dubbed part hides what lies under it. */
export type Cover = 'closed' | 'open' | 'top' | 'none';

/** One act on the hook, with every length it needs. What a step of a dressing becomes before it is tied. */
export interface BenchStep {
  n: number;
  do: VerbId;
  part: string | null;
  kind: PartId | null;
  does: FunctionId | null;
  material: string | null;
  /** Whether the material is a thread of the dressing. */
  byThread: boolean;
  at: number | null;
  /** What the step covers; null where it is done at a place. */
  span: Stretch | null;
  cover: Cover;
  /** Of a bound or caught piece: where its free end points, how long it is, and what it waits for. */
  points: Points;
  endMm: number;
  waits: 'wind' | 'fold' | 'show';
  /** Whether the act leaves waste on the hook, and whether it is cut in the same breath. */
  leavesWaste: boolean;
  /** Waste that is left in on purpose, as taper. */
  stays: boolean;
  cuts: 'waste' | 'show' | 'thread' | null;
  /** Another part's end that holds this one in place of the thread. */
  heldBy: string | null;
  turns: number | null;
  /** Turns the part is counted to have; null where none are counted. */
  wanted: number | null;
  layMm: number | null;
  side: SideId | null;
  vise: VisePosition | null;
  /** A check belongs to it; it cannot be undone. */
  checked: boolean;
  never: boolean;
  waitS: number;
  seconds: number;
  /** It holds the bead. */
  lock: boolean;
  /** What is done where the verb alone does not say it. */
  as: string | null;
}

export interface End {
  part: string;
  x: number;
  side: SideId | null;
  points: Points;
  for: 'wind' | 'fold' | 'show';
  mm: number;
  /** It was wound or folded and waits to be tied off. */
  used: boolean;
}

export interface Waste {
  part: string;
  x: number;
  stays: boolean;
}

export interface Skin extends Stretch {
  part: string;
  kind: PartId | null;
  cover: Cover;
  /** It is thread itself: more thread on it is not seen. */
  ofThread: boolean;
}

/** A part that was bound into another one before that came onto the hook. */
export interface Made {
  part: string;
  of: string;
}

/** How far a part has come: caught in and waiting, or in its place; whether it is cut or drawn to its length, and trimmed. A part that is not named is not there. */
export interface PartStanding {
  there: 'waiting' | 'placed';
  toLength: boolean;
  trimmed: boolean;
}

/** What stands on the hook after a step. */
export interface BenchState {
  step: number;
  /** By part. */
  parts: Readonly<Record<string, PartStanding>>;
  threads: { id: string; x: number }[];
  ends: End[];
  waste: Waste[];
  skins: Skin[];
  /** What is not dry yet: until the clock says so many seconds. */
  wet: (Stretch & { part: string; untilS: number })[];
  bead: { frontMm: number; rearMm: number; locked: boolean } | null;
  vise: VisePosition;
  clockS: number;
  /** Hook still bare of body between the bead (or the eye) and the tie-down, mm. */
  bareMm: number;
}

/** Rules of the bench: T thread, P place, E ends, O order, F figures, L laws. Some only warn. */
export const RULES = [
  'T1',
  'T2',
  'T4',
  'T5',
  'T6',
  'T7',
  'T8',
  'P1',
  'P2',
  'P3',
  'P5',
  'P6',
  'P7',
  'P8',
  'E1',
  'E2',
  'E3',
  'E4',
  'E5',
  'E6',
  'E7',
  'E8',
  'E9',
  'E10',
  'E11',
  'O1',
  'O2',
  'O3',
  'O4',
  'O5',
  'O6',
  'O7',
  'O8',
  'F1',
  'F2',
  'F4',
  'F5',
  'F6',
  'F7',
  'L1',
  'L2',
  'L3',
  'L4',
  'L5',
  'L6',
  'L7',
  'L8',
] as const;
export type RuleId = (typeof RULES)[number];

/** Rules that only warn: a tier may tie on. */
export const WARNS: ReadonlySet<RuleId> = new Set<RuleId>(['T8', 'L6']);

export interface Refusal {
  rule: RuleId;
  /** The step as it is numbered; null for a law of the whole fly. */
  step: number | null;
  part: string | null;
  params: Record<string, Param>;
}

export interface Tied {
  states: BenchState[];
  refusals: Refusal[];
}
