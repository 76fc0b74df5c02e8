import { encoded } from '../picture';
import type { Light } from './light';
import type { CardField } from './rectify';

/** A piece of the field as a picture, its paper white: millimetres of the card it covers, sRGB bytes. */
export interface Crop {
  leftMm: number;
  topMm: number;
  widthMm: number;
  heightMm: number;
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
}

/** A window of the field as a picture, balanced on its paper. */
export function balancedCrop({ width, height, scale, left, top, r, g, b }: CardField, light: Light): Crop {
  const rgba = new Uint8ClampedArray(width * height * 4);
  for (let at = 0; at < width * height; at++) {
    rgba[at * 4] = encoded(r[at]! / light.r[at]!);
    rgba[at * 4 + 1] = encoded(g[at]! / light.g[at]!);
    rgba[at * 4 + 2] = encoded(b[at]! / light.b[at]!);
    rgba[at * 4 + 3] = 255;
  }
  return { leftMm: left, topMm: top, widthMm: width / scale, heightMm: height / scale, width, height, rgba };
}
