import type {
  AmountUnit,
  BaseId,
  BeadKindId,
  CautionId,
  Evidence,
  FrameId,
  FunctionId,
  LandmarkId,
  LengthMethod,
  MetalId,
  PartId,
  Readiness,
  RegionId,
  SchoolOption,
  SideId,
  StyleId,
  ThreadRole,
  VerbId,
  VisePosition,
  WeightKind,
} from '@/catalogue/ids';
import type { Param, Reason } from '../code';
import type { DressingStep } from '../dressings';
import type { Colour, Shade } from '../colour';
import type { HookAnswer } from '../hook-score';
import type { Look } from '../materials';

/** A strip, strand or thread wound over a stretch of the hook. Millimetres. */
export interface Wound {
  turns: number;
  pitchMm: number;
  /** Length that lies on the fly, without what is held. */
  lengthMm: number;
}

/** What one part takes of its material. */
export interface PartAmount {
  unit: AmountUnit;
  /** What is on the fly, in `unit`; null where it is by eye. */
  need: number | null;
  /** What to take, spares and loss included. */
  take: number | null;
  wound: Wound | null;
  /** Pieces needed where a piece is short, and the largest hook (size number, read by its shank) that one covers. */
  pieces: number | null;
  onePieceTo: number | null;
  loop: { heightMm: number; threadMm: number } | null;
  noodleMm: number | null;
  dubbingMg: number | null;
  pinches: number | null;
  /** Stem to strip for counted fibres of a feather. */
  stemMm: number | null;
}

/** A colour with the words it is called by, as a code. */
export interface NamedColour extends Colour {
  shade: Shade;
}

export interface CardPart {
  /** Unique in the dressing; `part` is the kind. */
  id: string;
  part: PartId;
  base: string;
  factor: number | null;
  mm: number | null;
  range_mm: [number, number] | null;
  from_mm: number | null;
  to_mm: number | null;
  thick_mm: number | null;
  /** Width to cut it to; null for what has none, or none given. */
  wide_mm: number | null;
  count: number | null;
  /** Of a part counted as the natural's own: the counts it may have, empty where nothing says so. */
  tails: number[] | null;
  spare: number | null;
  material: { id: string; name: string; function: FunctionId; look?: Look } | null;
  /** Dry, as its material comes; `stays` is how far off the natural it remains (CIEDE2000), null where it is reached or nothing was measured; `wet` what it becomes. */
  colour: (NamedColour & { region: RegionId | null; stays: number | null; wet: NamedColour | null }) | null;
  method: LengthMethod | null;
  optional: boolean;
  cut_mm: number | null;
  amount: PartAmount;
}

export interface CardStep {
  n: number;
  do: VerbId;
  /** Id of the part in `parts`; `kind` says what it is. */
  part: string | null;
  kind: PartId | null;
  material: { id: string; name: string } | null;
  at: { landmark: LandmarkId | null; mm: number } | null;
  mm: number | null;
  turns: number | null;
  count: number | null;
  side: SideId | null;
  frame: FrameId | null;
  vise: VisePosition | null;
  orientation: string | null;
  tool: string | null;
  check: string | null;
  mend: string[];
  caution: CautionId | null;
  reversible: boolean;
  wait_s: number | null;
  method: LengthMethod | null;
  /** Id of the assembly made beforehand that this step uses. */
  assembly: string | null;
  /** What is done where the verb does not say it, as a code of speech. */
  as: string | null;
  /** Everything a sentence of this step may name: only what is here can be said. */
  figures: Record<string, Param>;
  /** A word of the dressing's own beside what its way says. */
  note: string | null;
  /** What the act leaves, for the bench; null where a step was written by hand. */
  bench: Pick<DressingStep, 'points' | 'waits_for' | 'cuts' | 'leaves_waste' | 'stays' | 'held_by' | 'locks'> | null;
  /** What stands on the hook after it, as the bench tied it; null where it is not done on the hook. */
  after: AfterStep | null;
}

/** Parts on the hook after a step: in their place, or caught in and waiting; of these what is still to be cut or drawn to its length, and what to be trimmed. */
export interface AfterStep {
  placed: string[];
  waiting: string[];
  to_length: string[];
  to_trim: string[];
}

/** The room after a step that fills some of it: what is used, what is free, what the parts still to come need. Millimetres. */
export interface RoomAfter {
  step: number;
  part: string;
  kind: PartId;
  used_mm: number;
  left_mm: number;
  needed_mm: number;
}

/** A material as the dressing names it and the one in its place: as it is, in a shade that is had, in what stands in, as chosen by hand; `short` where nothing does its work. */
export interface CardMaterial {
  asked: string;
  used: string;
  as: 'itself' | 'shade' | 'substitute' | 'hand' | 'short';
}

export interface CardWeight {
  kind: WeightKind;
  metal: MetalId | null;
  diameter_mm: number | null;
  range_mm: [number, number] | null;
  bead_kind: BeadKindId | null;
  bore_mm: number | null;
  bore_needed_mm: number | null;
  wire_mm: number | null;
  turns: number | null;
  length_mm: number | null;
  mass_mg: number;
  warnings: Reason[];
}

export interface CardThread {
  role: ThreadRole;
  material: string;
  name: string;
  denier: number;
  diameter_mm: number;
  colour: NamedColour | null;
  finish_turns: number;
  head_turns: number | null;
  optional: boolean;
  reasons: Reason[];
}

/** Amount of one material for a batch; the words are made by speech. */
export interface BatchLine {
  material: string;
  unit: 'count' | 'mm' | 'mg' | 'by-eye';
  each: number | null;
  /** For the whole batch, with what is spare or lost. */
  all: number | null;
  /** Share of `all` that is spare or lost. */
  waste: number;
  /** Of beads: how large, and of which hole. */
  bead: { mm: number; kind: BeadKindId | null } | null;
}

/** The shape of docs/cli.md `Card`, with codes in place of words. Millimetres, milligrams, seconds. */
export interface Card {
  dressing: { id: string; name: string; rev: number };
  /** How the fly carries the natural. */
  style: StyleId;
  hook: HookAnswer;
  /** In what the hook is not one the dressing is made for; empty for one that is. */
  hook_reasons: Reason[];
  hand: SchoolOption['hand'];
  fits: boolean;
  room_mm: number;
  used_mm: number;
  over: { part: string; mm: number; drop: string[] } | null;
  /** Room used step by step; the head's reserve is not in it. */
  budget: RoomAfter[];
  landmarks: { id: LandmarkId; mm: number }[];
  parts: CardPart[];
  /** Rear face of the bead, or the back of the eye, mm. */
  face_mm: number;
  binder: 'thread' | 'wire';
  threads: CardThread[];
  weights: CardWeight[];
  ribs: { part: string; material: string; turns: number; pitch_mm: number; cut_mm: number; counter: boolean }[];
  hackles: {
    part: string;
    material: string;
    barb_mm: number;
    gauge: string | null;
    turns: number;
    trim: SchoolOption['hackle-trim'];
    stem_mm: number;
  }[];
  layers: {
    part: string;
    from_under: { material: string; surface_mm: number | null }[];
    dry: NamedColour;
    wet: NamedColour;
  }[];
  /** Parts that one bunch makes together, and how much of it is taken; null where its parts say so. */
  bundles: { parts: string[]; amount: number | null }[];
  assemblies: { id: string; name: string; part: string; count: number; spare: number; steps: CardStep[] }[];
  steps: CardStep[];
  cautions: { id: CautionId; step: number | null }[];
  evidence: Evidence;
  batch: { count: number; lines: BatchLine[]; minutes: number | null; prepare: Reason[] } | null;
  /** Water lists and taper travel with the card to the bench. */
  taper: SchoolOption['taper'];
  minutes: number | null;
  /** Ids of the tools it needs. */
  tools: string[];
  /** Schools that were asked for and have no place in this dressing. */
  schools_unused: (keyof SchoolOption)[];
  /** Whether it can be tied from the materials to hand, and what stands in for what. */
  ready: Readiness;
  stash: Reason[];
  /** Every material the dressing names, with the one this card is tied in. */
  materials: CardMaterial[];
}

export type { BaseId };
