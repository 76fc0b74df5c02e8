import { blobsOf, type Blob } from '../blobs';
import { boxed } from '../field/light';
import type { Field } from '../field/rectify';
import type { Tones } from '../field/tones';
import { depthOf, opened } from './distance';

/** A piece of the field about one insect, with its masks. */
export interface Cut {
  left: number;
  top: number;
  width: number;
  height: number;
  /** Everything that is not paper: body, legs, wings, tails, and shade that could not be told from them. */
  all: Uint8Array;
  /** Body with what hangs on it. */
  body: Uint8Array;
  /** Body alone: thin parts taken off. */
  trunk: Uint8Array;
  /** Deepest point of the trunk, px. */
  radius: number;
  /** How far the body is from paper, as `off` of the tones. */
  level: number;
  touchesEdge: boolean;
}

export interface Separated {
  cuts: Cut[];
  /** Off-paper level above which a pixel is not paper. */
  threshold: number;
}

const LEAST_OFF = 7;
const LEAST_AREA_MM2 = 0.12;
const LEAST_RADIUS_MM = 0.09;
const MOST_CUTS = 12;
/** A disc of this share of the deepest radius takes legs, tails and feelers off. */
const THIN = 0.2;
const THIN_LEAST_PX = 1.1;
/** A hole smaller than this many squares of the radius is glare, not the gap of a curled body. */
const GLARE_HOLE = 0.7;
/** Chroma from which a paler part counts as coloured body and not as wing or shade. */
const COLOURED = 9;
/** Darker than any shade or clear wing: part of the body whatever its colour. */
const OPAQUE = 32;

function median(values: number[]): number {
  values.sort((a, b) => a - b);
  return values.length === 0 ? 0 : values[values.length >> 1]!;
}

/** Paper's own scatter: median and spread of its distance from the fitted light. */
function paperNoise(off: Float32Array): number {
  const sample: number[] = [];
  for (let at = 0; at < off.length; at += 13) sample.push(off[at]!);
  const middle = median(sample);
  const spread = median(sample.map((value) => Math.abs(value - middle)));
  return middle + 7 * 1.4826 * spread;
}

/** Where something lies on the paper. */
export function notPaper(field: Field, tones: Tones): { mask: Uint8Array; threshold: number } {
  const smooth = boxed(tones.off, field.width, field.height, field.scale > 16 ? 2 : 1);
  const threshold = Math.max(LEAST_OFF, paperNoise(smooth));
  const mask = new Uint8Array(smooth.length);
  for (let at = 0; at < mask.length; at++) mask[at] = smooth[at]! > threshold ? 1 : 0;
  return { mask, threshold };
}

/** Parts of a mask that belong to one label, in a window of their own. */
function windowOf(labels: Int32Array, fieldWidth: number, fieldHeight: number, blob: Blob, margin: number) {
  const left = Math.max(0, blob.left - margin);
  const top = Math.max(0, blob.top - margin);
  const width = Math.min(fieldWidth - 1, blob.right + margin) - left + 1;
  const height = Math.min(fieldHeight - 1, blob.bottom + margin) - top + 1;
  const all = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) all[y * width + x] = labels[(top + y) * fieldWidth + left + x] === blob.label ? 1 : 0;
  return { left, top, width, height, all };
}

/** The patch of a mask with the largest sum of weights; of its area when there are none. */
function heaviest(mask: Uint8Array, width: number, height: number, weights: Float32Array | null): Uint8Array {
  const { labels, blobs } = blobsOf(mask, width, height);
  const sums = new Map(blobs.map((blob) => [blob.label, weights ? 0 : blob.area]));
  if (weights) for (let at = 0; at < mask.length; at++) if (labels[at] !== 0) sums.set(labels[at]!, sums.get(labels[at]!)! + weights[at]!);
  let best = 0;
  let most = -1;
  for (const [label, sum] of sums) if (sum > most) [best, most] = [label, sum];
  const out = new Uint8Array(mask.length);
  if (best !== 0) for (let at = 0; at < mask.length; at++) out[at] = labels[at] === best ? 1 : 0;
  return out;
}

function fillGlare(mask: Uint8Array, width: number, height: number, most: number): void {
  const paper = new Uint8Array(mask.length);
  for (let at = 0; at < mask.length; at++) paper[at] = mask[at] === 0 ? 1 : 0;
  const { labels, blobs } = blobsOf(paper, width, height);
  const holes = new Set(blobs.filter((blob) => blob.left > 0 && blob.top > 0 && blob.right < width - 1 && blob.bottom < height - 1 && blob.area < most).map((blob) => blob.label));
  if (holes.size > 0) for (let at = 0; at < mask.length; at++) if (holes.has(labels[at]!)) mask[at] = 1;
}

/** Body of one insect from what is not paper: darker than half way to its own tone, or coloured; then without thin parts. */
function cutOf(field: Field, tones: Tones, labels: Int32Array, blob: Blob, threshold: number): Cut | null {
  const piece = windowOf(labels, field.width, field.height, blob, 4);
  const { left, top, width, height, all } = piece;
  const n = width * height;
  const off = new Float32Array(n);
  const chroma = new Float32Array(n);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) {
    const from = (top + y) * field.width + left + x;
    off[y * width + x] = tones.off[from]!;
    chroma[y * width + x] = Math.hypot(tones.a[from]!, tones.b[from]!);
  }
  const soft = boxed(off, width, height, 1);
  const softChroma = boxed(chroma, width, height, 1);
  const depth = depthOf(all, width, height);
  let deepest = 0;
  for (const value of depth) deepest = Math.max(deepest, value);
  // A few thousand pixels tell the level as well as all of them.
  const stride = Math.max(1, Math.round(blob.area / 4000));
  const inner: number[] = [];
  let met = 0;
  for (let at = 0; at < n; at++) if (depth[at]! > 0.25 * deepest && met++ % stride === 0) inner.push(at);
  const levels = inner.map((at) => soft[at]!).sort((a, b) => a - b);
  const level = levels[Math.floor(levels.length * 0.85)] ?? 0;
  const hue = median(inner.filter((at) => soft[at]! > 0.6 * level).map((at) => softChroma[at]!));
  const half = Math.max(threshold, 0.5 * level);
  const coloured = Math.max(COLOURED, 0.42 * hue);
  const likely = new Uint8Array(n);
  for (let at = 0; at < n; at++) likely[at] = all[at] !== 0 && (off[at]! > half || soft[at]! > OPAQUE || (softChroma[at]! > coloured && soft[at]! > 0.36 * level && soft[at]! > threshold)) ? 1 : 0;
  const body = heaviest(likely, width, height, off);
  const first = depthOf(body, width, height);
  let radius = 0;
  for (const value of first) radius = Math.max(radius, value);
  if (radius < LEAST_RADIUS_MM * field.scale) return null;
  fillGlare(body, width, height, GLARE_HOLE * radius * radius);
  const thick = opened(body, width, height, Math.max(THIN_LEAST_PX, THIN * radius));
  const trunk = heaviest(thick, width, height, null);
  // Legs and feelers may cross the frame; a body may not.
  let touchesEdge = false;
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) if (trunk[y * width + x] !== 0 && (left + x < 3 || top + y < 3 || left + x > field.width - 4 || top + y > field.height - 4)) touchesEdge = true;
  return { left, top, width, height, all, body, trunk, radius, level, touchesEdge };
}

/** Insects of the field, largest first. */
export function separate(field: Field, tones: Tones): Separated {
  const { mask, threshold } = notPaper(field, tones);
  const { labels, blobs } = blobsOf(mask, field.width, field.height);
  const large = blobs.filter((blob) => blob.area > LEAST_AREA_MM2 * field.scale ** 2).sort((a, b) => b.area - a.area).slice(0, MOST_CUTS);
  return { cuts: large.flatMap((blob) => cutOf(field, tones, labels, blob, threshold) ?? []), threshold };
}
