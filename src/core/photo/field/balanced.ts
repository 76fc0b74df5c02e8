import type { Light } from './light';
import type { Field } from './rectify';

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

function encoded(value: number): number {
  const v = value < 0 ? 0 : value > 1 ? 1 : value;
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
}

/** Cuts a piece out of the field, balanced on its paper, no wider than `most` pixels. Bounds in card millimetres, kept inside the field. */
export function balancedCrop(field: Field, light: Light, bounds: { left: number; top: number; right: number; bottom: number }, most: number): Crop {
  const x0 = Math.max(0, Math.floor((bounds.left - field.left) * field.scale));
  const y0 = Math.max(0, Math.floor((bounds.top - field.top) * field.scale));
  const x1 = Math.min(field.width, Math.ceil((bounds.right - field.left) * field.scale));
  const y1 = Math.min(field.height, Math.ceil((bounds.bottom - field.top) * field.scale));
  const step = Math.max(1, Math.ceil(Math.max(x1 - x0, y1 - y0) / most));
  const width = Math.max(1, Math.floor((x1 - x0) / step));
  const height = Math.max(1, Math.floor((y1 - y0) / step));
  const rgba = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const from = (y0 + y * step) * field.width + x0 + x * step;
      const to = (y * width + x) * 4;
      rgba[to] = encoded(field.r[from]! / light.r[from]!);
      rgba[to + 1] = encoded(field.g[from]! / light.g[from]!);
      rgba[to + 2] = encoded(field.b[from]! / light.b[from]!);
      rgba[to + 3] = 255;
    }
  }
  return { leftMm: field.left + x0 / field.scale, topMm: field.top + y0 / field.scale, widthMm: (width * step) / field.scale, heightMm: (height * step) / field.scale, width, height, rgba };
}
