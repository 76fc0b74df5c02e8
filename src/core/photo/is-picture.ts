import { imageSize } from 'image-size';
import type { Coded } from '../code';

/** Kinds of picture that a camera or a phone writes; a drawing that could hold a script is none of them. */
const PHOTOGRAPHS: readonly string[] = ['jpg', 'png', 'webp', 'heif', 'avif', 'gif', 'tiff', 'bmp'];
/** More than any camera has; a picture that says more would fill memory when it is opened. */
const MOST_PIXELS = 150_000_000;
const MOST_BYTES = 60_000_000;

/** Why a file cannot be kept as a photograph, by its own first bytes and not by its name: `not-image`, or `huge`. Null where it can. */
export function pictureFault(file: Uint8Array): Coded | null {
  if (file.length > MOST_BYTES) return { code: 'huge', params: {} };
  try {
    const { width, height, type } = imageSize(file);
    if (!PHOTOGRAPHS.includes(type ?? '') || !(width > 0 && height > 0)) return { code: 'not-image', params: {} };
    return width * height > MOST_PIXELS ? { code: 'huge', params: {} } : null;
  } catch {
    return { code: 'not-image', params: {} };
  }
}
