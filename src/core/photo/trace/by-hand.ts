import { labOfBytes, type Lab } from '../../colour';
import { lengthOf } from '../body/midline';
import { colourOfPixels, type RegionColour } from '../body/region-colours';
import type { ImagePoint } from '../card';
import { homography, inverse, project, type Homography } from '../find/homography';
import { encoded, LINEAR, type Picture } from '../picture';
import { curveThrough } from './curve';

/** Millimetres of a picture that were given by hand, and how uncertain they are as a share. */
export interface HandScale {
  toMm: Homography;
  sdShare: number;
}

/** Places tapped on a picture, px of it. */
export interface Tapped {
  spots: readonly ImagePoint[];
  /** SD of one tap, px of the picture: smaller the closer the tier has gone. */
  tapPx: number;
}

/** A picture is seldom taken from straight above: without a rectangle the slant is not known. */
const SLANT_SD = 0.015;
/** The insect lies nearer to the camera than what the scale was taken from. */
const HEIGHT_SD = 0.006;
const WAY_SD = 0.004;
const LEAST_PX = 8;

/** Scale from two taps on something of known length; null when they lie on one another. Taken to hold over the whole picture. */
export function scaleOfTwo({ spots: [a, b], tapPx }: Tapped, knownMm: number): HandScale | null {
  if (!a || !b) return null;
  const px = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (px < LEAST_PX || knownMm <= 0) return null;
  const mm = knownMm / px;
  return { toMm: [mm, 0, 0, 0, mm, 0, 0, 0, 1], sdShare: Math.hypot((Math.SQRT2 * tapPx) / px, SLANT_SD, HEIGHT_SD) };
}

/** Scale and slant from the four corners of a known rectangle, tapped in turn from any corner, its longer side first or last; null when they make none. */
export function scaleOfFour({ spots, tapPx }: Tapped, longMm: number, shortMm: number): HandScale | null {
  if (spots.length !== 4 || longMm <= 0 || shortMm <= 0) return null;
  const sides = spots.map((spot, index) =>
    Math.hypot(spots[(index + 1) % 4]![0] - spot[0], spots[(index + 1) % 4]![1] - spot[1]),
  );
  if (Math.min(...sides) < LEAST_PX) return null;
  const [first, second] = [sides[0]! + sides[2]!, sides[1]! + sides[3]!];
  const [w, h] = first >= second ? [longMm, shortMm] : [shortMm, longMm];
  const h1 = homography(
    [
      [0, 0],
      [w, 0],
      [w, h],
      [0, h],
    ],
    [...spots],
  );
  if (!h1) return null;
  return { toMm: inverse(h1), sdShare: Math.hypot((Math.SQRT2 * tapPx) / Math.min(first / 2, second / 2), HEIGHT_SD) };
}

/** Length along taps from head to tail on a picture of known scale; null with fewer than two. */
export function lengthByHand(
  { spots, tapPx }: Tapped,
  { toMm, sdShare }: HandScale,
): { bodyMm: number; sdMm: number; lineMm: ImagePoint[] } | null {
  if (spots.length < 2) return null;
  const lineMm = curveThrough(spots).map((spot) => project(toMm, spot));
  const bodyMm = lengthOf(lineMm);
  if (!(bodyMm > 0)) return null;
  const ends = (Math.SQRT2 * tapPx * bodyMm) / (lengthOf(curveThrough(spots)) || 1);
  return { bodyMm, sdMm: Math.hypot(ends, bodyMm * sdShare, bodyMm * WAY_SD), lineMm };
}

/** Light of the picture from a tap on something white or grey: what a pixel is divided by, linear, by channel. */
export type Neutral = readonly [r: number, g: number, b: number];

/** White paper, and the grey card of photographers: linear reflectance. */
export const NEUTRALS = { white: 0.9, grey: 0.18 } as const;

function linearMean({ rgba }: Picture): Neutral {
  const linear = LINEAR;
  let [r, g, b] = [0, 0, 0];
  const n = rgba.length / 4;
  for (let at = 0; at < rgba.length; at += 4) {
    r += linear[rgba[at]!]!;
    g += linear[rgba[at + 1]!]!;
    b += linear[rgba[at + 2]!]!;
  }
  return [r / n, g / n, b / n];
}

/** The light from pixels of something white or grey; null where it is too dark to tell. */
export function neutralOf(pixels: Picture, kind: keyof typeof NEUTRALS): Neutral | null {
  const mean = linearMean(pixels);
  return Math.min(...mean) < 0.004 ? null : (mean.map((value) => value / NEUTRALS[kind]) as unknown as Neutral);
}

const NO_NEUTRAL: Neutral = [1, 1, 1];

/** Colour of tapped pixels under a light that was tapped; without one as the camera gave it. */
export function colourOfTap(pixels: Picture, neutral: Neutral | null): RegionColour | null {
  const [r, g, b] = neutral ?? NO_NEUTRAL;
  const linear = LINEAR;
  const points: Lab[] = [];
  for (let at = 0; at < pixels.rgba.length; at += 4)
    points.push(
      labOfBytes(
        encoded(linear[pixels.rgba[at]!]! / r),
        encoded(linear[pixels.rgba[at + 1]!]! / g),
        encoded(linear[pixels.rgba[at + 2]!]! / b),
      ),
    );
  return colourOfPixels(points);
}
