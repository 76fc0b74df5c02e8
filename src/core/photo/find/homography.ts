import { Matrix, SVD } from 'ml-matrix';
import type { ImagePoint } from '../card';

/** A plane seen in perspective: nine numbers, row by row, from millimetres on the card to pixels. */
export type Homography = readonly number[];

export function project(h: Homography, [x, y]: ImagePoint): ImagePoint {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}

/** The way back: from pixels to millimetres. */
export function inverse(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h as [number, number, number, number, number, number, number, number, number];
  return [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
}

function normaliser(points: readonly ImagePoint[]): { scale: number; x: number; y: number } {
  const x = points.reduce((sum, point) => sum + point[0], 0) / points.length;
  const y = points.reduce((sum, point) => sum + point[1], 0) / points.length;
  const mean = points.reduce((sum, point) => sum + Math.hypot(point[0] - x, point[1] - y), 0) / points.length;
  return { scale: Math.SQRT2 / (mean || 1), x, y };
}

/**
 * The homography that carries `from` to `to` with the least squares error over four or more pairs; null when they lie in a line.
 * Source: normalised direct linear transform, Hartley (1997).
 */
export function homography(from: readonly ImagePoint[], to: readonly ImagePoint[]): Homography | null {
  const [a, b] = [normaliser(from), normaliser(to)];
  const rows = from.flatMap((point, index) => {
    const [x, y] = [(point[0] - a.x) * a.scale, (point[1] - a.y) * a.scale];
    const [u, v] = [(to[index]![0] - b.x) * b.scale, (to[index]![1] - b.y) * b.scale];
    return [
      [-x, -y, -1, 0, 0, 0, u * x, u * y, u],
      [0, 0, 0, -x, -y, -1, v * x, v * y, v],
    ];
  });
  while (rows.length < 9) rows.push(new Array<number>(9).fill(0));
  const svd = new SVD(new Matrix(rows), { computeLeftSingularVectors: false, autoTranspose: true });
  const v = svd.rightSingularVectors.getColumn(8);
  if (!v.every(Number.isFinite) || svd.diagonal[7]! < 1e-9) return null;
  // Undo both scalings: H = B⁻¹ · h · A.
  const n = [v[0]!, v[1]!, v[2]!, v[3]!, v[4]!, v[5]!, v[6]!, v[7]!, v[8]!];
  const withA = [0, 1, 2].flatMap((row) => {
    const [p, q, r] = [n[row * 3]! * a.scale, n[row * 3 + 1]! * a.scale, n[row * 3 + 2]!];
    return [p, q, r - p * a.x - q * a.y];
  });
  const back = [0, 1, 2].map((column) => [
    withA[column]! / b.scale + b.x * withA[6 + column]!,
    withA[3 + column]! / b.scale + b.y * withA[6 + column]!,
    withA[6 + column]!,
  ]);
  const h = [
    back[0]![0]!,
    back[1]![0]!,
    back[2]![0]!,
    back[0]![1]!,
    back[1]![1]!,
    back[2]![1]!,
    back[0]![2]!,
    back[1]![2]!,
    back[2]![2]!,
  ];
  return h[8] === 0 ? null : h.map((value) => value / h[8]!);
}
