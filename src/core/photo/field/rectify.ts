import type { FoundCard } from '../find/find-card';
import { project } from '../find/homography';
import { LINEAR, type Photograph, type Piece } from '../picture';

/** The clear field seen straight from above: linear light by channel. */
export interface CardField {
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
/** A piece of the field, card millimetres. */
export interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The clear field without its frame, card millimetres. */
export function fieldBounds({ geometry }: FoundCard): Bounds {
  const [x, y, width, height] = geometry.field_mm;
  return { left: x + INSET_MM, top: y + INSET_MM, right: x + width - INSET_MM, bottom: y + height - INSET_MM };
}

/** The part of a photograph that shows the clear field. */
export function readField(photo: Photograph, card: FoundCard): Piece {
  const [x, y, width, height] = card.geometry.field_mm;
  const spots = [0, 0.5, 1].flatMap((u) =>
    [0, 0.5, 1].map((v) => project(card.toPicture, [x + u * width, y + v * height])),
  );
  const bow = 2 + card.pxPerMm * Math.hypot(...card.bow.upper, ...card.bow.lower);
  const [xs, ys] = [spots.map((spot) => spot[0]), spots.map((spot) => spot[1])];
  const kept = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)));
  return photo.read(
    kept(Math.min(...xs) - bow, photo.width - 2),
    kept(Math.min(...ys) - bow, photo.height - 2),
    kept(Math.max(...xs) + bow, photo.width),
    kept(Math.max(...ys) + bow, photo.height),
  );
}

/** Looks at a piece of the clear field from above, through the card's perspective and bow. Sampled by bilinear interpolation in linear light, at `scale` pixels of a millimetre. */
export function rectify(
  picture: Piece,
  card: FoundCard,
  { left, top, right, bottom }: Bounds,
  scale: number,
): CardField {
  const width = Math.max(1, Math.floor((right - left) * scale));
  const height = Math.max(1, Math.floor((bottom - top) * scale));
  const r = new Float32Array(width * height);
  const g = new Float32Array(width * height);
  const b = new Float32Array(width * height);
  const h = card.toPicture;
  const { rgba } = picture;
  // Kept at hand: a look-up through the module costs more than the sum.
  const linear = LINEAR;
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
      const sx = (h[0]! * cx + h[1]! * cy + h[2]!) / w - 0.5 - picture.left;
      const sy = (h[3]! * cx + h[4]! * cy + h[5]!) / w - 0.5 - picture.top;
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
      r[out] =
        linear[rgba[at]!]! * w00 +
        linear[rgba[at + 4]!]! * w10 +
        linear[rgba[below]!]! * w01 +
        linear[rgba[below + 4]!]! * w11;
      g[out] =
        linear[rgba[at + 1]!]! * w00 +
        linear[rgba[at + 5]!]! * w10 +
        linear[rgba[below + 1]!]! * w01 +
        linear[rgba[below + 5]!]! * w11;
      b[out] =
        linear[rgba[at + 2]!]! * w00 +
        linear[rgba[at + 6]!]! * w10 +
        linear[rgba[below + 2]!]! * w01 +
        linear[rgba[below + 6]!]! * w11;
      if (rgba[at]! === 255 || rgba[at + 1]! === 255 || rgba[at + 2]! === 255) clipped++;
    }
  }
  return { width, height, scale, left, top, r, g, b, clipped: clipped / (width * height) };
}
