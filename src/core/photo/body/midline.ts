import type { ImagePoint } from '../card';

/** A line through a mask from end to end, evenly spaced, in pixels of the mask. */
export type Line = ImagePoint[];

/** Smallest first; a plain binary heap of keys and values. */
class Heap {
  private readonly keys: number[] = [];
  private readonly values: number[] = [];

  push(key: number, value: number): void {
    let at = this.keys.length;
    this.keys.push(key);
    this.values.push(value);
    while (at > 0) {
      const up = (at - 1) >> 1;
      if (this.keys[up]! <= key) break;
      this.keys[at] = this.keys[up]!;
      this.values[at] = this.values[up]!;
      at = up;
    }
    this.keys[at] = key;
    this.values[at] = value;
  }

  pop(): [key: number, value: number] | null {
    const n = this.keys.length;
    if (n === 0) return null;
    const top: [number, number] = [this.keys[0]!, this.values[0]!];
    const key = this.keys.pop()!;
    const value = this.values.pop()!;
    if (n > 1) {
      let at = 0;
      for (;;) {
        let down = 2 * at + 1;
        if (down >= this.keys.length) break;
        if (down + 1 < this.keys.length && this.keys[down + 1]! < this.keys[down]!) down++;
        if (this.keys[down]! >= key) break;
        this.keys[at] = this.keys[down]!;
        this.values[at] = this.values[down]!;
        at = down;
      }
      this.keys[at] = key;
      this.values[at] = value;
    }
    return top;
  }
}

interface ShortestPaths {
  before: Int32Array;
  /** The way's length with every step as long as the body is deep there: nothing outside. */
  depthSum: Float64Array;
}

/** Cheapest ways from one pixel to all others of a mask. */
function shortestPaths(
  mask: Uint8Array,
  width: number,
  height: number,
  from: number,
  cost: Float32Array,
  depth: Float32Array,
): ShortestPaths {
  const reached = new Float64Array(mask.length).fill(Infinity);
  const depthSum = new Float64Array(mask.length);
  const before = new Int32Array(mask.length).fill(-1);
  const heap = new Heap();
  reached[from] = 0;
  heap.push(0, from);
  for (let next = heap.pop(); next; next = heap.pop()) {
    const [key, at] = next;
    if (key > reached[at]!) continue;
    const x = at % width;
    const y = (at - x) / width;
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) {
        if ((dx === 0 && dy === 0) || x + dx < 0 || x + dx >= width || y + dy < 0 || y + dy >= height) continue;
        const to = at + dy * width + dx;
        if (mask[to] === 0) continue;
        const far = dx !== 0 && dy !== 0 ? Math.SQRT2 : 1;
        const step = far * cost[to]!;
        if (key + step < reached[to]!) {
          depthSum[to] = depthSum[at]! + far * depth[to]!;
          reached[to] = key + step;
          before[to] = at;
          heap.push(key + step, to);
        }
      }
  }
  return { before, depthSum };
}

/** Where the most body lies on the way to: the other end, and not the tip of a long leg. */
function farthest({ depthSum }: ShortestPaths): number {
  let best = 0;
  for (let at = 1; at < depthSum.length; at++) if (depthSum[at]! > depthSum[best]!) best = at;
  return best;
}

export function lengthOf(line: readonly ImagePoint[]): number {
  let sum = 0;
  for (let index = 1; index < line.length; index++)
    sum += Math.hypot(line[index]![0] - line[index - 1]![0], line[index]![1] - line[index - 1]![1]);
  return sum;
}

/** The line with points every `step`. */
export function spaced(line: readonly ImagePoint[], step: number): Line {
  const total = lengthOf(line);
  const count = Math.max(2, Math.round(total / step) + 1);
  const out: Line = [line[0]!];
  let index = 1;
  let walked = 0;
  for (let k = 1; k < count - 1; k++) {
    const goal = (total * k) / (count - 1);
    for (;;) {
      const [a, b] = [line[index - 1]!, line[index]!];
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      if (walked + length >= goal || index === line.length - 1) {
        const t = length === 0 ? 0 : Math.min(1, (goal - walked) / length);
        out.push([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]);
        break;
      }
      walked += length;
      index++;
    }
  }
  out.push(line[line.length - 1]!);
  return out;
}

/** Every point moved to a parabola through its neighbours within `reach`: noise goes, curvature stays. */
function smoothed(line: readonly ImagePoint[], reach: number): Line {
  const n = line.length;
  if (n < 5) return [...line];
  return line.map((_, index): ImagePoint => {
    const from = Math.max(0, Math.min(index - reach, n - 5));
    const to = Math.min(n - 1, Math.max(index + reach, 4));
    return [0, 1].map((axis) => parabolaAt(line, axis as 0 | 1, from, to, index)) as unknown as ImagePoint;
  });
}

function parabolaAt(line: readonly ImagePoint[], axis: 0 | 1, from: number, to: number, at: number): number {
  let [s0, s1, s2, s3, s4, t0, t1, t2] = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let k = from; k <= to; k++) {
    const u = (k - at) / Math.max(1, to - from);
    const w = 1 - Math.min(0.95, Math.abs(u));
    const v = line[k]![axis];
    s0 += w;
    s1 += w * u;
    s2 += w * u * u;
    s3 += w * u * u * u;
    s4 += w * u * u * u * u;
    t0 += w * v;
    t1 += w * u * v;
    t2 += w * u * u * v;
  }
  const det = s0 * (s2 * s4 - s3 * s3) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 * s2);
  if (Math.abs(det) < 1e-12) return line[at]![axis];
  return (t0 * (s2 * s4 - s3 * s3) - s1 * (t1 * s4 - s3 * t2) + s2 * (t1 * s3 - s2 * t2)) / det;
}

/** The point of a line that lies nearest to a spot. */
export function nearestOn(line: readonly ImagePoint[], x: number, y: number): number {
  let [best, least] = [0, Infinity];
  for (let index = 0; index < line.length; index++) {
    const off = (line[index]![0] - x) ** 2 + (line[index]![1] - y) ** 2;
    if (off < least) [best, least] = [index, off];
  }
  return best;
}

export function tangentAt(line: readonly ImagePoint[], index: number, reach = 2): ImagePoint {
  const a = line[Math.max(0, index - reach)]!;
  const b = line[Math.min(line.length - 1, index + reach)]!;
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
}

/** The most that a line turns over three radii of its body, radians. */
export function sharpestTurn(line: readonly ImagePoint[], radius: number): number {
  const reach = Math.max(2, Math.round((1.5 * radius * (line.length - 1)) / Math.max(1, lengthOf(line))));
  let most = 0;
  for (let index = reach; index + reach < line.length; index++) {
    const [a, b, c] = [line[index - reach]!, line[index]!, line[index + reach]!];
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    most = Math.max(most, Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)));
  }
  return most;
}

/** How far one can go from a point in a direction without leaving a mask, px. */
export function reachIn(
  mask: Uint8Array,
  width: number,
  height: number,
  [x, y]: ImagePoint,
  [dx, dy]: ImagePoint,
  most: number,
): number {
  const step = 0.25;
  for (let t = 0; t <= most; t += step) {
    const px = Math.floor(x + dx * t);
    const py = Math.floor(y + dy * t);
    if (px < 0 || py < 0 || px >= width || py >= height || mask[py * width + px] === 0)
      return Math.max(0, t - step / 2);
  }
  return most;
}

const CENTRING_ROUNDS = 4;

/** The midline of a trunk, from one end of it to the other, curved as it is; null when it has no length. `depth` is the trunk's own. */
export function midlineOf(
  trunk: Uint8Array,
  width: number,
  height: number,
  radius: number,
  depth: Float32Array,
): Line | null {
  const first = trunk.indexOf(1);
  if (first < 0) return null;
  // Near the edge a step costs more, so that the way keeps to the middle.
  const cost = new Float32Array(depth.length);
  for (let at = 0; at < cost.length; at++) cost[at] = 1 + 12 * Math.max(0, 1 - depth[at]! / radius) ** 2;
  const waysFrom = (at: number) => shortestPaths(trunk, width, height, at, cost, depth);
  const one = farthest(waysFrom(farthest(waysFrom(first))));
  const { before, depthSum } = waysFrom(one);
  const other = farthest({ before, depthSum });
  const way: Line = [];
  for (let at = other; at >= 0; at = before[at]!) way.push([(at % width) + 0.5, Math.floor(at / width) + 0.5]);
  if (way.length < 3) return null;
  // The ends of the way run into corners; the middle does not.
  const trimmed = trimmedBy(way, Math.min(1.1 * radius, lengthOf(way) / 4));
  let line = spaced(trimmed, Math.max(0.8, radius * 0.2));
  const reach = Math.max(3, Math.round((1.3 * radius) / Math.max(0.8, radius * 0.2)));
  for (let round = 0; round < CENTRING_ROUNDS; round++) {
    line = smoothed(line, reach);
    line = line.map((point, index): ImagePoint => {
      const [tx, ty] = tangentAt(line, index, 3);
      const most = 1.8 * radius;
      const up = reachIn(trunk, width, height, point, [-ty, tx], most);
      const down = reachIn(trunk, width, height, point, [ty, -tx], most);
      // A leg or wing root makes one side long: the narrower side leads.
      const shift = Math.max(
        -0.5 * radius,
        Math.min(0.5 * radius, (Math.min(up, 1.3 * radius) - Math.min(down, 1.3 * radius)) / 2),
      );
      return [point[0] - ty * shift, point[1] + tx * shift];
    });
  }
  return smoothed(line, reach);
}

/** The way without the last bit at each end. */
function trimmedBy(way: Line, most: number): Line {
  const cut = (points: Line): Line => {
    let walked = 0;
    for (let index = 1; index < points.length; index++) {
      walked += Math.hypot(points[index]![0] - points[index - 1]![0], points[index]![1] - points[index - 1]![1]);
      if (walked >= most) return points.slice(index);
    }
    return points;
  };
  return cut(cut(way).reverse()).reverse();
}
