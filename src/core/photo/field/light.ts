import { Matrix, solve } from 'ml-matrix';
import type { CardField } from './rectify';

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
  /** Logarithm of the light by channel: what is uneven is so by shares. */
  log: readonly [number, number, number];
}

/** The brighter half of every block of the field without its very top: paper wherever there is some. */
function blocksOf({ width, height, scale, r, g, b }: CardField): Block[] {
  const size = Math.max(4, Math.round(BLOCK_MM * scale));
  const step = Math.max(1, Math.round(size / 8));
  const blocks: Block[] = [];
  const bright = new Float32Array(Math.ceil(size / step) ** 2);
  for (let top = 0; top + size <= height; top += size) {
    for (let left = 0; left + size <= width; left += size) {
      let n = 0;
      for (let y = top; y < top + size; y += step)
        for (let x = left; x < left + size; x += step) bright[n++] = g[y * width + x]!;
      bright.sort();
      const [low, high] = [bright[Math.floor(n * 0.5)]!, bright[Math.floor(n * 0.9)]!];
      let [sr, sg, sb, count] = [0, 0, 0, 0];
      for (let y = top; y < top + size; y += step) {
        for (let x = left; x < left + size; x += step) {
          const at = y * width + x;
          if (g[at]! < low || g[at]! > high) continue;
          sr += r[at]!;
          sg += g[at]!;
          sb += b[at]!;
          count++;
        }
      }
      blocks.push({
        x: (left + size / 2) / width - 0.5,
        y: (top + size / 2) / height - 0.5,
        log: [sr, sg, sb].map((sum) => Math.log(Math.max(1e-4, sum / count))) as [number, number, number],
      });
    }
  }
  return blocks;
}

const TERMS = 6;

/** Weighted least squares of a surface of the second degree by its normal equations: six unknowns. */
function fitted(blocks: readonly Block[], channel: 0 | 1 | 2, weights: Float64Array): number[] {
  const products = new Float64Array(TERMS * TERMS);
  const wanted = new Float64Array(TERMS);
  const term = new Float64Array(TERMS);
  blocks.forEach(({ x, y, log }, index) => {
    term.set([1, x, y, x * x, x * y, y * y]);
    const weight = weights[index]! ** 2;
    for (let i = 0; i < TERMS; i++) {
      wanted[i] = wanted[i]! + weight * term[i]! * log[channel];
      for (let j = 0; j < TERMS; j++) products[i * TERMS + j] = products[i * TERMS + j]! + weight * term[i]! * term[j]!;
    }
  });
  return solve(Matrix.from1DArray(TERMS, TERMS, products), Matrix.columnVector(wanted), true).getColumn(0);
}

/** The light on the paper: a smooth surface through its brightest blocks, so that an insect and its shadow do not count as paper. */
export function lightOf(field: CardField): Light {
  const blocks = blocksOf(field);
  const weights = new Float64Array(blocks.length).fill(1);
  let surface = fitted(blocks, 1, weights);
  for (let round = 0; round < ROUNDS; round++) {
    const [s0, s1, s2, s3, s4, s5] = surface as [number, number, number, number, number, number];
    blocks.forEach(({ x, y, log }, index) => {
      const off = log[1] - (s0 + s1 * x + s2 * y + s3 * x * x + s4 * x * y + s5 * y * y);
      weights[index] = off < -UNDER ? 0.02 : off < -0.5 * UNDER ? 0.4 : 1;
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
  return {
    r: planes[0]!,
    g: planes[1]!,
    b: planes[2]!,
    unevenness: high / low,
    white: [planes[0]![middle]!, planes[1]![middle]!, planes[2]![middle]!],
  };
}

/** A mask with what lies within a square of `mm` about it. */
export function near(mask: Uint8Array, { width, height, scale }: CardField, mm: number): Uint8Array {
  const sums = boxed(Float32Array.from(mask), width, height, Math.max(1, Math.round(mm * scale)));
  const out = new Uint8Array(mask.length);
  for (let at = 0; at < out.length; at++) out[at] = sums[at]! > 1e-6 ? 1 : 0;
  return out;
}

/** What is left of paper after the smooth surface, in the neighbourhood of every pixel: soft shade over the card is light, not insect. */
export function refineLight(field: CardField, light: Light, taken: Uint8Array, reachMm: number): Light {
  const { width, height, scale } = field;
  const step = Math.max(1, Math.round(scale / 4));
  const w = Math.ceil(width / step);
  const h = Math.ceil(height / step);
  const radius = Math.max(1, Math.round((reachMm * scale) / step));
  const free = new Float32Array(w * h);
  for (let y = 0; y < height; y++) {
    const row = Math.floor(y / step) * w;
    for (let cx = 0; cx < w; cx++) {
      const end = y * width + Math.min(width, (cx + 1) * step);
      let count = 0;
      for (let at = y * width + cx * step; at < end; at++) if (taken[at] === 0) count++;
      free[row + cx] = free[row + cx]! + count;
    }
  }
  const around = boxed(boxed(free, w, h, radius), w, h, radius);
  const planes = (['r', 'g', 'b'] as const).map((channel) => {
    const sum = boxed(
      boxed(sharesOf(field[channel], light[channel], taken, width, height, step, w, h), w, h, radius),
      w,
      h,
      radius,
    );
    for (let at = 0; at < sum.length; at++) sum[at] = around[at]! > 1e-6 ? sum[at]! / around[at]! : 1;
    const plane = finer(sum, w, h, step, width, height);
    const before = light[channel];
    for (let at = 0; at < plane.length; at++) plane[at] = plane[at]! * before[at]!;
    return plane;
  });
  return { ...light, r: planes[0]!, g: planes[1]!, b: planes[2]! };
}

/** Light against the surface, added up over the free pixels of every cell. */
function sharesOf(
  seen: Float32Array,
  lit: Float32Array,
  taken: Uint8Array,
  width: number,
  height: number,
  step: number,
  w: number,
  h: number,
): Float32Array {
  const sums = new Float32Array(w * h);
  for (let y = 0; y < height; y++) {
    const row = Math.floor(y / step) * w;
    for (let cx = 0; cx < w; cx++) {
      const end = y * width + Math.min(width, (cx + 1) * step);
      let sum = 0;
      for (let at = y * width + cx * step; at < end; at++) if (taken[at] === 0) sum += seen[at]! / lit[at]!;
      sums[row + cx] = sums[row + cx]! + sum;
    }
  }
  return sums;
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

/** A plane of a field at the pixels of a window that is seen more finely: bilinear. */
function planeWithin(coarse: Float32Array, field: CardField, window: CardField): Float32Array {
  const out = new Float32Array(window.width * window.height);
  const share = field.scale / window.scale;
  const stride = field.width;
  const place = (from: number, count: number, most: number) =>
    Float32Array.from({ length: count }, (_, index) =>
      Math.min(most - 1.001, Math.max(0, from * field.scale + (index + 0.5) * share - 0.5)),
    );
  const across = place(window.left - field.left, window.width, stride);
  const down = place(window.top - field.top, window.height, field.height);
  for (let y = 0; y < window.height; y++) {
    const row = (down[y]! | 0) * stride;
    const ty = down[y]! - (down[y]! | 0);
    for (let x = 0; x < across.length; x++) {
      const left = across[x]! | 0;
      const at = row + left;
      const tx = across[x]! - left;
      const upper = coarse[at]! + (coarse[at + 1]! - coarse[at]!) * tx;
      const lower = coarse[at + stride]! + (coarse[at + stride + 1]! - coarse[at + stride]!) * tx;
      out[y * across.length + x] = upper + (lower - upper) * ty;
    }
  }
  return out;
}

/** The light of a field in a window of it that is seen more finely. */
export function lightWithin(light: Light, field: CardField, window: CardField): Light {
  return {
    ...light,
    r: planeWithin(light.r, field, window),
    g: planeWithin(light.g, field, window),
    b: planeWithin(light.b, field, window),
  };
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
