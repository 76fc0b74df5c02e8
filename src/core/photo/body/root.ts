import type { ImagePoint } from '../card';
import { mean, median } from '../median';
import { lengthOf, nearestOn, spaced, tangentAt, type Line } from './midline';
import type { Tones } from '../field/tones';
import type { Strand } from './strands';

/** Where a body falls to its tails: how far beyond the last point of the line (below 0: before it), px, and how well that is known. */
export interface Root {
  out: number;
  sd: number;
  /** How plainly it falls there: the log likelihood ratio of an end against none. */
  plain: number;
}

export interface RootView {
  width: number;
  height: number;
  tones: Tones;
  /** What is not paper and may be body or tails: wings left out. */
  ink: Uint8Array;
  /** Width of a sharp edge, px. */
  edgePx: number;
}

const STEP = 0.5;
/** Looked at across the line, half-widths of the body. */
const WINDOW = 1.3;
/** Looked at: so much of the line before its end, and beyond it, shares of its length. */
const BACK = 0.62;
const ON = 0.35;
/** An end is sought so far before the place where the tails part, and a little beyond it. */
const BEFORE_PARTING = 0.42;
const BEYOND_PARTING = 0.03;
/** Share of what is looked at that is body for certain. */
const STILL = 0.35;
/** And at least so far before the end of the line. */
const BEFORE_END = 0.15;
/** Either side of an end, share of the length, at least px. */
const BESIDE = 0.09;
const LEAST_BESIDE = 5;
/** Scatter that a body has by itself: of its width, and of its tone, CIE76. */
const LEAST_SCATTER = [0.02, 1.2] as const;
/** Log likelihood ratio from which a fall is plain; below it the end may be anywhere that was looked at. */
const PLAIN = 28;
/** Another place that falls by this share of the best, and by so much, may be the end as well. */
const AS_PLAIN = 0.55;
const LEAST_PLAIN = 8;
/** Tails that run together are no wider than this against the body. */
const TAIL_WIDE = 0.5;
/** Before the end of a line: further than this share of it. */
const INNER = 0.02;
/** A place that may lie anywhere in a stretch: its SD as a share of it. */
const ANYWHERE = 0.36;
/** SD of an end that no fall shows, share of the length. */
const WEAK_SD = 0.08;

interface Profile {
  at: number[];
  ink: number[];
  /** Middle tone: L*, a*, b*. */
  tone: [number, number, number][];
}

/** Tails part by no more than this: so much wider is looked, for each step beyond. */
const PARTING_SLOPE = 0.45;

/** Across the line at every step: how much ink, and its tone. Where tails part, as wide as they do. */
function profileOf(
  line: Line,
  { width, height, tones, ink }: RootView,
  from: number,
  on: number,
  half: number,
  parting: number,
): Profile {
  const length = lengthOf(line);
  const points = spaced(line, STEP);
  const n = points.length - 1;
  const step = length / n;
  const [hx, hy] = tangentAt(points, n, Math.max(4, Math.round(half / STEP)));
  const centre: { spot: ImagePoint; way: ImagePoint; s: number }[] = [];
  for (let index = Math.max(0, Math.floor(from / step)); index <= n; index++)
    centre.push({ spot: points[index]!, way: tangentAt(points, index, 6), s: index * step });
  for (let t = STEP; t <= on; t += STEP)
    centre.push({ spot: [points[n]![0] + hx * t, points[n]![1] + hy * t], way: [hx, hy], s: length + t });
  const out: Profile = { at: [], ink: [], tone: [] };
  for (const { spot, way, s } of centre) {
    let sum = 0;
    let weight = 0;
    const tone: [number, number, number] = [0, 0, 0];
    const reach = WINDOW * half + PARTING_SLOPE * Math.max(0, s - length - parting + half);
    for (let k = -reach; k <= reach; k += 0.5) {
      const x = Math.floor(spot[0] - way[1] * k);
      const y = Math.floor(spot[1] + way[0] * k);
      if (x < 0 || y < 0 || x >= width || y >= height) continue;
      const at = y * width + x;
      if (ink[at] === 0) continue;
      const off = tones.off[at]!;
      sum += off * 0.5;
      // The rim of a thing is mixed with paper: its middle counts most.
      weight += off * off;
      tone[0] += tones.L[at]! * off * off;
      tone[1] += tones.a[at]! * off * off;
      tone[2] += tones.b[at]! * off * off;
    }
    out.at.push(s);
    out.ink.push(sum);
    out.tone.push(weight > 0 ? (tone.map((value) => value / weight) as [number, number, number]) : [100, 0, 0]);
  }
  return out;
}

/** A line through some values by least squares: its value at a place, and how far they scatter about it. */
function fitOf(
  values: readonly number[],
  from: number,
  to: number,
): { at: (index: number) => number; scatter: number } {
  const n = to - from + 1;
  const middle = (from + to) / 2;
  let [sy, sxx, sxy, syy] = [0, 0, 0, 0];
  for (let index = from; index <= to; index++) {
    const [x, y] = [index - middle, values[index]!];
    sy += y;
    sxx += x * x;
    sxy += x * y;
    syy += y * y;
  }
  return {
    at: (index) => sy / n + (sxy / sxx) * (index - middle),
    scatter: Math.sqrt(Math.max(0, syy - (sy * sy) / n - (sxy * sxy) / sxx) / (n - 2)),
  };
}

const meanOf = (values: readonly number[], from: number, to: number) => mean(values.slice(from, to + 1));

/** Tails leave within this of the line's direction (cosine), and so near to it, half-widths: within the line, where legs leave too, and beyond its end. */
const WAY = { within: 0.9, beyond: 0.75 } as const;
const BESIDE_LINE = { within: 0.5, beyond: 1 } as const;
/** Tails that run together part no further beyond the end than this share of the line. */
const FAR_PARTING = 0.9;
/** Tails leave the last part of a line that runs on into them, share of its length. */
const RUNS_ON = 0.45;

/** Tails that leave this end of a line, by where they part from each other along it, px beyond its last point; null when none does. */
export function partingOf(line: Line, tails: readonly Pick<Strand, 'root' | 'out'>[], half: number): number | null {
  const length = lengthOf(line);
  const n = line.length - 1;
  const [ex, ey] = tangentAt(line, n, Math.max(2, Math.min(n, 8)));
  const [x0, y0] = line[n]!;
  const found = tails.flatMap(({ root, out }) => {
    const along = (root[0] - x0) * ex + (root[1] - y0) * ey;
    if (along > 0) {
      const across = Math.abs((root[0] - x0) * ey - (root[1] - y0) * ex);
      return along < FAR_PARTING * length &&
        across < BESIDE_LINE.beyond * half + 0.15 * along &&
        out[0] * ex + out[1] * ey > WAY.beyond
        ? [along]
        : [];
    }
    const best = nearestOn(line, root[0], root[1]);
    const least = Math.hypot(line[best]![0] - root[0], line[best]![1] - root[1]);
    const [tx, ty] = tangentAt(line, best, 3);
    return best > (1 - RUNS_ON) * n && least < BESIDE_LINE.within * half && out[0] * tx + out[1] * ty > WAY.within
      ? [(best / n - 1) * length]
      : [];
  });
  return found.length === 0 ? null : Math.max(...found);
}

/**
 * Where the body at the end of a line falls to its tails, which part at `parting`; where none are seen to part it may fall to tails that run together, before the end of the
 * line, and the ± holds both. Null when nothing falls.
 */
export function rootOf(line: Line, view: RootView, half: number, seen: number | null): Root | null {
  const length = lengthOf(line);
  const parting = seen ?? 0;
  const { at, ink, tone } = profileOf(
    line,
    view,
    (1 - BACK) * length,
    Math.max(ON * length, parting + BEYOND_PARTING * length + half),
    half,
    parting,
  );
  const first = at[0]!;
  const step = at[1]! - first;
  const usual = median(ink.slice(0, Math.floor(ink.length * STILL)));
  if (usual === 0) return null;
  const channels = [ink.map((value) => value / usual), ...[0, 1, 2].map((axis) => tone.map((value) => value[axis]!))];
  const beside = Math.max(3, Math.round(Math.max(LEAST_BESIDE, BESIDE * length) / step));
  const gap = Math.round(Math.max(0.5, 0.4 * view.edgePx) / step);
  // How far the body scatters about lines of that length where no end is.
  const still = channels.map((values, channel) => {
    const found: number[] = [];
    for (let index = 0; index + beside < Math.floor(values.length * STILL); index += 2)
      found.push(fitOf(values, index, index + beside).scatter);
    return Math.max(LEAST_SCATTER[channel === 0 ? 0 : 1], median(found));
  });
  const places: { s: number; plain: number }[] = [];
  const [from, to] = [
    length + Math.min(parting - BEFORE_PARTING * length, -BEFORE_END * length),
    length + parting + BEYOND_PARTING * length + 2,
  ];
  for (let index = beside + gap; index + gap + beside < at.length; index++) {
    const s = at[index]!;
    if (s < from || s > to) continue;
    if (meanOf(ink, index + gap, index + gap + beside) > meanOf(ink, index - gap - beside, index - gap)) continue;
    const [a0, a1, b0, b1] = [index - gap - beside, index - gap, index + gap, index + gap + beside];
    const short = Math.max(2, beside >> 1);
    // The fall at the place itself: the lines on either side are carried on to it.
    const plain = channels.reduce((sum, values, channel) => {
      const fall =
        channel === 0
          ? fitOf(values, a0, a1).at(index) - fitOf(values, b0, b1).at(index)
          : meanOf(values, a1 - short, a1) - meanOf(values, b0, b0 + short);
      return sum + (fall / still[channel]!) ** 2;
    }, 0);
    places.push({ s, plain: plain / 2 });
  }
  if (places.length === 0) return null;
  if (seen === null) {
    const slim = (s: number) => meanOf(ink, Math.round((s - first) / step), ink.length - 1) < TAIL_WIDE * usual;
    const inner = places.filter(
      ({ s, plain }, index) =>
        s < length - INNER * length &&
        plain > PLAIN &&
        slim(s) &&
        places.slice(Math.max(0, index - 4), index + 5).every((other) => other.plain <= plain),
    );
    if (inner.length === 0) return null;
    const likeliest = inner.reduce((one, two) => (two.plain > one.plain ? two : one));
    return { out: likeliest.s - length, sd: (length + half - likeliest.s) / 2, plain: likeliest.plain };
  }
  const best = places.reduce((one, two) => (two.plain > one.plain ? two : one));
  const others = places.filter(({ plain }) => plain > Math.max(LEAST_PLAIN, AS_PLAIN * best.plain));
  const near = best.plain < PLAIN || others.length === 0 ? places : others;
  const spread = near[near.length - 1]!.s - near[0]!.s;
  const least = best.plain < PLAIN ? WEAK_SD * length : 0.5;
  return { out: best.s - length, sd: Math.max(least, ANYWHERE * spread), plain: best.plain };
}

/** A body goes on beyond what is taken of it by no more than this share of its half-width where something hangs beside its end: all that is seen there is so much wider. */
const CARRIED = 0.5;
const HUNG = 1.8;

/**
 * A root far beyond what was taken for the body, which ends `seen` px beyond its line, may be that of wings that lie beside it (`beside`: width of all that is seen
 * before that end, against the body's): the body ends there, and the ± holds both. With nothing beside it the body goes on in another tone.
 */
export function notCarried(root: Root, seen: number, half: number, beside: number): Root {
  const on = root.out - seen;
  return beside > HUNG && on > CARRIED * half ? { ...root, out: seen, sd: Math.max(root.sd, on / 2) } : root;
}
