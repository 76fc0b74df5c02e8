import type { BendId, SchoolOption } from '@/catalogue/ids';
import { EYE_READING, EYE_SHARE, JIG_BEAD_SHARE, NUMBERS_PER_PACKET, Q, RAFT_MM } from '../constants';
import type { Style } from './style';

export type PathColumn = 'straight' | 'curved-shank' | 'continuous-curve';
const COLUMNS: readonly PathColumn[] = ['straight', 'curved-shank', 'continuous-curve'];

function columnOf(bend: BendId): PathColumn {
  return bend === 'curved-shank' || bend === 'continuous-curve' ? bend : 'straight';
}

/** W of a style on a bend: null where the style is not meant for it. */
export function pathFactor(style: Style, bend: BendId): number | null {
  return style.path[columnOf(bend)];
}

/** W for a pinned hook: the style's own column, else the nearest to its left. */
export function pinnedPathFactor(style: Style, bend: BendId): { factor: number; borrowed: boolean } {
  const own = columnOf(bend);
  for (let index = COLUMNS.indexOf(own); index >= 0; index--) {
    const factor = style.path[COLUMNS[index]!];
    if (factor !== null) return { factor, borrowed: COLUMNS[index] !== own };
  }
  return { factor: 1, borrowed: true };
}

/** Share of the eye that reads as the fly's head. */
export function eyeShare(style: Style, bend: BendId, reading: SchoolOption['eye-reading']): number {
  const share = bend === 'jig' ? EYE_SHARE.jig : columnOf(bend) === 'straight' ? EYE_SHARE.straight : EYE_SHARE.curved;
  return style.eye * share * EYE_READING[reading];
}

export interface CarryInput {
  shankMm: number;
  eyeMm: number;
  bend: BendId;
  pathFactor: number;
  /** Bead diameter, 0 without one. */
  beadMm: number;
  /** How far behind the eye the bead's front would stand but for a jig's half; 0 to the eye. */
  seatMm: number;
  reading: SchoolOption['eye-reading'];
}

/** Where a bead lies, from behind the eye: a jig's stands half on the neck, before the shank. Room, carry, stations and the bench all read it here. Source: formulas §3. */
export function beadPlace({ bend, beadMm, seatMm }: Pick<CarryInput, 'bend' | 'beadMm' | 'seatMm'>): {
  frontMm: number;
  rearMm: number;
} {
  if (beadMm === 0) return { frontMm: 0, rearMm: 0 };
  const ahead = bend === 'jig' ? JIG_BEAD_SHARE : 0;
  return { frontMm: seatMm - ahead * beadMm, rearMm: seatMm + (1 - ahead) * beadMm };
}

/** Visible length of the fly on a hook, mm: what the eye compares with the natural. Source: formulas §3. */
export function carry(style: Style, hook: CarryInput): number {
  return (
    hook.pathFactor * hook.shankMm +
    eyeShare(style, hook.bend, hook.reading) * hook.eyeMm +
    Math.max(0, -beadPlace(hook).frontMm)
  );
}

/** Room along the shank that the parts must share, mm: the path less what bead, seat and head's reserve take; decides only whether the dressing fits. */
export function room(
  style: Style,
  hook: Pick<CarryInput, 'shankMm' | 'eyeMm' | 'bend' | 'pathFactor' | 'beadMm' | 'seatMm'>,
): number {
  return hook.pathFactor * hook.shankMm - beadPlace(hook).rearMm - style.reserve * hook.eyeMm;
}

/** A raft of adults: k insects cover √k bodies. */
export function raftLength(bodyMm: number): number {
  return Math.sqrt(Math.max(1, RAFT_MM / bodyMm)) * bodyMm;
}

/** What the iron should carry, mm. `offset` in packet steps, + is a larger fly. */
export function target(style: Style, lengthMm: number, offset: number): number {
  return style.share * lengthMm * offsetFactor(offset);
}

export function offsetFactor(offset: number): number {
  return (1 / Q ** NUMBERS_PER_PACKET) ** offset;
}
