/** A decoded photograph: sRGB, four bytes a pixel, upright. */
export interface Picture {
  width: number;
  height: number;
  rgba: Uint8ClampedArray | Uint8Array;
}

/** A part of a photograph: its upper left pixel is `left`, `top` of the whole. */
export interface Piece extends Picture {
  left: number;
  top: number;
}

/** A photograph that is read in parts, so that a large one need not lie in memory whole. */
export interface Photograph {
  width: number;
  height: number;
  /** In grey, shrunk so that its longer side is at most `longest`. */
  grey(longest: number): Grey;
  /** The part from one pixel to another, kept inside; it may be larger than asked. */
  read(left: number, top: number, right: number, bottom: number): Piece;
}

/** A decoded picture as a photograph. */
export function photographOf(picture: Picture): Photograph {
  return {
    width: picture.width,
    height: picture.height,
    grey: (longest) => shrunkGrey(picture, longest),
    read: () => ({ ...picture, left: 0, top: 0 }),
  };
}

/** Linear light of an sRGB byte. Source: IEC 61966-2-1. */
export const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const value = byte / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});

const ENCODED_STEPS = 4096;
const ENCODED = Uint8ClampedArray.from({ length: ENCODED_STEPS + 1 }, (_, index) => {
  const v = index / ENCODED_STEPS;
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
});

/** sRGB byte of linear light, kept within 0 and 1. Source: IEC 61966-2-1. */
export function encoded(value: number): number {
  return ENCODED[value <= 0 ? 0 : value >= 1 ? ENCODED_STEPS : (value * ENCODED_STEPS) | 0]!;
}

/** Brightness of every pixel, 0–1, as encoded, in a picture made smaller by a whole factor. */
export interface Grey {
  width: number;
  height: number;
  factor: number;
  values: Float32Array;
}

/** The picture in grey, shrunk by whole blocks so that its longer side is at most `longest`; of a large block four pixels are read. */
export function shrunkGrey({ width, height, rgba }: Picture, longest: number): Grey {
  const factor = Math.max(1, Math.ceil(Math.max(width, height) / longest));
  const w = Math.floor(width / factor);
  const h = Math.floor(height / factor);
  const values = new Float32Array(w * h);
  const stride = Math.ceil(factor / 2);
  const read = Math.ceil(factor / stride);
  const share = 1 / (255 * read * read);
  for (let y = 0; y < h; y++) {
    for (let dy = 0; dy < factor; dy += stride) {
      let at = (y * factor + dy) * width * 4;
      for (let x = 0; x < w; x++) {
        let sum = 0;
        for (let dx = 0; dx < factor; dx += stride) {
          const from = at + dx * 4;
          sum += 0.3 * rgba[from]! + 0.59 * rgba[from + 1]! + 0.11 * rgba[from + 2]!;
        }
        at += factor * 4;
        values[y * w + x] = values[y * w + x]! + sum * share;
      }
    }
  }
  return { width: w, height: h, factor, values };
}
