/** A decoded photograph: sRGB, four bytes a pixel, upright. */
export interface Picture {
  width: number;
  height: number;
  rgba: Uint8ClampedArray | Uint8Array;
}

/** Linear light of an sRGB byte. Source: IEC 61966-2-1. */
export const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const value = byte / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});

/** Brightness of every pixel, 0–1, as encoded, in a picture made smaller by a whole factor. */
export interface Grey {
  width: number;
  height: number;
  factor: number;
  values: Float32Array;
}

/** The picture in grey, shrunk by whole blocks so that its longer side is at most `longest`. */
export function shrunkGrey({ width, height, rgba }: Picture, longest: number): Grey {
  const factor = Math.max(1, Math.ceil(Math.max(width, height) / longest));
  const w = Math.floor(width / factor);
  const h = Math.floor(height / factor);
  const values = new Float32Array(w * h);
  const share = 1 / (255 * factor * factor);
  for (let y = 0; y < h; y++) {
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (let dy = 0; dy < factor; dy++) {
        let at = ((y * factor + dy) * width + x * factor) * 4;
        for (let dx = 0; dx < factor; dx++, at += 4) sum += 0.3 * rgba[at]! + 0.59 * rgba[at + 1]! + 0.11 * rgba[at + 2]!;
      }
      values[y * w + x] = sum * share;
    }
  }
  return { width: w, height: h, factor, values };
}
