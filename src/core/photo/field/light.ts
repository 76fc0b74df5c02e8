import { Matrix, solve } from 'ml-matrix';
import type { Field } from './rectify';

/** Paper under the light of the photograph, everywhere in the field: linear light by channel. */
export interface Light {
  r: Float32Array;
  g: Float32Array;
  b: Float32Array;
  /** Brightest over darkest paper in the field. */
  unevenness: number;
  /** Paper in the middle, linear sRGB. */
  white: readonly [number, number, number];
}

const BLOCK_MM = 1.2;
const ROUNDS = 8;
/** Paper is brighter than what lies on it: a block this much under the fit counts little. */
const UNDER = 0.035;

interface Block {
  x: number;
  y: number;
  rgb: readonly [number, number, number];
}

/** The brighter half of every block of the field without its very top: paper wherever there is some. */
function blocksOf({ width, height, scale, r, g, b }: Field): Block[] {
  const size = Math.max(4, Math.round(BLOCK_MM * scale));
  const step = Math.max(1, Math.round(size / 10));
  const blocks: Block[] = [];
  for (let top = 0; top + size <= height; top += size) {
    for (let left = 0; left + size <= width; left += size) {
      const at: number[] = [];
      for (let y = top; y < top + size; y += step) for (let x = left; x < left + size; x += step) at.push(y * width + x);
      const bright = Float32Array.from(at, (index) => g[index]!).sort();
      const [low, high] = [bright[Math.floor(bright.length * 0.5)]!, bright[Math.floor(bright.length * 0.9)]!];
      let [sr, sg, sb, count] = [0, 0, 0, 0];
      for (const index of at) {
        if (g[index]! < low || g[index]! > high) continue;
        sr += r[index]!;
        sg += g[index]!;
        sb += b[index]!;
        count++;
      }
      blocks.push({ x: (left + size / 2) / width - 0.5, y: (top + size / 2) / height - 0.5, rgb: [sr / count, sg / count, sb / count] });
    }
  }
  return blocks;
}

const terms = (x: number, y: number) => [1, x, y, x * x, x * y, y * y];

function fitted(blocks: readonly Block[], channel: 0 | 1 | 2, weights: readonly number[]): number[] {
  const rows = blocks.map(({ x, y }, index) => terms(x, y).map((term) => term * weights[index]!));
  const wanted = blocks.map(({ rgb }, index) => [Math.log(Math.max(1e-4, rgb[channel])) * weights[index]!]);
  return solve(new Matrix(rows), new Matrix(wanted), true).getColumn(0);
}

/** The light on the paper: a smooth surface through its brightest blocks, so that an insect and its shadow do not count as paper. */
export function lightOf(field: Field): Light {
  const blocks = blocksOf(field);
  let weights = blocks.map(() => 1);
  let surface = fitted(blocks, 1, weights);
  for (let round = 0; round < ROUNDS; round++) {
    const [s0, s1, s2, s3, s4, s5] = surface as [number, number, number, number, number, number];
    weights = blocks.map(({ x, y, rgb }) => {
      const off = Math.log(Math.max(1e-4, rgb[1])) - (s0 + s1 * x + s2 * y + s3 * x * x + s4 * x * y + s5 * y * y);
      return off < -UNDER ? 0.02 : off < -0.5 * UNDER ? 0.4 : 1;
    });
    surface = fitted(blocks, 1, weights);
  }
  const coefficients = [fitted(blocks, 0, weights), surface, fitted(blocks, 2, weights)];
  const { width, height } = field;
  const step = Math.max(1, Math.round(field.scale / 4));
  const w = Math.ceil(width / step) + 1;
  const h = Math.ceil(height / step) + 1;
  const planes = coefficients.map((c) => {
    const coarse = new Float32Array(w * h);
    for (let cy = 0; cy < h; cy++) {
      const y = ((cy + 0.5) * step) / height - 0.5;
      for (let cx = 0; cx < w; cx++) {
        const x = ((cx + 0.5) * step) / width - 0.5;
        coarse[cy * w + cx] = Math.exp(c[0]! + c[1]! * x + c[2]! * y + c[3]! * x * x + c[4]! * x * y + c[5]! * y * y);
      }
    }
    return finer(coarse, w, h, step, width, height);
  });
  let low = Infinity;
  let high = 0;
  for (const value of planes[1]!) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  const middle = (height >> 1) * width + (width >> 1);
  return { r: planes[0]!, g: planes[1]!, b: planes[2]!, unevenness: high / low, white: [planes[0]![middle]!, planes[1]![middle]!, planes[2]![middle]!] };
}

/** What is left of paper after the smooth surface, in the neighbourhood of every pixel: soft shade over the card is light, not insect. */
export function refineLight(field: Field, light: Light, taken: Uint8Array, reachMm: number): Light {
  const { width, height, scale } = field;
  const step = Math.max(1, Math.round(scale / 4));
  const w = Math.ceil(width / step);
  const h = Math.ceil(height / step);
  const radius = Math.max(1, Math.round((reachMm * scale) / step));
  const planes = (['r', 'g', 'b'] as const).map((channel) => {
    const sum = new Float32Array(w * h);
    const count = new Float32Array(w * h);
    for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (taken[at] !== 0) continue;
      const cell = ((y / step) | 0) * w + ((x / step) | 0);
      sum[cell] = sum[cell]! + field[channel][at]! / light[channel][at]!;
      count[cell] = count[cell]! + 1;
    }
    const s = boxed(boxed(sum, w, h, radius), w, h, radius);
    const c = boxed(boxed(count, w, h, radius), w, h, radius);
    const ratio = new Float32Array(w * h);
    for (let at = 0; at < ratio.length; at++) ratio[at] = ratioAt(s, c, at);
    const plane = finer(ratio, w, h, step, width, height);
    const before = light[channel];
    for (let at = 0; at < plane.length; at++) plane[at] = plane[at]! * before[at]!;
    return plane;
  });
  return { ...light, r: planes[0]!, g: planes[1]!, b: planes[2]! };
}

/** A coarse surface at every pixel: bilinear between the middles of its cells. */
function finer(coarse: Float32Array, w: number, h: number, step: number, width: number, height: number): Float32Array {
  const plane = new Float32Array(width * height);
  const columns = new Int32Array(width);
  const shares = new Float32Array(width);
  for (let x = 0; x < width; x++) {
    const fx = Math.min(w - 1.001, Math.max(0, (x + 0.5) / step - 0.5));
    columns[x] = fx | 0;
    shares[x] = fx - (fx | 0);
  }
  for (let y = 0; y < height; y++) {
    const fy = Math.min(h - 1.001, Math.max(0, (y + 0.5) / step - 0.5));
    const row = (fy | 0) * w;
    const ty = fy - (fy | 0);
    for (let x = 0; x < width; x++) {
      const at = row + columns[x]!;
      const tx = shares[x]!;
      const upper = coarse[at]! + (coarse[at + 1]! - coarse[at]!) * tx;
      const lower = coarse[at + w]! + (coarse[at + w + 1]! - coarse[at + w]!) * tx;
      plane[y * width + x] = upper + (lower - upper) * ty;
    }
  }
  return plane;
}

function ratioAt(sum: Float32Array, count: Float32Array, at: number): number {
  return count[at]! > 1e-6 ? sum[at]! / count[at]! : 1;
}

/** Mean over a square by running sums; edges count what lies inside. */
export function boxed(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  const across = new Float32Array(values.length);
  const out = new Float32Array(values.length);
  const size = 2 * radius + 1;
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let sum = 0;
    for (let x = 0; x < Math.min(radius, width); x++) sum += values[row + x]!;
    for (let x = 0; x < width; x++) {
      if (x + radius < width) sum += values[row + x + radius]!;
      if (x - radius - 1 >= 0) sum -= values[row + x - radius - 1]!;
      across[row + x] = sum / size;
    }
  }
  for (let x = 0; x < width; x++) {
    let sum = 0;
    for (let y = 0; y < Math.min(radius, height); y++) sum += across[y * width + x]!;
    for (let y = 0; y < height; y++) {
      if (y + radius < height) sum += across[(y + radius) * width + x]!;
      if (y - radius - 1 >= 0) sum -= across[(y - radius - 1) * width + x]!;
      out[y * width + x] = sum / size;
    }
  }
  return out;
}
