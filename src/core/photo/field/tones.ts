import type { CardField } from './rectify';
import type { Light } from './light';

/** The field as colour against its own paper: L*, a*, b* and how far each pixel is from paper. */
export interface Tones {
  L: Float32Array;
  a: Float32Array;
  b: Float32Array;
  /** Distance from paper, weighing colour a little more than darkness. */
  off: Float32Array;
}

const STEPS = 8192;
const MOST = 1.6;
const KAPPA = 24389 / 27;
const EPSILON = 216 / 24389;
/** CIE lightness function over 0 to `MOST`, so that a pixel costs a look-up and not a cube root. */
const F = Float32Array.from({ length: STEPS + 1 }, (_, index) => {
  const t = (index / STEPS) * MOST;
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
});
const CHROMA_WEIGHT = 1.3;

/** Colours of the field with its paper as white: sRGB primaries, D65. Source: CIE 15, IEC 61966-2-1. */
export function tonesOf(field: CardField, light: Light): Tones {
  const n = field.width * field.height;
  const [L, a, b, off] = [new Float32Array(n), new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  const top = STEPS / MOST;
  const { r: fr, g: fg, b: fb } = field;
  const { r: lr, g: lg, b: lb } = light;
  for (let at = 0; at < n; at++) {
    const r = fr[at]! / lr[at]!;
    const g = fg[at]! / lg[at]!;
    const bl = fb[at]! / lb[at]!;
    const x = (0.4123908 * r + 0.3575843 * g + 0.1804808 * bl) / 0.9504559;
    const y = 0.212639 * r + 0.7151687 * g + 0.0721923 * bl;
    const z = (0.0193308 * r + 0.1191948 * g + 0.9505322 * bl) / 1.0890578;
    const fx = F[x <= 0 ? 0 : x >= MOST ? STEPS : (x * top) | 0]!;
    const fy = F[y <= 0 ? 0 : y >= MOST ? STEPS : (y * top) | 0]!;
    const fz = F[z <= 0 ? 0 : z >= MOST ? STEPS : (z * top) | 0]!;
    const l = 116 * fy - 16;
    const ca = 500 * (fx - fy);
    const cb = 200 * (fy - fz);
    L[at] = l;
    a[at] = ca;
    b[at] = cb;
    const dark = l < 100 ? 100 - l : 0;
    off[at] = Math.sqrt(dark * dark + CHROMA_WEIGHT * CHROMA_WEIGHT * (ca * ca + cb * cb));
  }
  return { L, a, b, off };
}
