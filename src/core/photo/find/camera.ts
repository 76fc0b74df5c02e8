import type { ImagePoint } from '../card';
import type { Homography } from './homography';

/** Where the camera stood over the card, mm in the card's frame; `sdShare` is how uncertain its height is. */
export interface Camera {
  above: readonly [x: number, y: number, height: number];
  tiltDeg: number;
  sdShare: number;
}

/** Focal length of phones and pocket cameras as a share of the picture's longer side, and its spread. A model. */
const USUAL_FOCAL = 0.77;
const FOCAL_SD = 0.2;
/** Error of the focal length that the card's own perspective gives, at 10 degrees of tilt, as a share. */
const OWN_SD_AT_TEN = 0.22;

/**
 * The camera from the card's perspective: the focal length that makes the card's sides square and equal in scale, drawn toward the
 * usual one as far as the tilt leaves it open. Source: Zhang (2000), one plane, square pixels, centre of the picture.
 */
export function cameraOver(h: Homography, width: number, height: number): Camera {
  const c: ImagePoint = [width / 2, height / 2];
  const column = (index: number) =>
    [h[index]! - c[0] * h[6 + index]!, h[3 + index]! - c[1] * h[6 + index]!, h[6 + index]!] as const;
  const [a, b, t] = [column(0), column(1), column(2)];
  const usual = USUAL_FOCAL * Math.max(width, height);
  const tiltFor = (f: number) => {
    const u = [a[0] / f, a[1] / f, a[2]] as const;
    const v = [b[0] / f, b[1] / f, b[2]] as const;
    const normal = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    return (Math.acos(Math.min(1, Math.abs(normal[2]!) / Math.hypot(...normal))) * 180) / Math.PI;
  };
  const squares: { f2: number; weight: number }[] = [];
  const dot = a[2] * b[2];
  if (dot !== 0) squares.push({ f2: -(a[0] * b[0] + a[1] * b[1]) / dot, weight: Math.abs(dot) });
  const apart = b[2] ** 2 - a[2] ** 2;
  if (apart !== 0)
    squares.push({ f2: (a[0] ** 2 + a[1] ** 2 - b[0] ** 2 - b[1] ** 2) / apart, weight: Math.abs(apart) / 2 });
  const good = squares.filter(({ f2 }) => f2 > (0.35 * usual) ** 2 && f2 < (3 * usual) ** 2);
  const total = good.reduce((sum, { weight }) => sum + weight, 0);
  const own = total > 0 ? Math.sqrt(good.reduce((sum, { f2, weight }) => sum + f2 * weight, 0) / total) : null;
  const ownSd = own === null ? Infinity : OWN_SD_AT_TEN * (10 / Math.max(1, tiltFor(usual))) ** 2;
  const [wUsual, wOwn] = [1 / FOCAL_SD ** 2, own === null ? 0 : 1 / ownSd ** 2];
  const f = Math.exp((wUsual * Math.log(usual) + wOwn * Math.log(own ?? usual)) / (wUsual + wOwn));
  const [u, v, w] = [a, b, t].map((item) => [item[0] / f, item[1] / f, item[2]] as const) as [
    readonly [number, number, number],
    readonly [number, number, number],
    readonly [number, number, number],
  ];
  const scale = 2 / (Math.hypot(...u) + Math.hypot(...v));
  const r1 = u.map((value) => value * scale);
  const r2 = v.map((value) => value * scale);
  const at = w.map((value) => value * scale);
  const r3 = [r1[1]! * r2[2]! - r1[2]! * r2[1]!, r1[2]! * r2[0]! - r1[0]! * r2[2]!, r1[0]! * r2[1]! - r1[1]! * r2[0]!];
  const along = (r: readonly number[]) => -(r[0]! * at[0]! + r[1]! * at[1]! + r[2]! * at[2]!);
  return {
    above: [along(r1), along(r2), Math.abs(along(r3))],
    tiltDeg: tiltFor(f),
    sdShare: Math.sqrt(1 / (wUsual + wOwn)),
  };
}
