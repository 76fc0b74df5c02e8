import type { RegionId } from '@/catalogue/ids';
import { labOfBytes, type Lab } from '../../colour';
import type { LengthError } from '../body/length-error';
import { lengthOf } from '../body/midline';
import { colourOfPixels, type RegionColour } from '../body/region-colours';
import type { ImagePoint } from '../card';
import type { Crop } from '../field/balanced';
import { alongLine, curveThrough, nodesOf, shareNear } from './curve';

/** What was found on one insect and can be moved: nodes of its midline from the head, mm of the card, and where its regions end, shares of the way. */
export interface Trace {
  nodes: ImagePoint[];
  cuts: Cuts;
}

/** Thorax from and to, abdomen from and to. */
export type Cuts = readonly [number, number, number, number];

/** What stays as it is when a trace is moved. */
export interface Traced {
  midlineMm: readonly ImagePoint[];
  bodyMm: number;
  sdMm: number;
  widthsMm: readonly number[];
  /** Body millimetres of a card millimetre: the height of the body and the printed scale. */
  factor: number;
  /** What the found ± is made of, mm; unknown for readings by taps. */
  error?: LengthError;
}

export const USUAL_CUTS: Cuts = [0.1, 0.34, 0.42, 0.94];
const NODES = 5;
/** SD of an end set by hand, mm, on a picture that shows `pxPerMm`. */
const HAND_END_MM = 0.04;
const HAND_END_PX = 1.2;
const HAND_WAY = 0.004;
/** A node no farther than this from the found line lies on it. */
const AS_FOUND_MM = 0.15;
/** Colour is taken from this share of the width about the midline: the rim is mixed with paper. */
const INNER = 0.36;
const LEAST_REGION = 0.04;

/** The trace of an insect as it was found. */
export function traceOf(insect: Pick<Traced, 'midlineMm'>): Trace {
  return { nodes: nodesOf(insect.midlineMm, NODES), cuts: USUAL_CUTS };
}

/** Length along a moved trace: where only its ends moved, the line between them is the one that was found. */
export function tracedLength(
  { nodes }: Trace,
  { bodyMm, sdMm, factor, midlineMm, error }: Traced,
  pxPerMm: number,
): { bodyMm: number; sdMm: number } {
  // Nodes lie on the found line; the curve through them is a little shorter than it, by a share that is known.
  const lost = lengthOf(midlineMm) / (lengthOf(curveThrough(nodesOf(midlineMm, nodes.length))) || 1);
  const length = lengthOf(curveThrough(nodes)) * factor * lost;
  const ends = Math.SQRT2 * Math.hypot(HAND_END_MM, HAND_END_PX / pxPerMm);
  // What a hand cannot mend stays in the ±: the card, the height, a body that stretches, and the found line where only its ends were moved; where they are not told apart, half of what was said.
  const asFound = nodes.slice(1, -1).every((node) => shareNear(midlineMm, node).off < AS_FOUND_MM);
  const kept = error ? Math.hypot(error.card, error.height, error.stretch, asFound ? error.posture : 0) : 0.5 * sdMm;
  return { bodyMm: length, sdMm: Math.hypot(ends, HAND_WAY * length, (kept * length) / bodyMm) };
}

/** A trace read from its other end, which is now the head: its regions are counted from there. */
export function turnedRound({ nodes, cuts }: Trace): Trace {
  return { nodes: [...nodes].reverse(), cuts };
}

/** Shares on a grid far finer than a body: what was added and taken off again is the same share. */
const onGrid = (share: number) => Math.round(share * 1e9) / 1e9;

/** One end of a region moved along the body, kept in order with the others. */
export function withCut(cuts: Cuts, index: 0 | 1 | 2 | 3, share: number): Cuts {
  const low = index === 0 ? 0 : cuts[index - 1]! + (index === 2 ? 0 : LEAST_REGION);
  const high = index === 3 ? 1 : cuts[index + 1]! - (index === 1 ? 0 : LEAST_REGION);
  const next = [...cuts] as [number, number, number, number];
  next[index] = onGrid(Math.min(onGrid(high), Math.max(onGrid(low), share)));
  return next;
}

function labAt({ rgba }: Crop, at: number): Lab {
  return labOfBytes(rgba[at * 4]!, rgba[at * 4 + 1]!, rgba[at * 4 + 2]!);
}

/** Width of the body at a share of the way, by the profile that was found. */
export function widthAlong(widthsMm: readonly number[], share: number): number {
  const at = share * (widthsMm.length - 1);
  const index = Math.min(widthsMm.length - 2, Math.max(0, Math.floor(at)));
  return (widthsMm[index] ?? 0) + ((widthsMm[index + 1] ?? 0) - (widthsMm[index] ?? 0)) * (at - index);
}

/** Colours of the regions of a trace, from the balanced picture of it. */
export function tracedColours(
  crop: Crop,
  { nodes, cuts }: Trace,
  widthsMm: readonly number[],
  face: 'back' | 'belly',
): Partial<Record<RegionId, RegionColour>> {
  const line = curveThrough(nodes);
  const found = { thorax: [] as Lab[], abdomen: [] as Lab[] };
  const pxPerMm = crop.width / crop.widthMm;
  const reach = INNER * Math.max(...widthsMm);
  const margin = (values: number[], from: number, most: number) =>
    [
      Math.max(0, Math.floor((Math.min(...values) - reach - from) * pxPerMm)),
      Math.min(most, Math.ceil((Math.max(...values) + reach - from) * pxPerMm)),
    ] as const;
  const [x0, x1] = margin(
    line.map((spot) => spot[0]),
    crop.leftMm,
    crop.width,
  );
  const [y0, y1] = margin(
    line.map((spot) => spot[1]),
    crop.topMm,
    crop.height,
  );
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) {
      const { share, off } = shareNear(line, [crop.leftMm + (x + 0.5) / pxPerMm, crop.topMm + (y + 0.5) / pxPerMm]);
      if (off > INNER * widthAlong(widthsMm, share)) continue;
      if (share >= cuts[0] && share <= cuts[1]) found.thorax.push(labAt(crop, y * crop.width + x));
      else if (share >= cuts[2] && share <= cuts[3]) found.abdomen.push(labAt(crop, y * crop.width + x));
    }
  return Object.fromEntries(
    (['thorax', 'abdomen'] as const).flatMap((part) => {
      const colour = colourOfPixels(found[part]);
      return colour ? [[`${part}-${face}` as RegionId, colour] as const] : [];
    }),
  );
}

/** The colour within a circle of the picture, mm; null when it holds too little. */
export function colourAt(crop: Crop, [x, y]: ImagePoint, radiusMm: number): RegionColour | null {
  const pxPerMm = crop.width / crop.widthMm;
  const [cx, cy, radius] = [(x - crop.leftMm) * pxPerMm, (y - crop.topMm) * pxPerMm, Math.max(2.2, radiusMm * pxPerMm)];
  const points: Lab[] = [];
  for (let py = Math.max(0, Math.floor(cy - radius)); py <= Math.min(crop.height - 1, Math.ceil(cy + radius)); py++) {
    for (let px = Math.max(0, Math.floor(cx - radius)); px <= Math.min(crop.width - 1, Math.ceil(cx + radius)); px++) {
      if (Math.hypot(px + 0.5 - cx, py + 0.5 - cy) <= radius) points.push(labAt(crop, py * crop.width + px));
    }
  }
  return colourOfPixels(points);
}

/** Outline of a region as it lies on the picture: out along one side of the body and back along the other, mm. */
export function outlineOf(
  line: readonly ImagePoint[],
  widthsMm: readonly number[],
  from: number,
  to: number,
): ImagePoint[] {
  const steps = 14;
  const side = (sign: 1 | -1) =>
    Array.from({ length: steps + 1 }, (_, step): ImagePoint => {
      const share = from + ((to - from) * step) / steps;
      const { at, direction } = alongLine(line, share);
      const half = (sign * widthAlong(widthsMm, share)) / 2;
      return [at[0] - direction[1] * half, at[1] + direction[0] * half];
    });
  return [...side(1), ...side(-1).reverse()];
}
