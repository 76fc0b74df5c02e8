import type { ImagePoint } from '../card';
import { alongLine } from '../trace/curve';
import { lengthOf, reachIn, tangentAt, type Line } from './midline';

/** What is needed to see where a body ends. */
export interface EndView {
  trunk: Uint8Array;
  width: number;
  height: number;
  radius: number;
  /** Distance from paper, over the same window. */
  off: Float32Array;
}

/** Half the strip that tells where a body ends, as a share of its half-width, and samples on either side. */
const ACROSS = 0.28;
const SIDE = 3;

function sample(values: Float32Array, width: number, height: number, x: number, y: number): number {
  const fx = Math.min(width - 1.001, Math.max(0, x - 0.5));
  const fy = Math.min(height - 1.001, Math.max(0, y - 0.5));
  const [ix, iy] = [fx | 0, fy | 0];
  const [tx, ty] = [fx - ix, fy - iy];
  const at = iy * width + ix;
  return (
    (values[at]! * (1 - tx) + values[at + 1]! * tx) * (1 - ty) +
    (values[at + width]! * (1 - tx) + values[at + width + 1]! * tx) * ty
  );
}

/**
 * How far beyond the last point of a line the body goes, px: along the line's direction to where the trunk is left, and there to
 * the half-way tone between body and paper.
 */
function beyond(line: Line, view: EndView): { out: number; direction: ImagePoint } {
  const n = line.length - 1;
  const { trunk, width, height, radius, off } = view;
  const back = Math.max(2, Math.min(n, 8));
  const direction = tangentAt(line, n, back);
  const from = line[n]!;
  const left = reachIn(trunk, width, height, from, direction, 4 * radius);
  const [nx, ny]: ImagePoint = [-direction[1], direction[0]];
  const halfWidth = Math.min(
    reachIn(trunk, width, height, from, [nx, ny], radius),
    reachIn(trunk, width, height, from, [-nx, -ny], radius),
  );
  const lateral = Math.max(0.4, ACROSS * halfWidth);
  const across = new Float32Array(2 * SIDE + 1);
  const strip = (t: number) => {
    for (let k = -SIDE; k <= SIDE; k++)
      across[k + SIDE] = sample(
        off,
        width,
        height,
        from[0] + direction[0] * t + (nx * lateral * k) / SIDE,
        from[1] + direction[1] * t + (ny * lateral * k) / SIDE,
      );
    // The middle one of them: roots of tails beside the axis do not carry the body on.
    return across.sort()[SIDE]!;
  };
  let inside = 0;
  let count = 0;
  for (let t = left - 1.6 * radius; t <= left - Math.max(1.5, 0.3 * radius); t += 0.5) {
    inside += strip(t);
    count++;
  }
  const level = count > 0 ? inside / count : strip(left - 2);
  const window = Math.max(1.6, 0.35 * radius);
  for (let t = left - window; t <= left + window; t += 0.1) if (strip(t) < 0.5 * level) return { out: t, direction };
  return { out: left, direction };
}

/** The midline carried on to both ends of the body. */
export function toEnds(line: Line, view: EndView): Line {
  const last = beyond(line, view);
  const first = beyond([...line].reverse(), view);
  const tail = line[line.length - 1]!;
  const head = line[0]!;
  return [
    [head[0] + first.direction[0] * first.out, head[1] + first.direction[1] * first.out],
    ...line,
    [tail[0] + last.direction[0] * last.out, tail[1] + last.direction[1] * last.out],
  ];
}

/** A line as long as is said: cut back, or carried straight on. */
export function endedAt(line: Line, length: number): Line {
  const whole = lengthOf(line);
  const n = line.length - 1;
  if (length >= whole) {
    const [dx, dy] = tangentAt(line, n, Math.max(2, Math.min(n, 8)));
    return [...line, [line[n]![0] + dx * (length - whole), line[n]![1] + dy * (length - whole)]];
  }
  let walked = 0;
  const kept = line.findIndex((point, index) => {
    if (index > 0) walked += Math.hypot(point[0] - line[index - 1]![0], point[1] - line[index - 1]![1]);
    return walked >= length;
  });
  return [...line.slice(0, kept), alongLine(line, length / whole).at];
}
