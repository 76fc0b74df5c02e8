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

/** The brightest fifth of every block of the field: paper wherever there is some. */
function blocksOf({ width, height, scale, r, g, b }: Field): Block[] {
  const size = Math.max(4, Math.round(BLOCK_MM * scale));
  const blocks: Block[] = [];
  for (let top = 0; top + size <= height; top += size) {
    for (let left = 0; left + size <= width; left += size) {
      const at: number[] = [];
      for (let y = top; y < top + size; y += 2) for (let x = left; x < left + size; x += 2) at.push(y * width + x);
      at.sort((p, q) => g[q]! - g[p]!);
      const kept = at.slice(Math.floor(at.length * 0.1), Math.ceil(at.length * 0.5));
      const mean = (values: Float32Array) => kept.reduce((sum, index) => sum + values[index]!, 0) / kept.length;
      blocks.push({ x: (left + size / 2) / width - 0.5, y: (top + size / 2) / height - 0.5, rgb: [mean(r), mean(g), mean(b)] });
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
    weights = blocks.map(({ x, y, rgb }) => {
      const off = Math.log(Math.max(1e-4, rgb[1])) - terms(x, y).reduce((sum, term, index) => sum + term * surface[index]!, 0);
      return off < -UNDER ? 0.02 : off < -0.5 * UNDER ? 0.4 : 1;
    });
    surface = fitted(blocks, 1, weights);
  }
  const coefficients = [fitted(blocks, 0, weights), surface, fitted(blocks, 2, weights)];
  const { width, height } = field;
  const planes = coefficients.map((c) => {
    const plane = new Float32Array(width * height);
    for (let py = 0; py < height; py++) {
      const y = (py + 0.5) / height - 0.5;
      for (let px = 0; px < width; px++) {
        const x = (px + 0.5) / width - 0.5;
        plane[py * width + px] = Math.exp(c[0]! + c[1]! * x + c[2]! * y + c[3]! * x * x + c[4]! * x * y + c[5]! * y * y);
      }
    }
    return plane;
  });
  let [low, high] = [Infinity, 0];
  for (const value of planes[1]!) [low, high] = [Math.min(low, value), Math.max(high, value)];
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
    const [s, c] = [boxed(boxed(sum, w, h, radius), w, h, radius), boxed(boxed(count, w, h, radius), w, h, radius)];
    const plane = new Float32Array(width * height);
    for (let y = 0; y < height; y++) {
      const fy = Math.min(h - 1, Math.max(0, (y + 0.5) / step - 0.5));
      const iy = Math.min(h - 2, fy | 0);
      for (let x = 0; x < width; x++) {
        const fx = Math.min(w - 1, Math.max(0, (x + 0.5) / step - 0.5));
        const ix = Math.min(w - 2, fx | 0);
        const [tx, ty, at] = [fx - ix, fy - iy, iy * w + ix];
        const ratio = ratioAt(s, c, at) * (1 - tx) * (1 - ty) + ratioAt(s, c, at + 1) * tx * (1 - ty) + ratioAt(s, c, at + w) * (1 - tx) * ty + ratioAt(s, c, at + w + 1) * tx * ty;
        const index = y * width + x;
        plane[index] = light[channel][index]! * ratio;
      }
    }
    return plane;
  });
  return { ...light, r: planes[0]!, g: planes[1]!, b: planes[2]! };
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
