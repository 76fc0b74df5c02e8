import { blobsOf, type Blob } from '../blobs';
import type { ImagePoint } from '../card';
import type { Tones } from '../field/tones';
import { depthOf, opened } from './distance';
import { axisOf, bridge, pixelsOf } from './join';
import { lengthOf, midlineOf, sharpestTurn, tangentAt, type Line } from './midline';
import type { Regions } from './regions';
import type { Strand } from './strands';

/** What speaks for a set of regions as a body: 0 to 1, or 0 to -1 where it speaks against. */
interface Signs {
  /** Trunk that lies beside its line, as a share of it. */
  uncovered: number;
  /** What is left out though it goes straight on from an end, against the trunk. */
  onward: number;
  /** Legs, tails and feelers that hang on it. */
  hung: number;
  /** Tails at one end, feelers at the other. */
  tails: number;
  /** Length along which its sides are of another region than its middle. */
  stripe: number;
  /** How sharply its line turns, beyond what bodies do, radians. */
  turn: number;
  /** Too stout or too slender, as a share of what bodies are. */
  slender: number;
  /** Darker than what is left out. */
  dark: number;
  /** Share of all that is seen. */
  area: number;
}

/** A set of regions taken for the body, with how much speaks for it. */
export interface Guess {
  /** By region number: whether it is body. */
  own: readonly boolean[];
  /** Log odds. */
  score: number;
  /** Length of its line, px. */
  length: number;
  /** Where something lies over it, px of the window. */
  span: Span | null;
  /** How far what is left out goes straight on beyond an end, px: it may be the rest of the body. */
  past: number;
  signs: Signs;
}

/** Pixels of the small copy that every set is tried on. */
const MOST_PIXELS = 9_000;
/** The rest of a body that something lies over is at least so large against the other piece, and in line with it (cosine). */
const LEAST_PIECE = 0.15;
const STRAIGHT_ON = 0.85;
/** A band is looked at in so many places, and so many of them may be glare. */
const SPAN_STEPS = 8;
const MOST_BARE = 5;
/** With fewer legs and tails than this nothing tells a body from its wings. */
const FEW_STRANDS = 2;
/** A region that is taken has this share of it in the trunk. */
const LEAST_TAKEN = 0.3;
/** What is left out goes straight on when this share of it lies before an end. */
const STRAIGHT_SHARE = 0.7;
/** It is the rest of a body as far as it is so wide against its end; tails are not. */
const STILL_WIDE = 0.5;
/** Less than this share of the trunk that goes straight on is a foot or a crumb. */
const LEAST_ONWARD = 0.04;
/** Turns, radians, and lengths against the width that bodies have. */
const USUAL_TURN = 0.35;
const USUAL_SLENDER = [3, 14] as const;

/** Region of every pixel of a small copy, legs left out or not. */
interface Small {
  of: Int16Array;
  width: number;
  height: number;
  factor: number;
}

/** Everything smaller by a whole factor. */
function smaller(regions: Regions, width: number, height: number, legs = false): Small {
  const factor = Math.max(1, Math.ceil(Math.sqrt((width * height) / MOST_PIXELS)));
  const [w, h] = [Math.ceil(width / factor), Math.ceil(height / factor)];
  const of = new Int16Array(w * h);
  const middle = factor >> 1;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const at = Math.min(height - 1, y * factor + middle) * width + Math.min(width - 1, x * factor + middle);
      of[y * w + x] = legs || regions.solid[at] !== 0 ? regions.of[at]! : 0;
    }
  return { of, width: w, height: h, factor };
}

/** What each sign of a body weighs, log odds: fitted to drawn insects whose length is known (docs/accuracy.md). */
const WEIGHTS: Signs = {
  uncovered: 6.2,
  onward: 6.2,
  hung: 5,
  tails: 1.35,
  stripe: 3.7,
  turn: 3.4,
  slender: 4.3,
  dark: 5,
  area: 0.9,
};

/** A band across what lies over a body between two of its pieces, px. */
export interface Span {
  from: ImagePoint;
  to: ImagePoint;
  half: number;
}

/** The band between two pieces that lie in one line with a region of something else between them; null when they do not. */
function spanOf(
  labels: Int32Array,
  depth: Float32Array,
  of: Int16Array,
  width: number,
  one: Blob,
  two: Blob,
): Span | null {
  const pick = (blob: Blob) => {
    const pixels = pixelsOf(labels, width, blob);
    return { ...axisOf(pixels), pixels, deep: Math.max(...pixels.map(([x, y]) => depth[y * width + x]!)) };
  };
  const [a, b] = [pick(one), pick(two)];
  const way = Math.hypot(b.middle[0] - a.middle[0], b.middle[1] - a.middle[1]) || 1;
  const [ux, uy] = [(b.middle[0] - a.middle[0]) / way, (b.middle[1] - a.middle[1]) / way];
  const along = ([x, y]: ImagePoint) => x * ux + y * uy;
  const last = a.pixels.reduce((best, spot) => (along(spot) > along(best) ? spot : best));
  const first = b.pixels.reduce((best, spot) => (along(spot) < along(best) ? spot : best));
  // The smaller piece may be as wide as it is long.
  if (Math.abs(a.axis[0] * ux + a.axis[1] * uy) < STRAIGHT_ON) return null;
  const gap = along(first) - along(last);
  if (gap < -2 || gap > 0.6 * (2 * Math.sqrt(one.area))) return null;
  const at = (t: number): ImagePoint => [a.middle[0] + ux * t, a.middle[1] + uy * t];
  const [from, to] = [at(along(last) - along(a.middle) - 2), at(along(first) - along(a.middle) + 2)];
  let bare = 0;
  for (let step = 0; step <= SPAN_STEPS; step++) {
    const [x, y] = [
      from[0] + ((to[0] - from[0]) * step) / SPAN_STEPS,
      from[1] + ((to[1] - from[1]) * step) / SPAN_STEPS,
    ];
    if (of[Math.floor(y) * width + Math.floor(x)] === 0) bare++;
  }
  if (bare > MOST_BARE) return null;
  return { from, to, half: Math.max(1, 0.8 * Math.min(a.deep, b.deep)) };
}

/** A trunk of some regions, its line with how deep it is there, and its two ends. */
interface Trunk {
  mask: Uint8Array;
  line: Line;
  length: number;
  radius: number;
  deep: number[];
  ends: End[];
  span: Span | null;
}

interface End {
  at: ImagePoint;
  /** Away from the body. */
  out: ImagePoint;
  half: number;
}

/** The trunk that some regions make; null when they make none, or one without a fair share of each. */
function trunkOf(own: readonly boolean[], { of, width, height }: Small): Trunk | null {
  const seen = Uint8Array.from(of, (region) => (own[region] ? 1 : 0));
  const depthSeen = depthOf(seen, width, height);
  const radius = depthSeen.reduce((most, value) => Math.max(most, value), 0);
  if (radius < 1) return null;
  const { labels, blobs } = blobsOf(opened(seen, width, height, Math.max(0.6, 0.2 * radius), depthSeen), width, height);
  const [main, second] = [...blobs].sort((one, two) => two.area - one.area);
  if (!main) return null;
  const span =
    second && second.area > LEAST_PIECE * main.area ? spanOf(labels, depthSeen, of, width, main, second) : null;
  const mask = Uint8Array.from(labels, (label) => (label === main.label || (span && label === second!.label) ? 1 : 0));
  if (span) bridge(mask, width, height, span.from, span.to, span.half, 0);
  const [taken, total] = [own.map(() => 0), own.map(() => 0)];
  for (let at = 0; at < of.length; at++) {
    total[of[at]!]!++;
    if (mask[at] !== 0) taken[of[at]!]!++;
  }
  if (own.some((is, region) => is && taken[region]! < LEAST_TAKEN * total[region]!)) return null;
  const depth = depthOf(mask, width, height);
  const line = midlineOf(mask, width, height, radius, depth);
  if (!line) return null;
  const deep = line.map(([x, y]) => {
    let most = 0;
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++)
        most = Math.max(most, depth[(Math.floor(y) + dy) * width + Math.floor(x) + dx] ?? 0);
    return most + 0.5;
  });
  const n = line.length - 1;
  const [fx, fy] = tangentAt(line, 0, 4);
  const ends: End[] = [
    { at: line[0]!, out: [-fx, -fy], half: Math.max(...deep.slice(0, Math.ceil(0.3 * n) + 1)) },
    { at: line[n]!, out: tangentAt(line, n, 4), half: Math.max(...deep.slice(Math.floor(0.7 * n))) },
  ];
  return {
    mask,
    line,
    length: lengthOf(line) + 2 * Math.min(1.1 * radius, lengthOf(line) / 2),
    radius,
    deep,
    ends,
    span,
  };
}

/** Where a spot lies from an end: beyond it along its direction, and aside of that. */
function fromEnd({ at, out }: End, x: number, y: number): { along: number; across: number } {
  return {
    along: (x - at[0]) * out[0] + (y - at[1]) * out[1],
    across: Math.abs((x - at[0]) * out[1] - (y - at[1]) * out[0]),
  };
}

/** Which end a spot lies straight on from, by number; -1 for neither. */
function onwardFrom(ends: readonly End[], x: number, y: number): number {
  return ends.findIndex((end) => {
    const { along, across } = fromEnd(end, x, y);
    return along > 0 && across < 1.3 * end.half + 1;
  });
}

/** Share of a trunk that lies beside its line, and what is left out though it goes straight on, against the trunk; and which regions those are. */
function outlineSigns(
  own: readonly boolean[],
  { of, width }: Small,
  { mask, line, deep, ends, radius }: Trunk,
): { signs: Pick<Signs, 'uncovered' | 'onward' | 'area'>; straight: boolean[] } {
  const [total, beyond] = [own.map(() => 0), own.map(() => 0)];
  let [area, uncovered] = [0, 0];
  for (let at = 0; at < of.length; at++) {
    const region = of[at]!;
    if (region === 0) continue;
    total[region]!++;
    const x = (at % width) + 0.5;
    const y = ((at / width) | 0) + 0.5;
    if (mask[at] !== 0) {
      area++;
      let slack = Math.min(...ends.map((end) => Math.hypot(end.at[0] - x, end.at[1] - y) - 1.1 * radius));
      for (let index = 0; index < line.length; index += 2)
        slack = Math.min(slack, Math.hypot(line[index]![0] - x, line[index]![1] - y) - deep[index]!);
      if (slack > 1) uncovered++;
    } else if (!own[region] && onwardFrom(ends, x, y) >= 0) beyond[region]!++;
  }
  const all = total.reduce((sum, value) => sum + value, 0);
  const straight = total.map((value, region) => beyond[region]! > STRAIGHT_SHARE * value);
  const onward = total.reduce((sum, value, region) => sum + (straight[region] ? value : 0), 0) / area;
  return { signs: { uncovered: -uncovered / area, onward: -Math.min(1, onward), area: area / all }, straight };
}

/** How far regions that go straight on from a trunk do so nearly as wide as its end, px. */
function pastEnd(straight: readonly boolean[], { of, width }: Small, { mask, ends, radius }: Trunk): number {
  const widths = ends.map(() => new Map<number, number>());
  for (let at = 0; at < of.length; at++) {
    if (mask[at] !== 0 || !straight[of[at]!]) continue;
    const [x, y] = [(at % width) + 0.5, ((at / width) | 0) + 0.5];
    const from = onwardFrom(ends, x, y);
    if (from < 0) continue;
    const step = Math.floor(fromEnd(ends[from]!, x, y).along);
    widths[from]!.set(step, (widths[from]!.get(step) ?? 0) + 1);
  }
  const far = widths.flatMap((own, at) =>
    [...own].flatMap(([step, wide]) => (wide > STILL_WIDE * 2 * ends[at]!.half ? [step + 1 - 1.1 * radius] : [])),
  );
  return Math.max(0, ...far);
}

/** What hangs on a trunk, and what of it leaves its ends. */
function strandSigns(
  own: readonly boolean[],
  factor: number,
  strands: readonly Strand[],
  { ends, length }: Trunk,
): Pick<Signs, 'hung' | 'tails'> {
  const isTail = (end: End, { root, out }: Strand) => {
    const { along, across } = fromEnd(end, root[0] / factor, root[1] / factor);
    return (
      along > -0.6 * end.half &&
      along < 0.6 * length &&
      across < 1.5 * end.half + 0.2 * Math.max(0, along) &&
      out[0] * end.out[0] + out[1] * end.out[1] > 0.7
    );
  };
  const hanging = strands.filter(({ region }) => region > 0);
  const tails = ends.map((end) => strands.filter((strand) => isTail(end, strand)).length);
  return {
    hung:
      hanging.length > 0
        ? hanging.filter((strand) => own[strand.region] || ends.some((end) => isTail(end, strand))).length /
          hanging.length
        : 0,
    tails: Math.min(1, 0.6 * Math.max(...tails)) + Math.min(0.4, 0.2 * Math.min(...tails)),
  };
}

/** Share of a line, its ends left out, beside which a trunk is of another of its regions than in the middle. */
function stripedShare(own: readonly boolean[], { of, width }: Small, { line, deep }: Trunk): number {
  const n = line.length - 1;
  let [stations, striped] = [0, 0];
  for (let index = Math.ceil(0.15 * n); index <= Math.floor(0.85 * n); index++) {
    const [tx, ty] = tangentAt(line, index, 3);
    const [x, y] = line[index]!;
    const label = (side: number) => of[Math.floor(y + side * tx) * width + Math.floor(x - side * ty)] ?? 0;
    const off = 0.75 * (deep[index]! - 0.5);
    stations++;
    if ([off, -off].some((side) => label(side) !== label(0) && own[label(side)])) striped++;
  }
  return striped / Math.max(1, stations);
}

/** How much darker the regions taken are than those left out, -1 to 1; 0 when none is left out. */
function darker(own: readonly boolean[], { of }: Small, levels: readonly number[]): number {
  const sums = { in: [0, 0], out: [0, 0] };
  for (const region of of) {
    if (region === 0) continue;
    const sum = own[region] ? sums.in : sums.out;
    sum[0]! += levels[region]!;
    sum[1]!++;
  }
  if (sums.out[1] === 0) return 0;
  const [inside, outside] = [sums.in[0]! / sums.in[1]!, sums.out[0]! / sums.out[1]!];
  return (inside - outside) / Math.max(inside, outside);
}

function guessOf(
  own: readonly boolean[],
  small: Small,
  strands: readonly Strand[],
  levels: readonly number[],
): Guess | null {
  const trunk = trunkOf(own, small);
  if (!trunk) return null;
  const { line, length, radius, deep, span } = trunk;
  const slender = length / (2 * Math.max(...deep));
  const [stout, thin] = USUAL_SLENDER;
  const outline = outlineSigns(own, small, trunk);
  const signs: Signs = {
    ...outline.signs,
    ...strandSigns(own, small.factor, strands, trunk),
    stripe: -stripedShare(own, small, trunk),
    turn: -Math.max(0, sharpestTurn(line, radius) - USUAL_TURN),
    slender: -Math.max(0, (stout - slender) / stout, (slender - thin) / thin),
    dark: darker(own, small, levels),
  };
  const score = (Object.keys(signs) as (keyof Signs)[]).reduce((sum, key) => sum + WEIGHTS[key] * signs[key], 0);
  const { factor } = small;
  return {
    own,
    score,
    length: length * factor,
    span: span && {
      from: [span.from[0] * factor, span.from[1] * factor],
      to: [span.to[0] * factor, span.to[1] * factor],
      half: span.half * factor,
    },
    past: -signs.onward > LEAST_ONWARD ? pastEnd(outline.straight, small, trunk) * factor : 0,
    signs,
  };
}

/** What the whole of it has for it before anything is looked at, log odds: most insects are all body. */
const WHOLE = 0.3;
/** A body leaves out no more than this share of itself straight on. */
const MOST_ONWARD = 0.2;

/** Every set of regions that hangs together, the likeliest body first; none where too few legs hang on it to tell. */
export function guessesOf(
  regions: Regions,
  strands: readonly Strand[],
  tones: Tones,
  width: number,
  height: number,
): Guess[] {
  if (strands.length < FEW_STRANDS) return [];
  const sums = regions.areas.map(() => 0);
  for (let at = 0; at < regions.of.length; at++) sums[regions.of[at]!]! += tones.off[at]!;
  const levels = sums.map((sum, region) => sum / Math.max(1, regions.areas[region]!));
  const all = guessOf(
    regions.areas.map((_, region) => region > 0),
    smaller(regions, width, height, true),
    strands,
    levels,
  );
  const small = smaller(regions, width, height);
  const guesses: Guess[] = [];
  if (all) guesses.push({ ...all, score: all.score + WHOLE });
  for (let set = 1; set < (1 << regions.count) - (all ? 1 : 0); set++) {
    const own = [false, ...Array.from({ length: regions.count }, (_, index) => (set & (1 << index)) !== 0)];
    const guess = guessOf(own, small, strands, levels);
    // What leaves out a part that goes straight on, as the rest of a body does, is no body.
    if (guess && -guess.signs.onward < MOST_ONWARD) guesses.push(guess);
  }
  return guesses.sort((one, two) => two.score - one.score);
}

/** A guess within this of the best, log odds, is a rival, and so many are looked at. */
const RIVAL = 2.7;
const MOST_RIVALS = 3;
/** What is shorter than this against it is but a part of it. */
const RIVAL_LONG = 0.6;

/** The likeliest of some guesses, with its rivals. */
export function likeliest<T extends Pick<Guess, 'score' | 'length'>>(guesses: readonly T[]): T[] {
  const [best, ...others] = guesses;
  return best
    ? [
        best,
        ...others
          .filter(({ score, length }) => score > best.score - RIVAL && length > RIVAL_LONG * best.length)
          .slice(0, MOST_RIVALS),
      ]
    : [];
}
