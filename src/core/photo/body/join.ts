import { blobsOf, type Blob } from '../blobs';
import type { ImagePoint } from '../card';
import { awayFrom, depthOf } from './distance';

/** A piece this much thinner than the body is not the rest of it. */
const LEAST_SHARE = 0.25;
const GAP = 1.3;
const REACH = 3.5;
const STRAIGHT = 0.8;
/** More body than this between two pieces is no highlight but a neck; one much thinner than both is where tails or a leg begin. */
const MOST_BODY = 0.5;
const NECK = 0.5;
/** The rest of a body is at least this share as thick as where it was parted. */
const AS_THICK = 0.55;

/** Middle of the pixels of a piece that lie within `most`: the middle of an edge and not its corner. */
function middleOfNear(labels: Int32Array, away: Float32Array, width: number, piece: Blob, most: number): ImagePoint {
  let [n, sx, sy] = [0, 0, 0];
  for (let y = piece.top; y <= piece.bottom; y++)
    for (let x = piece.left; x <= piece.right; x++) {
      const at = y * width + x;
      if (labels[at] !== piece.label || away[at]! > most) continue;
      n++;
      sx += x;
      sy += y;
    }
  return [Math.round(sx / n), Math.round(sy / n)];
}

interface Near {
  /** Middle of what lies near, and the axis it is longest along. */
  middle: ImagePoint;
  axis: ImagePoint;
}

/** Middle of some pixels and the axis they are longest along. */
export function axisOf(pixels: Iterable<ImagePoint>): Near {
  let [n, sx, sy, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  for (const [x, y] of pixels) {
    n++;
    sx += x;
    sy += y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
  }
  const [mx, my] = [sx / n, sy / n];
  const angle = 0.5 * Math.atan2(2 * (xy / n - mx * my), xx / n - mx * mx - (yy / n - my * my));
  return { middle: [mx, my], axis: [Math.cos(angle), Math.sin(angle)] };
}

/** The pixels of a piece. */
export function pixelsOf(labels: Int32Array, width: number, blob: Blob): ImagePoint[] {
  const out: ImagePoint[] = [];
  for (let y = blob.top; y <= blob.bottom; y++)
    for (let x = blob.left; x <= blob.right; x++) if (labels[y * width + x] === blob.label) out.push([x, y]);
  return out;
}

function nearOf(labels: Int32Array, width: number, blob: Blob, [x0, y0]: ImagePoint, reach: number): Near {
  return axisOf(pixelsOf(labels, width, blob).filter(([x, y]) => Math.hypot(x - x0, y - y0) <= reach));
}

function unit([x, y]: ImagePoint): ImagePoint {
  const length = Math.hypot(x, y) || 1;
  return [x / length, y / length];
}

const dot = (a: ImagePoint, b: ImagePoint) => a[0] * b[0] + a[1] * b[1];

/**
 * The largest piece of what is left without thin parts inside a body, with the pieces that carry it on: a highlight across a thin
 * abdomen parts it, but the rest lies close, straight on and is about as thick. What leaves its side is a leg.
 */
export function joined(
  thick: Uint8Array,
  body: Uint8Array,
  likely: Uint8Array,
  width: number,
  height: number,
  radius: number,
): Uint8Array {
  const { labels, blobs } = blobsOf(thick, width, height);
  const inBody = new Map(blobs.map((blob) => [blob.label, 0]));
  for (let at = 0; at < thick.length; at++)
    if (labels[at] !== 0 && body[at] !== 0) inBody.set(labels[at]!, inBody.get(labels[at]!)! + 1);
  const sorted = [...blobs].sort((a, b) => inBody.get(b.label)! - inBody.get(a.label)! || b.area - a.area);
  const main = sorted[0];
  const out = new Uint8Array(thick.length);
  if (!main) return out;
  for (let at = 0; at < out.length; at++) if (labels[at] === main.label) out[at] = 1;
  const others = sorted.slice(1).filter((blob) => blob.area > 4 * (LEAST_SHARE * radius) ** 2);
  if (others.length === 0) return out;
  const depth = depthOf(thick, width, height);
  const depthLikely = depthOf(likely, width, height);
  const taken = new Set([main.label]);
  for (let round = 0; round < 3; round++) {
    const away = awayFrom(out, width, height, GAP * radius + 2);
    let added = false;
    for (const piece of others) {
      if (taken.has(piece.label)) continue;
      let near = -1;
      let deepest = 0;
      for (let y = piece.top; y <= piece.bottom; y++)
        for (let x = piece.left; x <= piece.right; x++) {
          const at = y * width + x;
          if (labels[at] !== piece.label) continue;
          if (near < 0 || away[at]! < away[near]!) near = at;
          deepest = Math.max(deepest, depth[at]!);
        }
      if (near < 0 || away[near]! > GAP * radius + 2 || deepest < LEAST_SHARE * radius) continue;
      const p = middleOfNear(labels, away, width, piece, away[near]! + 1.5);
      const owner = blobs
        .filter((blob) => taken.has(blob.label))
        .map((blob) => ({ blob, q: closest(labels, width, blob, p, GAP * radius + 4) }))
        .filter((item) => item.q !== null)
        .sort((a, b) => Math.hypot(a.q![0] - p[0], a.q![1] - p[1]) - Math.hypot(b.q![0] - p[0], b.q![1] - p[1]))[0];
      if (!owner) continue;
      const q = owner.q!;
      const reach = REACH * Math.max(deepest, LEAST_SHARE * radius);
      const deepestHere = deepestNear(depth, width, height, q, 1.5 * deepest);
      if (deepest < AS_THICK * deepestHere) continue;
      const [here, there] = [nearOf(labels, width, owner.blob, q, reach), nearOf(labels, width, piece, p, reach)];
      const on = unit([p[0] - here.middle[0], p[1] - here.middle[1]]);
      const further = unit([there.middle[0] - p[0], there.middle[1] - p[1]]);
      if (Math.abs(dot(here.axis, on)) < STRAIGHT || dot(on, further) < STRAIGHT) continue;
      const neck = neckOf(depthLikely, thick, width, here.middle, there.middle);
      if (neck.body > MOST_BODY && neck.thinnest < NECK * Math.min(deepest, deepestHere)) continue;
      bridge(out, width, height, q, p, 0.85 * deepest);
      for (let at = 0; at < out.length; at++) if (labels[at] === piece.label) out[at] = 1;
      taken.add(piece.label);
      added = true;
    }
    if (!added) break;
  }
  return out;
}

function deepestNear(depth: Float32Array, width: number, height: number, [x0, y0]: ImagePoint, reach: number): number {
  let deepest = 0;
  for (let y = Math.max(0, Math.floor(y0 - reach)); y <= Math.min(height - 1, Math.ceil(y0 + reach)); y++)
    for (let x = Math.max(0, Math.floor(x0 - reach)); x <= Math.min(width - 1, Math.ceil(x0 + reach)); x++)
      deepest = Math.max(deepest, depth[y * width + x]!);
  return deepest;
}

/** What lies between two places where the pieces themselves are left behind: the share that is body, and its least depth. */
function neckOf(
  depth: Float32Array,
  pieces: Uint8Array,
  width: number,
  q: ImagePoint,
  p: ImagePoint,
): { body: number; thinnest: number } {
  const steps = Math.max(4, Math.ceil(2 * Math.hypot(p[0] - q[0], p[1] - q[1])));
  let [n, of, thinnest] = [0, 0, Infinity];
  for (let step = 0; step <= steps; step++) {
    const at =
      Math.round(q[1] + ((p[1] - q[1]) * step) / steps) * width + Math.round(q[0] + ((p[0] - q[0]) * step) / steps);
    if (pieces[at] !== 0) continue;
    of++;
    // The line need not run along the very middle.
    const here = Math.max(
      depth[at]!,
      depth[at - 1] ?? 0,
      depth[at + 1] ?? 0,
      depth[at - width] ?? 0,
      depth[at + width] ?? 0,
    );
    thinnest = Math.min(thinnest, here);
    if (depth[at]! > 0) n++;
  }
  return of === 0 ? { body: 1, thinnest: 0 } : { body: n / of, thinnest };
}

function closest(
  labels: Int32Array,
  width: number,
  blob: Blob,
  [px, py]: ImagePoint,
  reach: number,
): ImagePoint | null {
  let best: ImagePoint | null = null;
  let least = reach;
  for (let y = Math.max(blob.top, Math.floor(py - reach)); y <= Math.min(blob.bottom, Math.ceil(py + reach)); y++) {
    for (let x = Math.max(blob.left, Math.floor(px - reach)); x <= Math.min(blob.right, Math.ceil(px + reach)); x++) {
      const off = Math.hypot(x - px, y - py);
      if (labels[y * width + x] === blob.label && off < least) [best, least] = [[x, y], off];
    }
  }
  return best;
}

/** Fills a band between two spots of pixels, carried on into both sides by `over`. */
export function bridge(
  mask: Uint8Array,
  width: number,
  height: number,
  q: ImagePoint,
  p: ImagePoint,
  half: number,
  over = half,
): void {
  const [dx, dy] = [p[0] - q[0], p[1] - q[1]];
  const length = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / length, dy / length];
  const reach = half + 1;
  for (
    let y = Math.max(0, Math.floor(Math.min(q[1], p[1]) - reach));
    y <= Math.min(height - 1, Math.ceil(Math.max(q[1], p[1]) + reach));
    y++
  ) {
    for (
      let x = Math.max(0, Math.floor(Math.min(q[0], p[0]) - reach));
      x <= Math.min(width - 1, Math.ceil(Math.max(q[0], p[0]) + reach));
      x++
    ) {
      const along = (x - q[0]) * ux + (y - q[1]) * uy;
      const across = Math.abs((x - q[0]) * uy - (y - q[1]) * ux);
      if (along >= -over && along <= length + over && across <= half) mask[y * width + x] = 1;
    }
  }
}
