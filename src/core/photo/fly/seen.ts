import type { Point } from '../../hooks/drawn';
import type { Ink, Pose } from './pose';

/** Ink above this is something. */
export const ON = 0.34;
export const STEP_MM = 0.04;

/** What is seen about a hook that was found, by places in the hook's own millimetres. */
export interface Seen {
  ink: Ink;
  /** Thin things too, by what stands out of the paper's grain. */
  fine(p: Point): boolean;
  /** How far a place stands out of the paper, over what the paper's grain asks. */
  stands(p: Point): number;
  /** Whether a place lies well within the clear field: what reaches its rim may go on beyond. */
  inside(p: Point): boolean;
  pose: Pose;
  /** Ink at a place of the hook's own millimetres. */
  at(p: Point): number;
  /** Whether the bare wire is there. */
  wire(p: Point): boolean;
  onHook(mm: number): Point;
}
