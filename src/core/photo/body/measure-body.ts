import { holding, lengthError, MID_HEIGHT, sdOfError, type LengthError } from './length-error';
import type { ImagePoint } from '../card';
import type { Camera } from '../find/camera';
import type { FoundCard } from '../find/find-card';
import type { CardField } from '../field/rectify';
import type { Tones } from '../field/tones';
import { opened } from './distance';
import { doubtOf, likeWing, runsThin } from './doubt';
import { endedAt, toEnds } from './ends';
import { isWinged } from './region-colours';
import { notCarried, partingOf, rootOf } from './root';
import { lengthOf, nearestOn, reachIn, sharpestTurn, spaced, tangentAt, type Line } from './midline';
import type { Cut } from './separate';

/** One insect as a photograph shows it. Lengths mm. */
export interface BodyMeasure {
  /** From the front of the head, in card millimetres as the camera sees them. */
  midlineMm: ImagePoint[];
  /** Along the midline, at the height of the body's middle. */
  bodyMm: number;
  sdMm: number;
  /** What the ± is made of. */
  error: LengthError;
  overallMm: number;
  /** Greatest width, and the width at even stations from head to tail. */
  widthMm: number;
  widthsMm: number[];
  /** Total turning of the midline, radians. */
  turn: number;
  /** What a card millimetre is at the body's height: below 1 because the body is nearer to the camera. */
  heightFactor: number;
  /** How plainly the first end is the head: 0 not at all. */
  headLean: number;
  /** What was measured may be a wing. */
  mayBeWing: boolean;
}

const STATIONS = 21;
/** What one leg says of where the head is. */
const LEG = 0.12;
/** A body that widens is a little wider than the disc in it. */
const DISC_ROOM = 1.05;
/** A midline that turns more sharply than bodies do may have gone astray. */
const SHARP_TURN = 1.1;

/** Across the body at a station, px: from rim to rim, but no more than what a disc fits into, so that a leg's root does not count. */
function widthAt(cut: Cut, depth: Float32Array, line: Line, index: number): number {
  const [tx, ty] = tangentAt(line, index);
  const most = 3 * cut.radius;
  const [x, y] = line[index]!;
  const near = Math.ceil(0.3 * cut.radius);
  let deepest = 0;
  for (let py = Math.max(0, Math.floor(y) - near); py <= Math.min(cut.height - 1, Math.floor(y) + near); py++) {
    for (let px = Math.max(0, Math.floor(x) - near); px <= Math.min(cut.width - 1, Math.floor(x) + near); px++)
      deepest = Math.max(deepest, depth[py * cut.width + px]!);
  }
  const across =
    reachIn(cut.trunk, cut.width, cut.height, line[index]!, [-ty, tx], most) +
    reachIn(cut.trunk, cut.width, cut.height, line[index]!, [ty, -tx], most);
  return Math.min(across, 2 * (deepest + 0.5) * DISC_ROOM);
}

/** Where what hangs beside a body's end is looked at, share of its length. */
const NEAR_END = 0.9;

/** Across all that is seen near the end of a line, against the body there. */
export function besideEnd(cut: Pick<Cut, 'all' | 'trunk' | 'width' | 'height' | 'radius'>, line: Line): number {
  const points = spaced(line, lengthOf(line) / (STATIONS - 1));
  const at = Math.round(NEAR_END * (points.length - 1));
  const [tx, ty] = tangentAt(points, at);
  const across = (mask: Uint8Array) =>
    [-1, 1].reduce(
      (sum, side) => sum + reachIn(mask, cut.width, cut.height, points[at]!, [-side * ty, side * tx], 4 * cut.radius),
      0,
    );
  return across(cut.all) / Math.max(1, across(cut.trunk));
}

/** How much a line turns in all, and how much of that is to and fro, radians. */
export function turnOf(line: Line): { turn: number; wander: number } {
  let [sum, net] = [0, 0];
  for (let index = 2; index < line.length - 2; index++) {
    const a = tangentAt(line, index - 1, 2);
    const b = tangentAt(line, index, 2);
    const step = Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]);
    sum += Math.abs(step);
    net += step;
  }
  return { turn: sum, wander: sum - Math.abs(net) };
}

/** How far wings and the like reach beyond the body's two ends along it, px: thin parts do not count. */
function overhang(cut: Cut, line: Line): number {
  const thick = opened(cut.all, cut.width, cut.height, Math.max(1.3, 0.12 * cut.radius), cut.depthAll);
  const n = line.length - 1;
  const ends = [
    { at: line[0]!, out: tangentAt(line, 0).map((value) => -value) as unknown as ImagePoint },
    { at: line[n]!, out: tangentAt(line, n) },
  ];
  let most = 0;
  for (const { at, out } of ends) {
    let far = 0;
    for (let y = 0; y < cut.height; y++)
      for (let x = 0; x < cut.width; x++) {
        if (thick[y * cut.width + x] === 0) continue;
        const along = (x + 0.5 - at[0]) * out[0] + (y + 0.5 - at[1]) * out[1];
        const across = Math.abs((x + 0.5 - at[0]) * out[1] - (y + 0.5 - at[1]) * out[0]);
        if (along > far && across < 0.6 * along + 2 * cut.radius) far = along;
      }
    most += far;
  }
  return most;
}

/**
 * Which end is the head: above 0 the first. Legs, wings and feelers hang on the front half, and the front is the heavier; the nearer
 * to 0 the less is known.
 */
function headLean(cut: Cut, line: Line, profile: readonly number[]): number {
  const near = Math.max(2, 0.5 * cut.radius);
  const points = spaced(line, lengthOf(line) / 40);
  let front = 0;
  let back = 0;
  let legs = 0;
  for (let at = 0; at < cut.all.length; at++) {
    if (cut.away[at]! > near || cut.trunk[at] !== 0 || cut.all[at] === 0) continue;
    const x = (at % cut.width) + 0.5;
    const y = ((at / cut.width) | 0) + 0.5;
    const u = nearestOn(points, x, y) / (points.length - 1);
    // What hangs on the very ends may be tails as well as feelers.
    if (u > 0.06 && u < 0.46) front++;
    else if (u > 0.54 && u < 0.94) back++;
  }
  // Legs leave the front half, and aside.
  for (const { root, out } of cut.strands) {
    const best = nearestOn(points, root[0], root[1]);
    const u = best / (points.length - 1);
    const [tx, ty] = tangentAt(points, best, 3);
    if (u < 0.08 || u > 0.92 || Math.abs(out[0] * tx + out[1] * ty) > 0.85) continue;
    legs += u < 0.5 ? 1 : -1;
  }
  const hung = front + back > 0 ? (front - back) / (front + back) : 0;
  const enough = Math.min(1, (front + back) / (2 * cut.radius * cut.radius + 20));
  const total = profile.reduce((sum, width) => sum + width, 0) || 1;
  const heavy =
    -profile.reduce((sum, width, index) => sum + width * (index - (STATIONS - 1) / 2), 0) / (total * (STATIONS - 1));
  return hung * enough * 0.5 + heavy * 4 + LEG * Math.max(-3, Math.min(3, legs));
}

/** Where an insect lies: its window of the field, and the card under the camera. */
export interface Place {
  field: CardField;
  tones: Tones;
  card: FoundCard;
  camera: Camera;
}

/** What is told of it: true length over printed length, the share by which a soft body gives, whether it may have wings, and tails. */
export interface Told {
  printedScale: number;
  stretch: number;
  winged: boolean;
  tailed: boolean;
}

/** Measures one separated insect; null when no midline can be drawn. */
export function measureBody(cut: Cut, { field, tones, card, camera }: Place, told: Told): BodyMeasure | null {
  if (!cut.line) return null;
  const edge = (card.edgePx / card.pxPerMm) * field.scale;
  const view = { trunk: cut.trunk, width: cut.width, height: cut.height, radius: cut.radius, off: tones.off };
  const stations = (along: Line) => spaced(along, lengthOf(along) / (STATIONS - 1));
  const widths = (along: Line) =>
    stations(along).map((_, index, all) =>
      index === 0 || index === STATIONS - 1 ? 0 : widthAt(cut, cut.depth, all, index),
    );
  const whole = toEnds(cut.line, view);
  const found = widths(whole);
  const lean = headLean(cut, whole, found);
  const [own, inked] = lean < 0 ? [[...cut.line].reverse(), [...whole].reverse()] : [cut.line, whole];
  const parting = !told.tailed
    ? null
    : (partingOf(own, cut.strands, cut.radius) ??
      (runsThin(lean < 0 ? [...found].reverse() : found) ? cut.radius : null));
  const wings = told.winged && isWinged(cut);
  const fall =
    parting !== null || wings
      ? rootOf(own, { width: cut.width, height: cut.height, tones, ink: cut.ink, edgePx: edge }, cut.radius, parting)
      : null;
  const root =
    fall && notCarried(fall, lengthOf(inked) - lengthOf([inked[0]!, ...own]), cut.radius, besideEnd(cut, inked));
  const line = root ? endedAt([inked[0]!, ...own], lengthOf([inked[0]!, ...own]) + root.out) : inked;
  const profile = widths(line);
  // What hangs in one piece with more than a body, or has tails, may have a wing taken for its body.
  const winged = told.winged && (cut.guess !== null || parting !== null || cut.strands.length > 0);
  const doubt = winged
    ? doubtOf({ profile, wings, rootFound: root !== null || parting !== null, half: cut.radius, edgePx: edge })
    : { wing: 0, root: 0 };
  const past = cut.guess?.past ?? 0;
  const leftOut = past > 0 ? Math.max(0, past + lengthOf(inked) - lengthOf(line)) : 0;
  const perPx = told.printedScale / field.scale;
  const widthMm = Math.max(...profile) * perPx;
  const height = camera.above[2] * told.printedScale;
  const raised = MID_HEIGHT * widthMm;
  const heightFactor = 1 - raised / height;
  const bodyMm = lengthOf(line) * perPx * heightFactor;
  const { turn, wander } = turnOf(line);
  const error = lengthError({
    bodyMm,
    mmPerPx: perPx,
    edgePx: edge,
    radiusPx: cut.radius,
    turn,
    wander,
    sharp: sharpestTurn(cut.line, cut.radius) > SHARP_TURN,
    residualMm: card.residualMm,
    raisedMm: raised,
    cameraMm: height,
    cameraSd: camera.sdShare,
    stretch: told.stretch,
    rootPx: Math.max(root?.sd ?? 0, doubt.root * lengthOf(line)),
    wingPx: Math.max(doubt.wing * lengthOf(line), holding(leftOut)),
  });
  return {
    midlineMm: spaced(line, lengthOf(line) / (2 * (STATIONS - 1))).map(([x, y]): ImagePoint => [
      field.left + x / field.scale,
      field.top + y / field.scale,
    ]),
    bodyMm,
    sdMm: sdOfError(error),
    error,
    overallMm: bodyMm + overhang(cut, line) * perPx * heightFactor,
    widthMm: widthMm * heightFactor,
    widthsMm: profile.map((width) => width * perPx * heightFactor),
    turn,
    heightFactor,
    headLean: Math.abs(lean),
    mayBeWing: winged && likeWing(profile),
  };
}
