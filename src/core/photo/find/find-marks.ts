import { blobsOf, type Blob } from '../blobs';
import { LINEAR, type Grey, type Photograph } from '../picture';
import type { ImagePoint } from '../card';

/** A ring with a dot in its middle: a corner mark of the card, or something that looks like one. */
export interface RoundMark {
  /** Centre in pixels of the whole picture. */
  at: ImagePoint;
  /** Half its width and height, px. */
  half: ImagePoint;
  /** Width of the step from paper to ink, px: how blurred the picture is. */
  edgePx: number;
}

const DARKER = 0.74;
const LEAST_STEP = 0.06;
const LEAST_RING_PX = 9;
const MOST_MARKS = 16;

/** Pixels clearly darker than their neighbourhood. */
function darkMask({ width, height, values }: Grey): Uint8Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += values[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  const reach = Math.round(Math.max(width, height) / 24);
  const mask = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const y0 = Math.max(0, y - reach);
    const y1 = Math.min(height, y + reach + 1);
    for (let x = 0; x < width; x++) {
      const x0 = Math.max(0, x - reach);
      const x1 = Math.min(width, x + reach + 1);
      const sum =
        sums[y1 * (width + 1) + x1]! -
        sums[y0 * (width + 1) + x1]! -
        sums[y1 * (width + 1) + x0]! +
        sums[y0 * (width + 1) + x0]!;
      const mean = sum / ((y1 - y0) * (x1 - x0));
      const value = values[y * width + x]!;
      if (value < mean * DARKER && mean - value > LEAST_STEP) mask[y * width + x] = 1;
    }
  }
  return mask;
}

function isRing(blob: Blob): boolean {
  const [w, h] = [blob.right - blob.left + 1, blob.bottom - blob.top + 1];
  const share = blob.area / ((Math.PI / 4) * w * h);
  return w >= LEAST_RING_PX && h >= LEAST_RING_PX && w / h < 2.2 && h / w < 2.2 && share > 0.33 && share < 0.86;
}

/** A dot that lies in a ring's middle and has about the dot's share of its size. */
function dotOf(ring: Blob, dots: readonly Blob[]): Blob | null {
  const [w, h] = [ring.right - ring.left + 1, ring.bottom - ring.top + 1];
  const [cx, cy] = [(ring.left + ring.right) / 2, (ring.top + ring.bottom) / 2];
  return (
    dots.find((dot) => {
      if (
        dot === ring ||
        dot.left <= ring.left ||
        dot.right >= ring.right ||
        dot.top <= ring.top ||
        dot.bottom >= ring.bottom
      )
        return false;
      const [dw, dh] = [dot.right - dot.left + 1, dot.bottom - dot.top + 1];
      return (
        Math.abs(dot.x - cx) < 0.12 * w &&
        Math.abs(dot.y - cy) < 0.12 * h &&
        dw > 0.18 * w &&
        dw < 0.58 * w &&
        dh > 0.18 * h &&
        dh < 0.58 * h
      );
    }) ?? null
  );
}

/** Centre of a mark to a fraction of a pixel: the middle of its ink, in linear light. */
function refine(photo: Photograph, x: number, y: number, halfW: number, halfH: number): RoundMark | null {
  const x0 = Math.max(0, Math.floor(x - 1.2 * halfW));
  const x1 = Math.min(photo.width - 1, Math.ceil(x + 1.2 * halfW));
  const y0 = Math.max(0, Math.floor(y - 1.2 * halfH));
  const y1 = Math.min(photo.height - 1, Math.ceil(y + 1.2 * halfH));
  const { left, top, width, rgba } = photo.read(x0, y0, x1 + 1, y1 + 1);
  const linear = LINEAR;
  // A few thousand pixels find the middle of a large mark as well as all of them.
  const stride = Math.max(1, Math.floor(Math.max(halfW, halfH) / 26));
  const seen = new Float32Array(
    Math.max(0, Math.ceil((y1 - y0 + 1) / stride)) * Math.max(0, Math.ceil((x1 - x0 + 1) / stride)),
  );
  let n = 0;
  for (let py = y0; py <= y1; py += stride)
    for (let px = x0; px <= x1; px += stride) seen[n++] = linear[rgba[((py - top) * width + px - left) * 4 + 1]!]!;
  if (n < 25) return null;
  const sorted = seen.slice(0, n).sort();
  const ink = sorted[Math.floor(sorted.length * 0.08)]!;
  const paper = sorted[Math.floor(sorted.length * 0.9)]!;
  if (paper - ink < 0.006) return null;
  let [weight, sx, sy, between] = [0, 0, 0, 0];
  let at = 0;
  for (let py = y0; py <= y1; py += stride) {
    for (let px = x0; px <= x1; px += stride, at++) {
      const inside = ((px - x) / (1.14 * halfW)) ** 2 + ((py - y) / (1.14 * halfH)) ** 2 <= 1;
      if (!inside) continue;
      const dark = Math.min(1, Math.max(0, (paper - seen[at]!) / (paper - ink)));
      const kept = dark < 0.12 ? 0 : dark;
      weight += kept;
      sx += kept * px;
      sy += kept * py;
      if (dark > 0.2 && dark < 0.8) between++;
    }
  }
  if (weight <= 0) return null;
  // Three round edges: the pixels between paper and ink over their whole length give the width of an edge.
  const round = Math.PI * (halfW + halfH) * (1 + 0.66 + 0.375);
  return {
    at: [sx / weight + 0.5, sy / weight + 0.5],
    half: [halfW, halfH],
    edgePx: (between * stride * stride) / round / 0.6,
  };
}

/** Marks of the field card in a photograph's shrunk grey, the largest first; their middles from its full size. */
export function findMarks(photo: Photograph, grey: Grey): RoundMark[] {
  const { blobs } = blobsOf(darkMask(grey), grey.width, grey.height);
  const rings = blobs.filter(isRing);
  const dots = blobs.filter((blob) => blob.area >= 4);
  const f = grey.factor;
  const marks = rings.flatMap((ring): RoundMark[] => {
    if (!dotOf(ring, dots)) return [];
    const half: ImagePoint = [((ring.right - ring.left + 1) / 2) * f, ((ring.bottom - ring.top + 1) / 2) * f];
    let [x, y] = [((ring.left + ring.right + 1) / 2) * f, ((ring.top + ring.bottom + 1) / 2) * f];
    let mark: RoundMark | null = null;
    for (let pass = 0; pass < 2; pass++) {
      mark = refine(photo, x - 0.5, y - 0.5, half[0], half[1]);
      if (!mark) return [];
      [x, y] = mark.at;
    }
    return [mark!];
  });
  return marks.sort((a, b) => b.half[0] * b.half[1] - a.half[0] * a.half[1]).slice(0, MOST_MARKS);
}
