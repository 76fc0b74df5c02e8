import { blobsOf, type Blob } from '../blobs';
import { median } from '../median';
import { boxed } from '../field/light';
import type { CardField } from '../field/rectify';
import type { Tones } from '../field/tones';
import { awayFrom, depthOf, opened } from './distance';
import { bridge, joined } from './join';
import { midlineOf, sharpestTurn, type Line } from './midline';
import { guessesOf, likeliest, type Guess } from './choose-body';
import { regionsOf, type Regions } from './regions';
import { strandsOn, type Strand } from './strands';

/** One insect in a window of the field, with its masks over that window. */
export interface Cut {
  width: number;
  height: number;
  /** Everything that is not paper: body, legs, wings, tails, and shade that could not be told from them. */
  all: Uint8Array;
  /** Body with what hangs on it. */
  body: Uint8Array;
  /** Body with what may be its tails: wings left out. */
  ink: Uint8Array;
  /** Legs, tails and feelers, each by where it begins. */
  strands: Strand[];
  /** The regions it is made of; null when there is but one. */
  guess: Guess | null;
  /** Body alone: thin parts taken off. */
  trunk: Uint8Array;
  /** The trunk's midline without its ends; null when it has no length. */
  line: Line | null;
  /** Deepest point of the trunk, px. */
  radius: number;
  /** Depth of `all` and of `trunk` under their rims, and distance from the trunk as far as two of its radii, px. */
  depthAll: Float32Array;
  depth: Float32Array;
  away: Float32Array;
  /** How far the body is from paper, as `off` of the tones. */
  level: number;
  touchesEdge: boolean;
}

/** Where something lies on the paper, one piece each, largest first. */
export interface Pieces {
  labels: Int32Array;
  blobs: Blob[];
  /** Distance from paper above which a pixel is not paper. */
  threshold: number;
}

const LEAST_OFF = 7;
const LEAST_AREA_MM2 = 0.12;
const LEAST_RADIUS_MM = 0.09;
const MOST_CUTS = 12;
/** A trunk this near to the field's rim touches it. */
const RIM_MM = 0.2;
/** A disc of this share of the deepest radius takes legs, tails and feelers off. */
const THIN = 0.2;
const THIN_LEAST_PX = 1.1;
/** A hole smaller than this many squares of the radius is glare, not the gap of a curled body. */
const GLARE_HOLE = 0.7;
/** Share of a hole's rim that the thick of the body has. */
const THICK_ROUND = 0.55;
const SHARP_TURN = 0.9;
const MUCH_LESS = 0.7;
/** Chroma from which a paler part counts as coloured body and not as wing or shade. */
const COLOURED = 9;
/** What is plainly not paper: this share of the way to the body's own tone. */
const PLAINLY = 0.35;
/** A region that is no body is a wing when it is this thick against the body: what is thinner may be its tails. */
const WING_DEEP = 0.5;
/** Darker than any shade or clear wing: part of the body whatever its colour. */
const OPAQUE = 32;

/** Paper's own scatter: median and spread of its distance from the fitted light. */
function paperNoise(off: Float32Array): number {
  const sample = Float32Array.from({ length: Math.ceil(off.length / 13) }, (_, index) => off[index * 13]!);
  const middle = median(sample);
  const spread = median(sample.map((value) => Math.abs(value - middle)));
  return middle + 7 * 1.4826 * spread;
}

function smoothOff(field: CardField, tones: Tones): Float32Array {
  return boxed(tones.off, field.width, field.height, field.scale > 16 ? 2 : 1);
}

/** Where something lies on the paper. */
export function notPaper(field: CardField, tones: Tones): { mask: Uint8Array; threshold: number } {
  const smooth = smoothOff(field, tones);
  const threshold = Math.max(LEAST_OFF, paperNoise(smooth));
  const mask = new Uint8Array(smooth.length);
  for (let at = 0; at < mask.length; at++) mask[at] = smooth[at]! > threshold ? 1 : 0;
  return { mask, threshold };
}

/** What lies on the whole field, large enough to be an insect. */
export function piecesOf(field: CardField, tones: Tones): Pieces {
  const { mask, threshold } = notPaper(field, tones);
  const { labels, blobs } = blobsOf(mask, field.width, field.height);
  return {
    labels,
    blobs: blobs
      .filter((blob) => blob.area > LEAST_AREA_MM2 * field.scale ** 2)
      .sort((a, b) => b.area - a.area)
      .slice(0, MOST_CUTS),
    threshold,
  };
}

const ALL_ROUND = [
  [0, 0],
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
  [1, 1],
  [1, -1],
  [-1, 1],
  [-1, -1],
] as const;

/** Pixels of a window that are not paper and lie on or beside one piece of the field. */
function maskOf(field: CardField, pieces: Pieces, blob: Blob, window: CardField, tones: Tones): Uint8Array {
  const smooth = smoothOff(window, tones);
  const own = new Uint8Array(field.width * field.height);
  for (let y = Math.max(1, blob.top); y <= Math.min(field.height - 2, blob.bottom); y++)
    for (let x = Math.max(1, blob.left); x <= Math.min(field.width - 2, blob.right); x++) {
      if (pieces.labels[y * field.width + x] === blob.label)
        for (const [dx, dy] of ALL_ROUND) own[(y + dy) * field.width + x + dx] = 1;
    }
  const mask = new Uint8Array(smooth.length);
  const share = field.scale / window.scale;
  const [left, top] = [(window.left - field.left) * field.scale, (window.top - field.top) * field.scale];
  for (let y = 0; y < window.height; y++) {
    const row = Math.min(field.height - 1, (top + (y + 0.5) * share) | 0) * field.width;
    for (let x = 0; x < window.width; x++) {
      const at = y * window.width + x;
      if (smooth[at]! > pieces.threshold && own[row + Math.min(field.width - 1, (left + (x + 0.5) * share) | 0)] !== 0)
        mask[at] = 1;
    }
  }
  return mask;
}

/** The patch of a mask with the largest sum of weights. */
function heaviest(mask: Uint8Array, width: number, height: number, weights: Float32Array): Uint8Array {
  const { labels, blobs } = blobsOf(mask, width, height);
  const sums = new Map(blobs.map((blob) => [blob.label, 0]));
  for (let at = 0; at < mask.length; at++)
    if (labels[at] !== 0) sums.set(labels[at]!, sums.get(labels[at]!)! + weights[at]!);
  let best = 0;
  let most = -1;
  for (const [label, sum] of sums) if (sum > most) [best, most] = [label, sum];
  const out = new Uint8Array(mask.length);
  if (best !== 0) for (let at = 0; at < mask.length; at++) out[at] = labels[at] === best ? 1 : 0;
  return out;
}

/** Fills small holes; those without much of the thick body about them are told of, for between two legs that meet there is a hole too. */
function fillGlare(
  mask: Uint8Array,
  thick: Uint8Array,
  width: number,
  height: number,
  most: number,
): { filled: number; doubtful: number[] } {
  const paper = new Uint8Array(mask.length);
  for (let at = 0; at < mask.length; at++) paper[at] = mask[at] === 0 ? 1 : 0;
  const { labels, blobs } = blobsOf(paper, width, height);
  const doubtful: number[] = [];
  const small = blobs.filter(
    (blob) => blob.left > 0 && blob.top > 0 && blob.right < width - 1 && blob.bottom < height - 1 && blob.area < most,
  );
  for (const hole of small) {
    let [rim, inThick] = [0, 0];
    for (let y = hole.top; y <= hole.bottom; y++)
      for (let x = hole.left; x <= hole.right; x++) {
        const at = y * width + x;
        if (labels[at] !== hole.label) continue;
        for (const by of [at - 1, at + 1, at - width, at + width]) {
          if (labels[by] === hole.label) continue;
          rim++;
          inThick += thick[by]!;
        }
      }
    for (let y = hole.top; y <= hole.bottom; y++)
      for (let x = hole.left; x <= hole.right; x++) {
        const at = y * width + x;
        if (labels[at] !== hole.label) continue;
        mask[at] = 1;
        if (inThick < THICK_ROUND * rim) doubtful.push(at);
      }
  }
  return { filled: small.length, doubtful };
}

/** One insect before its body is told from its wings: what is not paper, what may be body, and every set of its regions that could be. */
interface Seen {
  all: Uint8Array;
  depthAll: Float32Array;
  likely: Uint8Array;
  level: number;
  strands: Strand[];
  regions: Regions;
  guesses: Guess[];
}

/** What lies in a window about one piece of the field: likely body is darker than half way to its own tone, or coloured. */
function seenOf(field: CardField, pieces: Pieces, blob: Blob, window: CardField, tones: Tones, winged: boolean): Seen {
  const { width, height } = window;
  const { threshold } = pieces;
  const all = maskOf(field, pieces, blob, window, tones);
  const n = width * height;
  const { off } = tones;
  const chroma = new Float32Array(n);
  let area = 0;
  for (let at = 0; at < n; at++) {
    chroma[at] = Math.sqrt(tones.a[at]! ** 2 + tones.b[at]! ** 2);
    area += all[at]!;
  }
  const soft = boxed(off, width, height, 1);
  const softChroma = boxed(chroma, width, height, 1);
  const depth = depthOf(all, width, height);
  let deepest = 0;
  for (const value of depth) deepest = Math.max(deepest, value);
  // A few thousand pixels tell the level as well as all of them.
  const stride = Math.max(1, Math.round(area / 4000));
  const inner: number[] = [];
  let met = 0;
  for (let at = 0; at < n; at++) if (depth[at]! > 0.25 * deepest && met++ % stride === 0) inner.push(at);
  const levels = Float32Array.from(inner, (at) => soft[at]!).sort();
  const level = levels[Math.floor(levels.length * 0.85)] ?? 0;
  const hue = median(
    Float32Array.from(
      inner.filter((at) => soft[at]! > 0.6 * level),
      (at) => softChroma[at]!,
    ),
  );
  const half = Math.max(threshold, 0.5 * level);
  const coloured = Math.max(COLOURED, 0.42 * hue);
  const likely = new Uint8Array(n);
  for (let at = 0; at < n; at++)
    likely[at] =
      all[at] !== 0 &&
      (off[at]! > half ||
        soft[at]! > OPAQUE ||
        (softChroma[at]! > coloured && soft[at]! > 0.36 * level && soft[at]! > threshold))
        ? 1
        : 0;
  const plain = new Uint8Array(n);
  for (let at = 0; at < n; at++) plain[at] = all[at] !== 0 && off[at]! > Math.max(threshold, PLAINLY * level) ? 1 : 0;
  const regions = regionsOf(likely, width, height, tones);
  const strands = strandsOn(plain, width, height, regions);
  return {
    all,
    depthAll: depth,
    likely,
    level,
    strands,
    regions,
    guesses: winged && regions.count > 1 ? guessesOf(regions, strands, tones, width, height) : [],
  };
}

/**
 * Bodies that one insect may have, the likeliest first, seen finely in a window about one piece of the field; each without thin parts.
 * Without wings all of it is one body. More than one only where another set of its regions is nearly as much like a body. None when nothing is thick enough.
 */
export function cutsOf(
  field: CardField,
  pieces: Pieces,
  blob: Blob,
  window: CardField,
  tones: Tones,
  winged = true,
): Cut[] {
  const seen = seenOf(field, pieces, blob, window, tones, winged);
  const likely = seen.guesses.length > 0 ? likeliest(seen.guesses) : [null];
  return likely.flatMap((guess) => cutOut(field, window, tones, seen, guess) ?? []);
}

/** Depth of each region under its own rim, px. */
function deepestOf({ of, areas, solid }: Regions, width: number, height: number): number[] {
  return areas.map((_, region) => {
    if (region === 0) return 0;
    const depth = depthOf(
      Uint8Array.from(of, (own, at) => (own === region && solid[at] !== 0 ? 1 : 0)),
      width,
      height,
    );
    return depth.reduce((most, value) => Math.max(most, value), 0);
  });
}

/** The body that one set of regions makes; null when nothing is thick enough. */
function cutOut(field: CardField, window: CardField, tones: Tones, seen: Seen, guess: Guess | null): Cut | null {
  const { width, height, scale } = window;
  const { off } = tones;
  const { all, depthAll, level, strands, regions } = seen;
  const n = width * height;
  const likely = seen.likely.slice();
  const ink = all.slice();
  if (guess && guess.own.includes(false, 1)) {
    const deep = deepestOf(regions, width, height);
    const own = Math.max(...deep.filter((_, region) => guess.own[region]));
    const wing = deep.map(
      (value, region) =>
        !guess.own[region] && value > WING_DEEP * own && !strands.some((strand) => strand.region === region),
    );
    for (let at = 0; at < n; at++) {
      const region = regions.of[at]!;
      if (likely[at] !== 0 && !guess.own[region]) likely[at] = 0;
      if (wing[region] && regions.solid[at] !== 0) ink[at] = 0;
    }
    if (guess.span) bridge(likely, width, height, guess.span.from, guess.span.to, guess.span.half, 0);
  }
  const body = heaviest(likely, width, height, off);
  let radius = 0;
  for (const value of depthOf(body, width, height)) radius = Math.max(radius, value);
  if (radius < LEAST_RADIUS_MM * scale) return null;
  const thin = Math.max(THIN_LEAST_PX, THIN * radius);
  const thick = opened(likely, width, height, thin);
  const { filled, doubtful } = fillGlare(likely, thick, width, height, GLARE_HOLE * radius * radius);
  const trunkOf = (least = thin) => joined(opened(likely, width, height, least), body, likely, width, height, radius);
  const lineOf = (own: Uint8Array) => midlineOf(own, width, height, radius, depthOf(own, width, height));
  let trunk = filled > 0 ? trunkOf() : joined(thick, body, likely, width, height, radius);
  let line = lineOf(trunk);
  // A body does not turn as sharply as a leg turns off it: first without what was filled between legs, then with more of the thin taken off.
  const tries = [
    ...(doubtful.length > 0
      ? [
          () => {
            for (const at of doubtful) likely[at] = 0;
            return trunkOf();
          },
        ]
      : []),
    () => trunkOf(1.5 * thin + 0.5),
  ];
  for (const again of tries) {
    const turn = line ? sharpestTurn(line, radius) : 0;
    if (turn <= SHARP_TURN) break;
    const other = again();
    const otherLine = lineOf(other);
    if (otherLine && sharpestTurn(otherLine, radius) < MUCH_LESS * turn) [trunk, line] = [other, otherLine];
  }
  for (let at = 0; at < n; at++) if (trunk[at] !== 0) body[at] = 1;
  // Legs and feelers may cross the frame; a body may not.
  const rim = (mm: number, low: number, high: number) => mm < low + RIM_MM || mm > high - RIM_MM;
  const [right, bottom] = [field.left + field.width / field.scale, field.top + field.height / field.scale];
  let touchesEdge = false;
  for (let y = 0; y < height && !touchesEdge; y++) {
    const across = rim(window.top + (y + 0.5) / scale, field.top, bottom);
    for (let x = 0; x < width; x++)
      if (trunk[y * width + x] !== 0 && (across || rim(window.left + (x + 0.5) / scale, field.left, right)))
        touchesEdge = true;
  }
  return {
    width,
    height,
    all,
    body,
    ink,
    strands,
    trunk,
    line,
    radius,
    level,
    touchesEdge,
    guess,
    depthAll,
    depth: depthOf(trunk, width, height),
    away: awayFrom(trunk, width, height, 2 * radius + 4),
  };
}
