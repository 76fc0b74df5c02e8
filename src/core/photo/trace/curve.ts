import { lengthOf, spaced } from '../body/midline';
import type { ImagePoint } from '../card';

const STEPS = 12;

/**
 * A smooth line through every node: centripetal Catmull–Rom, which makes no loops between uneven nodes. Two nodes give a straight line.
 * Source: Yuksel, Schaefer and Keyser (2011).
 */
export function curveThrough(nodes: readonly ImagePoint[]): ImagePoint[] {
  if (nodes.length < 3) return [...nodes];
  const at = (index: number): ImagePoint => {
    if (index >= 0 && index < nodes.length) return nodes[index]!;
    // Beyond an end the line goes on as it came.
    const [end, next] = index < 0 ? [nodes[0]!, nodes[1]!] : [nodes[nodes.length - 1]!, nodes[nodes.length - 2]!];
    return [2 * end[0] - next[0], 2 * end[1] - next[1]];
  };
  const out: ImagePoint[] = [nodes[0]!];
  for (let span = 0; span + 1 < nodes.length; span++) {
    const [p0, p1, p2, p3] = [at(span - 1), at(span), at(span + 1), at(span + 2)];
    const gap = (a: ImagePoint, b: ImagePoint) => Math.max(1e-6, Math.sqrt(Math.hypot(b[0] - a[0], b[1] - a[1])));
    const t1 = gap(p0, p1);
    const t2 = t1 + gap(p1, p2);
    const t3 = t2 + gap(p2, p3);
    for (let step = 1; step <= STEPS; step++) {
      const t = t1 + ((t2 - t1) * step) / STEPS;
      out.push(
        [0, 1].map((axis) => {
          const [a, b, c, d] = [p0[axis]!, p1[axis]!, p2[axis]!, p3[axis]!];
          const a1 = ((t1 - t) * a + t * b) / t1;
          const a2 = ((t2 - t) * b + (t - t1) * c) / (t2 - t1);
          const a3 = ((t3 - t) * c + (t - t2) * d) / (t3 - t2);
          const b1 = ((t2 - t) * a1 + t * a2) / t2;
          const b2 = ((t3 - t) * a2 + (t - t1) * a3) / (t3 - t1);
          return ((t2 - t) * b1 + (t - t1) * b2) / (t2 - t1);
        }) as unknown as ImagePoint,
      );
    }
  }
  return out;
}

/** A few nodes along a line, its ends among them: what a hand can move. */
export function nodesOf(line: readonly ImagePoint[], count: number): ImagePoint[] {
  return spaced(line, lengthOf(line) / (count - 1));
}

/** Where a share of the way along a line lies, and the direction there. */
export function alongLine(line: readonly ImagePoint[], share: number): { at: ImagePoint; direction: ImagePoint } {
  let left = Math.min(1, Math.max(0, share)) * lengthOf(line);
  for (let index = 1; index < line.length; index++) {
    const [a, b] = [line[index - 1]!, line[index]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (left <= length || index === line.length - 1) {
      const t = length === 0 ? 0 : Math.min(1, left / length);
      return {
        at: [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t],
        direction: [(b[0] - a[0]) / (length || 1), (b[1] - a[1]) / (length || 1)],
      };
    }
    left -= length;
  }
  return { at: line[0]!, direction: [1, 0] };
}

/** The share of the way along a line that lies nearest to a spot, and how far off it is. */
export function shareNear(line: readonly ImagePoint[], [x, y]: ImagePoint): { share: number; off: number } {
  const total = lengthOf(line) || 1;
  let walked = 0;
  let best = { share: 0, off: Infinity };
  for (let index = 1; index < line.length; index++) {
    const [a, b] = [line[index - 1]!, line[index]!];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const length = Math.hypot(dx, dy);
    const t = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / length ** 2));
    const off = Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy);
    if (off < best.off) best = { share: (walked + t * length) / total, off };
    walked += length;
  }
  return best;
}
