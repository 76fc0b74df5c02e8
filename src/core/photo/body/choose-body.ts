import { blobsOf, type Blob } from '../blobs';
import type { Tones } from '../field/tones';
import { depthOf, opened, widened } from './distance';
import { lengthOf, midlineOf, sharpestTurn, tangentAt } from './midline';
import { lengthByArea, withoutStrands, type Regions } from './regions';

/** A set of regions taken for the body, with how much speaks for it. */
export interface Guess {
  regions: readonly number[];
  /** By region number: whether it is body. */
  own: readonly boolean[];
  score: number;
  /** Length of its line, px. */
  length: number;
  /** Where something lies over it, px of the window. */
  span: Span | null;
  parts: Record<string, number>;
}

const MOST_PIXELS = 9_000;
const LEAST_STRAND = 0.1;
const LEAST_PIECE = 0.15;
const STRAIGHT_ON = 0.85;
/** A band is looked at in so many places, and so many of them may be glare. */
const SPAN_STEPS = 8;
const MOST_BARE = 5;
/** With fewer legs and tails than this nothing tells a body from its wings. */
const FEW_STRANDS = 2;

/** A leg, tail or feeler: where it begins, which way it goes (unit), and the region it hangs on; 0 where that is too pale to be one. */
export interface Strand {
  root: readonly [number, number];
  out: readonly [number, number];
  region: number;
}

/** Thin parts of some length, each with where it begins. `seen` is what is plainly not paper. */
export function strandsOn(seen: Uint8Array, width: number, height: number, regions: Regions): Strand[] {
  const area = regions.areas.reduce((sum, value) => sum + value, 0);
  const long = lengthByArea(area);
  const thick = withoutStrands(seen, width, height, long);
  const thin = new Uint8Array(seen.length);
  for (let at = 0; at < seen.length; at++) thin[at] = seen[at] !== 0 && thick[at] === 0 ? 1 : 0;
  const { labels, blobs } = blobsOf(thin, width, height);
  const reach = widened(thick, width, height, 2);
  return blobs.flatMap((blob) => {
    if (Math.hypot(blob.right - blob.left, blob.bottom - blob.top) < LEAST_STRAND * long) return [];
    const met = regions.areas.map(() => 0);
    let [n, x0, y0] = [0, 0, 0];
    for (let y = blob.top; y <= blob.bottom; y++) for (let x = blob.left; x <= blob.right; x++) {
      const at = y * width + x;
      if (labels[at] !== blob.label || reach[at] === 0) continue;
      n++;
      x0 += x;
      y0 += y;
      for (let dy = -3; dy <= 3; dy++) for (let dx = -3; dx <= 3; dx++) {
        const to = at + dy * width + dx;
        if (to >= 0 && to < seen.length && thick[to] !== 0) met[regions.of[to]!]!++;
      }
    }
    met[0] = 0;
    const most = Math.max(...met);
    if (n === 0) return [];
    const root: [number, number] = [x0 / n, y0 / n];
    const way = Math.hypot(blob.x - root[0], blob.y - root[1]) || 1;
    return [{ root, out: [(blob.x - root[0]) / way, (blob.y - root[1]) / way] as [number, number], region: most === 0 ? 0 : met.indexOf(most) }];
  });
}

/** Everything smaller by a whole factor. */
function smaller(regions: Regions, width: number, height: number, legs = false): { of: Int16Array; width: number; height: number; factor: number } {
  const factor = Math.max(1, Math.ceil(Math.sqrt((width * height) / MOST_PIXELS)));
  const [w, h] = [Math.ceil(width / factor), Math.ceil(height / factor)];
  const of = new Int16Array(w * h);
  const middle = factor >> 1;
  for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) {
    const at = Math.min(height - 1, y * factor + middle) * width + Math.min(width - 1, x * factor + middle);
    of[y * w + x] = legs || regions.solid[at] !== 0 ? regions.of[at]! : 0;
  }
  return { of, width: w, height: h, factor };
}

/** What each sign of a body weighs, log odds: fitted to drawn insects whose length is known (docs/accuracy.md). */
export const WEIGHTS = { uncovered: 6.2, onward: 6.2, hung: 5, tails: 1.35, stripe: 3.7, turn: 3.4, slender: 4.3, dark: 5, area: 0.9 };

/** A band across what lies over a body between two of its pieces, px. */
export interface Span {
  from: readonly [number, number];
  to: readonly [number, number];
  half: number;
}

export function fillSpan(mask: Uint8Array, width: number, height: number, { from, to, half }: Span): void {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / length, dy / length];
  for (let y = Math.max(0, Math.floor(Math.min(from[1], to[1]) - half)); y <= Math.min(height - 1, Math.ceil(Math.max(from[1], to[1]) + half)); y++) {
    for (let x = Math.max(0, Math.floor(Math.min(from[0], to[0]) - half)); x <= Math.min(width - 1, Math.ceil(Math.max(from[0], to[0]) + half)); x++) {
      const along = (x + 0.5 - from[0]) * ux + (y + 0.5 - from[1]) * uy;
      const across = Math.abs((x + 0.5 - from[0]) * uy - (y + 0.5 - from[1]) * ux);
      if (along >= 0 && along <= length && across <= half) mask[y * width + x] = 1;
    }
  }
}

/** The band between two pieces that lie in one line with a region of something else between them; null when they do not. */
function spanOf(labels: Int32Array, depth: Float32Array, of: Int16Array, width: number, one: Blob, two: Blob): Span | null {
  const pick = (blob: Blob) => {
    let [n, sx, sy, xx, xy, yy, deep] = [0, 0, 0, 0, 0, 0, 0];
    const pixels: [number, number][] = [];
    for (let y = blob.top; y <= blob.bottom; y++) for (let x = blob.left; x <= blob.right; x++) {
      if (labels[y * width + x] !== blob.label) continue;
      n++;
      sx += x;
      sy += y;
      xx += x * x;
      xy += x * y;
      yy += y * y;
      deep = Math.max(deep, depth[y * width + x]!);
      pixels.push([x, y]);
    }
    const [mx, my] = [sx / n, sy / n];
    const angle = 0.5 * Math.atan2(2 * (xy / n - mx * my), xx / n - mx * mx - (yy / n - my * my));
    return { middle: [mx, my] as const, axis: [Math.cos(angle), Math.sin(angle)] as const, deep, pixels };
  };
  const [a, b] = [pick(one), pick(two)];
  const way = Math.hypot(b.middle[0] - a.middle[0], b.middle[1] - a.middle[1]) || 1;
  const [ux, uy] = [(b.middle[0] - a.middle[0]) / way, (b.middle[1] - a.middle[1]) / way];
  const along = ([x, y]: readonly [number, number]) => x * ux + y * uy;
  const last = a.pixels.reduce((best, spot) => (along(spot) > along(best) ? spot : best));
  const first = b.pixels.reduce((best, spot) => (along(spot) < along(best) ? spot : best));
  // The smaller piece may be as wide as it is long.
  if (Math.abs(a.axis[0] * ux + a.axis[1] * uy) < STRAIGHT_ON) return null;
  const gap = along(first) - along(last);
  if (gap < -2 || gap > 0.6 * (2 * Math.sqrt(one.area))) return null;
  const at = (t: number): [number, number] => [a.middle[0] + ux * t, a.middle[1] + uy * t];
  const [from, to] = [at(along(last) - along(a.middle) - 2), at(along(first) - along(a.middle) + 2)];
  let bare = 0;
  for (let step = 0; step <= SPAN_STEPS; step++) {
    const [x, y] = [from[0] + ((to[0] - from[0]) * step) / SPAN_STEPS, from[1] + ((to[1] - from[1]) * step) / SPAN_STEPS];
    if (of[Math.floor(y) * width + Math.floor(x)] === 0) bare++;
  }
  if (bare > MOST_BARE) return null;
  return { from: [from[0] + 0.5, from[1] + 0.5], to: [to[0] + 0.5, to[1] + 0.5], half: Math.max(1, 0.8 * Math.min(a.deep, b.deep)) };
}

function guessOf(own: readonly boolean[], small: ReturnType<typeof smaller>, strands: readonly Strand[], levels: readonly number[]): Guess | null {
  const { of, width, height, factor } = small;
  const mask = Uint8Array.from(of, (region) => (own[region] ? 1 : 0));
  const depth0 = depthOf(mask, width, height);
  let radius = 0;
  for (const value of depth0) radius = Math.max(radius, value);
  if (radius < 1) return null;
  const open = opened(mask, width, height, Math.max(0.6, 0.2 * radius), depth0);
  const { labels, blobs } = blobsOf(open, width, height);
  const sorted = [...blobs].sort((one, two) => two.area - one.area);
  const main = sorted[0];
  if (!main) return null;
  const trunk = Uint8Array.from(labels, (label) => (label === main.label ? 1 : 0));
  const second = sorted[1];
  let span: Span | null = null;
  if (second && second.area > LEAST_PIECE * main.area) {
    span = spanOf(labels, depth0, of, width, main, second);
    if (span) {
      fillSpan(trunk, width, height, span);
      for (let at = 0; at < trunk.length; at++) if (labels[at] === second.label) trunk[at] = 1;
    }
  }
  // Every region that is taken must have its share in one piece.
  const taken = own.map(() => 0);
  const total = own.map(() => 0);
  for (let at = 0; at < of.length; at++) {
    total[of[at]!]!++;
    if (trunk[at] !== 0) taken[of[at]!]!++;
  }
  for (let region = 1; region < own.length; region++) if (own[region] && taken[region]! < 0.3 * total[region]!) return null;
  const depth = depthOf(trunk, width, height);
  const line = midlineOf(trunk, width, height, radius, depth);
  if (!line) return null;
  const length = lengthOf(line) + 2 * Math.min(1.1 * radius, lengthOf(line) / 2);
  const deep = line.map(([x, y]) => {
    let most = 0;
    for (let dy = -1; dy <= 1; dy++) for (let dx = -1; dx <= 1; dx++) most = Math.max(most, depth[(Math.floor(y) + dy) * width + Math.floor(x) + dx] ?? 0);
    return most + 0.5;
  });
  const n = line.length - 1;
  const ends = [{ at: line[0]!, out: tangentAt(line, 0, 4).map((value) => -value) as [number, number], half: Math.max(...deep.slice(0, Math.ceil(0.3 * n) + 1)) }, { at: line[n]!, out: tangentAt(line, n, 4), half: Math.max(...deep.slice(Math.floor(0.7 * n))) }];
  let [area, uncovered] = [0, 0];
  const beyond = own.map(() => 0);
  for (let at = 0; at < of.length; at++) {
    if (of[at] === 0) continue;
    const x = (at % width) + 0.5;
    const y = ((at / width) | 0) + 0.5;
    if (trunk[at] !== 0) {
      area++;
      let slack = Infinity;
      for (let index = 0; index <= n; index += 2) slack = Math.min(slack, Math.hypot(line[index]![0] - x, line[index]![1] - y) - deep[index]!);
      const end = Math.min(...ends.map((own) => Math.hypot(own.at[0] - x, own.at[1] - y) - 1.1 * radius));
      if (Math.min(slack, end) > 1) uncovered++;
    } else if (!own[of[at]!]) {
      for (const end of ends) {
        const along = (x - end.at[0]) * end.out[0] + (y - end.at[1]) * end.out[1];
        const across = Math.abs((x - end.at[0]) * end.out[1] - (y - end.at[1]) * end.out[0]);
        if (along > 0 && across < 1.3 * end.half + 1) {
          beyond[of[at]!]!++;
          break;
        }
      }
    }
  }
  const all = total.reduce((sum, value, region) => sum + (region > 0 ? value : 0), 0);
  const onward = beyond.reduce((sum, value, region) => sum + (!own[region] && total[region]! > 0 && value > 0.7 * total[region]! ? total[region]! : 0), 0) / Math.max(1, area);
  const isTail = ({ at, out, half }: (typeof ends)[number], { root, out: way }: Strand) => {
    const [x, y] = [root[0] / factor - at[0], root[1] / factor - at[1]];
    const along = x * out[0] + y * out[1];
    const across = Math.abs(x * out[1] - y * out[0]);
    return along > -0.6 * half && along < 0.6 * length && across < 1.5 * half + 0.2 * Math.max(0, along) && way[0] * out[0] + way[1] * out[1] > 0.7;
  };
  const tailsAt = ends.map((end) => strands.filter((strand) => isTail(end, strand)).length);
  const hanging = strands.filter(({ region }) => region > 0);
  let [stations, striped] = [0, 0];
  for (let index = Math.ceil(0.15 * n); index <= Math.floor(0.85 * n); index++) {
    const [tx, ty] = tangentAt(line, index, 3);
    const [x, y] = line[index]!;
    const label = (side: number) => of[Math.floor(y + side * tx) * width + Math.floor(x - side * ty)] ?? 0;
    stations++;
    const middle = label(0);
    const off = 0.75 * (deep[index]! - 0.5);
    if ([off, -off].some((side) => label(side) !== middle && own[label(side)])) striped++;
  }
  const mean = (pick: boolean) => {
    const [sum, weight] = own.reduce(([s, w], is, region) => (region > 0 && is === pick ? [s + levels[region]! * total[region]!, w + total[region]!] : [s, w]), [0, 0]);
    return weight > 0 ? sum / weight : null;
  };
  const [inside, outside] = [mean(true)!, mean(false)];
  const slender = length / (2 * Math.max(...deep));
  const parts = {
    uncovered: -uncovered / area,
    onward: -Math.min(1, onward),
    hung: hanging.length > 0 ? hanging.filter((strand) => own[strand.region] || ends.some((end) => isTail(end, strand))).length / hanging.length : 0,
    tails: Math.min(1, 0.6 * Math.max(...tailsAt)) + Math.min(0.4, 0.2 * Math.min(...tailsAt)),
    stripe: -striped / Math.max(1, stations),
    turn: -Math.max(0, sharpestTurn(line, radius) - 0.35),
    slender: -Math.max(0, (3 - slender) / 3, (slender - 14) / 14),
    dark: outside === null ? 0 : Math.max(-1, Math.min(1, (inside - outside) / Math.max(inside, outside))),
    area: area / all,
  };
  const score = (Object.keys(parts) as (keyof typeof parts)[]).reduce((sum, key) => sum + WEIGHTS[key] * parts[key], 0);
  return { regions: own.flatMap((is, region) => (is ? [region] : [])), own, score, length: length * factor, span: span && { from: [span.from[0] * factor, span.from[1] * factor], to: [span.to[0] * factor, span.to[1] * factor], half: span.half * factor }, parts };
}

/** What the whole of it has for it before anything is looked at, log odds: most insects are all body. */
const WHOLE = 0.3;
/** A body leaves out no more than this share of itself straight on. */
const MOST_ONWARD = 0.2;

/** Every set of regions that hangs together, the likeliest body first; none where too few legs hang on it to tell. */
export function guessesOf(regions: Regions, strands: readonly Strand[], tones: Tones, width: number, height: number): Guess[] {
  const sums = regions.areas.map(() => 0);
  for (let at = 0; at < regions.of.length; at++) sums[regions.of[at]!]! += tones.off[at]!;
  const levels = sums.map((sum, region) => sum / Math.max(1, regions.areas[region]!));
  if (strands.length < FEW_STRANDS) return [];
  const all = guessOf(regions.areas.map((_, region) => region > 0), smaller(regions, width, height, true), strands, levels);
  const small = smaller(regions, width, height);
  const guesses: Guess[] = [];
  if (all) guesses.push({ ...all, score: all.score + WHOLE });
  for (let set = 1; set < (1 << regions.count) - (all ? 1 : 0); set++) {
    const own = [false, ...Array.from({ length: regions.count }, (_, index) => (set & (1 << index)) !== 0)];
    const guess = guessOf(own, small, strands, levels);
    // What leaves out a part that goes straight on, as the rest of a body does, is no body.
    if (guess && -guess.parts.onward! < MOST_ONWARD) guesses.push(guess);
  }
  return guesses.sort((one, two) => two.score - one.score);
}
