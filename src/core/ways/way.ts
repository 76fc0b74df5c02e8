import type {
  AmountUnit,
  BeadLock,
  CautionId,
  FrameId,
  FunctionId,
  LengthMethod,
  PartId,
  RegionId,
  SchoolOption,
  SideId,
  VerbId,
  VisePosition,
} from '@/catalogue/ids';
import type { BaseSpec, Dressing, Station } from '../dressings';

/** Where a phase goes in the order when nothing says so, first to last. */
export const SLOTS = [
  'made',
  'bead',
  'wound',
  'thread',
  'dam',
  'sides',
  'lock',
  'first-wing',
  'rear',
  'base',
  'catch',
  'body',
  'close-first',
  'close',
  'after-rib',
  'mount',
  'thorax',
  'cover',
  'tease',
  'hackle',
  'front-wing',
  'head',
  'trim',
  'coat',
  'eye',
] as const;
export type Slot = (typeof SLOTS)[number];

/** One act of a way: what it is, where, what it leaves, and what is looked at after it. */
export interface Phase {
  id: string;
  do: VerbId;
  /** `own` is the slot of the part it makes, `next` that of the phase after it. */
  slot: Slot | 'own' | 'next';
  /** `face` is the rear of the bead, or behind the eye. */
  at: 'rear' | 'front' | 'face' | 'mark' | 'span' | 'butts' | 'bead' | 'eye';
  /** Only where the part asks for it: a field that is set, or `by-ball`. */
  when?: 'trim' | 'coat' | 'lock' | 'tint' | 'by-ball';
  as?: string;
  /** Another material than the part's own: a function, or the thread that is on. */
  of?: FunctionId | 'thread';
  /** Held by the rib's end in place of the thread. */
  by?: 'rib';
  side?: SideId;
  frame?: FrameId;
  vise?: VisePosition;
  turns?: number;
  points?: 'rear' | 'front' | 'up' | 'out';
  waits?: 'wind' | 'fold' | 'show';
  cuts?: 'waste' | 'show' | 'thread';
  leaves?: boolean;
  locks?: boolean;
  again?: boolean;
  undo?: 'never';
  face?: string;
  check?: string;
  mends: string[];
  wait?: number;
  tool?: string;
  caution?: CautionId;
  method?: LengthMethod;
}

/** How a part is made. `lies`: takes room along the hook, over a stretch, at a mark, made beforehand, or on a part. */
export interface Way {
  id: string;
  makes: PartId[];
  /** Functions of material, one list for each it takes. */
  takes: FunctionId[][];
  lies: 'stretch' | 'over' | 'mark' | 'made' | 'on';
  /** What a part over a stretch lies over when nothing says so: the thorax, else the body. */
  over?: 'thorax';
  figure: string;
  phases: Phase[];
}

/** A share of a base with the range that still passes. */
export interface WayRule {
  base: BaseSpec;
  factor: number;
  low: number;
  high: number;
}

export interface WayShare {
  base: BaseSpec;
  factor: number;
}

/** A part of a dressing: what it is, how it is made, of what, from where to where, how long, thick, wide, many. */
export interface WayPart {
  id: string;
  what: PartId;
  way: string;
  of: string[];
  count: number | 'natural' | null;
  spare: number | null;
  from: Station | null;
  to: Station | null;
  long: WayRule | null;
  least: WayShare | null;
  thick: WayShare | null;
  wide: WayShare | null;
  unit: AmountUnit;
  by: 'ball' | 'figure-eight' | 'thread-loop' | null;
  trim: SchoolOption['hackle-trim'] | null;
  lock: BeadLock | null;
  kind: 'drilled' | 'countersunk' | 'slotted' | null;
  metal: 'tungsten' | 'brass' | 'glass' | 'lead' | 'tin' | null;
  counter: boolean;
  coat: string | null;
  tint: string | null;
  region: RegionId | null;
  school: string | null;
  optional: boolean;
}

/** A dressing as it is thought of: its head, its parts, and one order. Steps come out of it. */
export interface WayDressing extends Omit<
  Dressing,
  'parts' | 'steps' | 'assemblies' | 'weights' | 'layers' | 'bundles' | 'tools' | 'cautions' | 'head_room'
> {
  parts: WayPart[];
  /** Tokens: `part`, `part.phase`, `thread`, `t2`, `t1.end`. What is not named goes in by its slot. */
  order: string[];
  /** A word of the dressing's own at `part.phase`, where the way has none. */
  notes: Record<string, string>;
}
