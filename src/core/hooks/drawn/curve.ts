/** A point in millimetres: x to the right, y up. */
export type Point = readonly [x: number, y: number];

/** A polyline with the length along it at every point. */
export interface Curve {
  points: Point[];
  along: number[];
  length: number;
}

export function curveOf(points: Point[]): Curve {
  const along = [0];
  for (let i = 1; i < points.length; i++)
    along.push(along[i - 1]! + Math.hypot(points[i]![0] - points[i - 1]![0], points[i]![1] - points[i - 1]![1]));
  return { points, along, length: along[along.length - 1] ?? 0 };
}

/** Position and direction at a length along a curve; beyond its ends it goes straight on. */
export function at(curve: Curve, s: number): { p: Point; t: Point; n: Point } {
  const { points, along } = curve;
  let i = along.findIndex((value) => value >= s);
  if (i < 0) i = points.length - 1;
  i = Math.max(1, i);
  const [a, b] = [points[i - 1]!, points[i]!];
  const span = along[i]! - along[i - 1]! || 1e-9;
  const t: Point = [(b[0] - a[0]) / span, (b[1] - a[1]) / span];
  const u = s - along[i - 1]!;
  // The normal points away from the hook's gape: up where the curve runs to the left.
  return { p: [a[0] + t[0] * u, a[1] + t[1] * u], t, n: [t[1], -t[0]] };
}

/** Turtle walk: runs of a length with a total turning (radians, + to the left of travel). */
export function walk(
  start: Point,
  heading: number,
  runs: readonly { length: number; turn: number }[],
  step: number,
): Curve {
  const points: Point[] = [start];
  let [x, y] = start;
  let angle = heading;
  for (const run of runs) {
    const count = Math.max(1, Math.ceil(run.length / step));
    for (let i = 0; i < count; i++) {
      const turn = run.turn / count;
      const ds = run.length / count;
      x += Math.cos(angle + turn / 2) * ds;
      y += Math.sin(angle + turn / 2) * ds;
      angle += turn;
      points.push([x, y]);
    }
  }
  return curveOf(points);
}

const n = (value: number) => Number(value.toFixed(3));

/** An SVG path of points, y turned downward. */
export function pathOf(points: readonly Point[], closed = false): string {
  return points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${n(x)} ${n(-y)}`).join('') + (closed ? 'Z' : '');
}

/** A band round a stretch of curve: half-width at every share 0–1 of the way. */
export function band(curve: Curve, from: number, to: number, half: (u: number) => number, steps = 24): Point[] {
  const upper: Point[] = [];
  const lower: Point[] = [];
  for (let i = 0; i <= steps; i++) {
    const u = i / steps;
    const { p, n: normal } = at(curve, from + (to - from) * u);
    const h = half(u);
    upper.push([p[0] + normal[0] * h, p[1] + normal[1] * h]);
    lower.push([p[0] - normal[0] * h, p[1] - normal[1] * h]);
  }
  return [...upper, ...lower.reverse()];
}

/** A smooth closed outline through a few points (Catmull–Rom), as an SVG path. */
export function smooth(points: readonly Point[], closed = true): string {
  const count = points.length;
  const get = (i: number) => (closed ? points[(i + count) % count]! : points[Math.min(count - 1, Math.max(0, i))]!);
  let d = `M${n(points[0]![0])} ${n(-points[0]![1])}`;
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const [p0, p1, p2, p3] = [get(i - 1), get(i), get(i + 1), get(i + 2)];
    const c1: Point = [p1[0] + (p2[0] - p0[0]) / 6, p1[1] + (p2[1] - p0[1]) / 6];
    const c2: Point = [p2[0] - (p3[0] - p1[0]) / 6, p2[1] - (p3[1] - p1[1]) / 6];
    d += `C${n(c1[0])} ${n(-c1[1])} ${n(c2[0])} ${n(-c2[1])} ${n(p2[0])} ${n(-p2[1])}`;
  }
  return d + (closed ? 'Z' : '');
}

/** One stroke or wash of a drawing. Colours are CSS; widths are screen pixels unless `mm`. */
export interface Mark {
  d: string;
  fill?: string;
  stroke?: string;
  width?: number;
  /** Stroke width is in millimetres and scales with the drawing: wire. */
  mm?: boolean;
  opacity?: number;
  dash?: string;
}

/** A mark as an SVG path, its line so wide in the units of where it stands. */
export function svgMark({ d, fill, stroke, opacity, dash }: Mark, width: number | undefined): string {
  const line = stroke ? ` stroke="${stroke}" stroke-width="${width}"` : '';
  const clear = opacity === undefined ? '' : ` opacity="${opacity}"`;
  return `<path d="${d}" fill="${fill ?? 'none'}"${line}${clear}${dash ? ` stroke-dasharray="${dash}"` : ''}/>`;
}
