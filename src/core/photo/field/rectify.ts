import type { FoundCard } from '../find/find-card';
import { LINEAR, type Picture } from '../picture';

/** The clear field seen straight from above: linear light by channel. */
export interface Field {
  width: number;
  height: number;
  /** Pixels of a millimetre. */
  scale: number;
  /** Card millimetres of the upper left pixel's corner. */
  left: number;
  top: number;
  r: Float32Array;
  g: Float32Array;
  b: Float32Array;
  /** Share of pixels where a channel is at its end: blown out. */
  clipped: number;
}

/** The frame's line and its blur are left out, mm. */
const INSET_MM = 0.45;
const SCALE_RANGE = [8, 24] as const;

/** Looks at the clear field from above, through the card's perspective and bow. Sampled by bilinear interpolation in linear light. */
export function rectify(picture: Picture, card: FoundCard): Field {
  const [fx, fy, fw, fh] = card.geometry.field_mm;
  const scale = Math.min(SCALE_RANGE[1], Math.max(SCALE_RANGE[0], card.pxPerMm));
  const [left, top] = [fx + INSET_MM, fy + INSET_MM];
  const width = Math.floor((fw - 2 * INSET_MM) * scale);
  const height = Math.floor((fh - 2 * INSET_MM) * scale);
  const r = new Float32Array(width * height);
  const g = new Float32Array(width * height);
  const b = new Float32Array(width * height);
  const h = card.toPicture;
  const { rgba } = picture;
  const pw = picture.width;
  const ph = picture.height;
  const marks = card.geometry.marks_mm;
  const [mx, half] = [marks[1]![0], (marks[2]![0] - marks[0]![0]) / 2];
  const [y0, y1] = [marks[1]![1], marks[4]![1]];
  const { upper, lower } = card.bow;
  let clipped = 0;
  for (let py = 0; py < height; py++) {
    const y = top + (py + 0.5) / scale;
    const v = (y - y0) / (y1 - y0);
    for (let px = 0; px < width; px++) {
      const x = left + (px + 0.5) / scale;
      const bump = 1 - ((x - mx) / half) ** 2;
      const cx = x + bump * (upper[0] * (1 - v) + lower[0] * v);
      const cy = y + bump * (upper[1] * (1 - v) + lower[1] * v);
      const w = h[6]! * cx + h[7]! * cy + h[8]!;
      const sx = (h[0]! * cx + h[1]! * cy + h[2]!) / w - 0.5;
      const sy = (h[3]! * cx + h[4]! * cy + h[5]!) / w - 0.5;
      const ix = sx < 0 ? 0 : sx >= pw - 1 ? pw - 2 : sx | 0;
      const iy = sy < 0 ? 0 : sy >= ph - 1 ? ph - 2 : sy | 0;
      const tx = sx - ix;
      const ty = sy - iy;
      const at = (iy * pw + ix) * 4;
      const below = at + pw * 4;
      const w00 = (1 - tx) * (1 - ty);
      const w10 = tx * (1 - ty);
      const w01 = (1 - tx) * ty;
      const w11 = tx * ty;
      const out = py * width + px;
      r[out] = LINEAR[rgba[at]!]! * w00 + LINEAR[rgba[at + 4]!]! * w10 + LINEAR[rgba[below]!]! * w01 + LINEAR[rgba[below + 4]!]! * w11;
      g[out] = LINEAR[rgba[at + 1]!]! * w00 + LINEAR[rgba[at + 5]!]! * w10 + LINEAR[rgba[below + 1]!]! * w01 + LINEAR[rgba[below + 5]!]! * w11;
      b[out] = LINEAR[rgba[at + 2]!]! * w00 + LINEAR[rgba[at + 6]!]! * w10 + LINEAR[rgba[below + 2]!]! * w01 + LINEAR[rgba[below + 6]!]! * w11;
      if (rgba[at]! === 255 || rgba[at + 1]! === 255 || rgba[at + 2]! === 255) clipped++;
    }
  }
  return { width, height, scale, left, top, r, g, b, clipped: clipped / (width * height) };
}
