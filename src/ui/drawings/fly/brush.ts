import { at, pathOf, smooth, type Curve, type Mark, type Point } from '@/core/hooks/drawn';

export const INK = 'var(--ink)';

/** Evenly scattered numbers of 0–1 without chance, so that a drawing is the same twice. */
export function scatter(index: number, step = 0.618): number {
  return ((index + 1) * step) % 1;
}

export function towards(from: Point, angle: number, length: number): Point {
  return [from[0] + Math.cos(angle) * length, from[1] + Math.sin(angle) * length];
}

/** One fibre: a line of a length that sags by `droop` radians in its middle. */
export function strand(from: Point, angle: number, length: number, droop = 0): string {
  return smooth([from, towards(from, angle + droop, length * 0.55), towards(from, angle, length)], false);
}

/** Fibres from one point: `count` about an angle, over a spread. */
export function fan(
  from: Point,
  angle: number,
  spread: number,
  length: number,
  count: number,
  droop = 0,
  even = 0.94,
): string {
  return Array.from({ length: count }, (_, index) => {
    const u = count === 1 ? 0.5 : index / (count - 1);
    return strand(from, angle + (u - 0.5) * spread, length * (even + (1 - even) * scatter(index)), droop);
  }).join('');
}

/** Fibres in their colour with a thin line of ink along them. */
export function fibres(d: string, colour: string, width = 1.5, ink = 0.5): Mark[] {
  return [
    { d, stroke: colour, width },
    { d, stroke: INK, width: Math.max(0.4, width * 0.35), opacity: ink },
  ];
}

export interface LeafLook {
  /** Half-widths at the base, the middle and near the tip, as shares of the length. */
  widths?: readonly [number, number, number];
  veins?: number;
  opacity?: number;
  /** A torn or cut tip instead of a point. */
  blunt?: boolean;
}

/** A feather, film or yarn wing: a leaf of a length from a point, at an angle. */
export function leaf(
  from: Point,
  angle: number,
  length: number,
  colour: string,
  { widths = [0.05, 0.15, 0.12], veins = 3, opacity = 0.85, blunt = false }: LeafLook = {},
): Mark[] {
  const to = (u: number, v: number): Point => [
    from[0] + Math.cos(angle) * length * u - Math.sin(angle) * length * v,
    from[1] + Math.sin(angle) * length * u + Math.cos(angle) * length * v,
  ];
  const [a, b, c] = widths;
  const tip = blunt ? c * 0.9 : c * 0.2;
  const outline = [
    to(0, a),
    to(0.4, b),
    to(0.8, c),
    to(1, tip),
    to(1, -tip),
    to(0.8, -c * 0.8),
    to(0.4, -b * 0.7),
    to(0, -a),
  ];
  const lines = Array.from({ length: veins }, (_, index) => {
    const v = ((index + 0.5) / veins - 0.45) * 1.5;
    return smooth([to(0.04, v * a), to(0.5, v * b * 0.8), to(0.93, v * c * 0.8)], false);
  }).join('');
  return [
    { d: smooth(outline), fill: colour, opacity, stroke: INK, width: 0.9 },
    ...(lines ? [{ d: lines, stroke: INK, width: 0.5, opacity: 0.4 }] : []),
  ];
}

/** A place along a line: where, which way it runs (to the rear), and which way is up. */
export interface Place {
  p: Point;
  t: Point;
  n: Point;
}

/** A stretch that a body lies along, with its half-thickness at every share of the way from `from` (the rear) to `to`. */
export interface Stretch {
  at(s: number): Place;
  from: number;
  to: number;
  half(u: number): number;
}

/** Places along a curve. */
export function along(curve: Curve): Stretch['at'] {
  return (s) => at(curve, s);
}

export function bandOutline(stretch: Stretch, steps = 24): Point[] {
  const shares = Array.from({ length: steps + 1 }, (_, index) => index / steps);
  return [...shares.map((u) => on(stretch, u, 1)), ...shares.reverse().map((u) => on(stretch, u, -1))];
}

/** A point of a stretch: share of the way and of the half-thickness, + above. */
export function on({ at: place, from, to, half }: Stretch, u: number, v: number): Point {
  const { p, n } = place(from + (to - from) * u);
  const h = half(u) * v;
  return [p[0] + n[0] * h, p[1] + n[1] * h];
}

/** Directions at a point of a stretch: away from the hook, and toward the rear. */
export function anglesAt({ at: place, from, to }: Stretch, u: number): { up: number; rear: number } {
  const { n, t } = place(from + (to - from) * u);
  return { up: Math.atan2(n[1], n[0]), rear: Math.atan2(t[1], t[0]) };
}

/** Hairs standing out of a stretch, above and below, leaning to the rear. `reach` is millimetres beyond the body. */
export function hairs(
  stretch: Stretch,
  count: number,
  reach: number,
  lean = 0.5,
  sides: readonly (1 | -1)[] = [1, -1],
): string {
  return Array.from({ length: count }, (_, index) => {
    const u = 0.03 + 0.94 * scatter(index);
    return sides
      .map((side) => {
        const { up, rear } = anglesAt(stretch, u);
        const outward = side === 1 ? up : up + Math.PI;
        const turn = Math.atan2(Math.sin(rear - outward), Math.cos(rear - outward));
        return strand(
          on(stretch, u, side * 0.85),
          outward + turn * lean * (0.55 + 0.9 * scatter(index, 0.755)),
          reach * (0.65 + 0.5 * scatter(index, 0.382)),
        );
      })
      .join('');
  }).join('');
}

/** Lines across a stretch, one a turn, leaning as wound turns do. */
export function turns(stretch: Stretch, count: number, slant = 0.3, reach = 0.97): string {
  return Array.from({ length: Math.max(1, Math.round(count)) }, (_, index) => {
    const u = (index + 0.5) / Math.max(1, Math.round(count));
    const d = slant / Math.max(1, count) / 2;
    return smooth(
      [
        on(stretch, Math.min(1, Math.max(0, u - d)), -reach),
        on(stretch, u, 0),
        on(stretch, Math.min(1, Math.max(0, u + d)), reach),
      ],
      false,
    );
  }).join('');
}

export function path(points: readonly Point[], closed = false): string {
  return pathOf(points, closed);
}

/** Bounds of marks, mm, y up. Curves are held by their handles. */
export function boundsOf(marks: readonly Mark[]): { left: number; right: number; top: number; bottom: number } {
  const bounds = { left: Infinity, right: -Infinity, top: -Infinity, bottom: Infinity };
  for (const mark of marks) {
    const numbers = mark.d.match(/-?\d*\.?\d+/g) ?? [];
    for (let i = 0; i + 1 < numbers.length; i += 2) {
      const [x, y] = [Number(numbers[i]), -Number(numbers[i + 1])];
      bounds.left = Math.min(bounds.left, x);
      bounds.right = Math.max(bounds.right, x);
      bounds.top = Math.max(bounds.top, y);
      bounds.bottom = Math.min(bounds.bottom, y);
    }
  }
  return bounds;
}
