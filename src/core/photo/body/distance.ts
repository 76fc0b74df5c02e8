/** Steps to a neighbour, a diagonal one and a knight's move away: within 2 % of the true distance. Source: Borgefors (1986), 5-7-11. */
const [SIDE, DIAGONAL, KNIGHT] = [1, 1.4, 2.2];
const BORDER = 2;

interface Frame {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Bounds of what a mask holds, with a rim about them; null when it holds nothing. */
function frameOf(mask: Uint8Array, width: number, height: number, rim: number): Frame | null {
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let y = 0; y < height; y++) {
    const from = y * width;
    for (let x = 0; x < width; x++) {
      if (mask[from + x] === 0) continue;
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      bottom = y;
    }
  }
  return right < 0
    ? null
    : {
        left: Math.max(0, left - rim),
        top: Math.max(0, top - rim),
        right: Math.min(width, right + 1 + rim),
        bottom: Math.min(height, bottom + 1 + rim),
      };
}

/** Distance of every pixel in a frame to the nearest one where `mask` equals `zero`, px; outside the frame counts as paper. Pixels outside it stay `elsewhere`. */
function distanceTo(mask: Uint8Array, fullWidth: number, frame: Frame, zero: 0 | 1, elsewhere: number): Float32Array {
  const [width, height] = [frame.right - frame.left, frame.bottom - frame.top];
  const w = width + 2 * BORDER;
  const h = height + 2 * BORDER;
  const d = new Float32Array(w * h);
  const far = w + h;
  for (let y = 0; y < height; y++) {
    const from = (frame.top + y) * fullWidth + frame.left;
    const to = (y + BORDER) * w + BORDER;
    for (let x = 0; x < width; x++) d[to + x] = (mask[from + x] === 0) === (zero === 0) ? 0 : far;
  }
  // The rim: paper, which is a zero only when paper is what is sought.
  if (zero === 1) {
    for (let x = 0; x < w; x++) for (let row = 0; row < BORDER; row++) d[row * w + x] = d[(h - 1 - row) * w + x] = far;
    for (let y = 0; y < h; y++)
      for (let column = 0; column < BORDER; column++) d[y * w + column] = d[y * w + w - 1 - column] = far;
  }
  for (let y = BORDER; y < h - BORDER; y++) {
    for (let x = BORDER; x < w - BORDER; x++) {
      const at = y * w + x;
      let best = d[at]!;
      if (best === 0) continue;
      const up = at - w;
      const up2 = up - w;
      let other = d[at - 1]! + SIDE;
      if (other < best) best = other;
      other = d[up]! + SIDE;
      if (other < best) best = other;
      other = d[up - 1]! + DIAGONAL;
      if (other < best) best = other;
      other = d[up + 1]! + DIAGONAL;
      if (other < best) best = other;
      other = d[up - 2]! + KNIGHT;
      if (other < best) best = other;
      other = d[up + 2]! + KNIGHT;
      if (other < best) best = other;
      other = d[up2 - 1]! + KNIGHT;
      if (other < best) best = other;
      other = d[up2 + 1]! + KNIGHT;
      if (other < best) best = other;
      d[at] = best;
    }
  }
  for (let y = h - BORDER - 1; y >= BORDER; y--) {
    for (let x = w - BORDER - 1; x >= BORDER; x--) {
      const at = y * w + x;
      let best = d[at]!;
      if (best === 0) continue;
      const down = at + w;
      const down2 = down + w;
      let other = d[at + 1]! + SIDE;
      if (other < best) best = other;
      other = d[down]! + SIDE;
      if (other < best) best = other;
      other = d[down - 1]! + DIAGONAL;
      if (other < best) best = other;
      other = d[down + 1]! + DIAGONAL;
      if (other < best) best = other;
      other = d[down - 2]! + KNIGHT;
      if (other < best) best = other;
      other = d[down + 2]! + KNIGHT;
      if (other < best) best = other;
      other = d[down2 - 1]! + KNIGHT;
      if (other < best) best = other;
      other = d[down2 + 1]! + KNIGHT;
      if (other < best) best = other;
      d[at] = best;
    }
  }
  const out = new Float32Array(mask.length);
  if (elsewhere !== 0) out.fill(elsewhere);
  for (let y = 0; y < height; y++)
    out.set(
      d.subarray((y + BORDER) * w + BORDER, (y + BORDER) * w + BORDER + width),
      (frame.top + y) * fullWidth + frame.left,
    );
  return out;
}

/** Distance of every pixel of a mask to its edge, px; 0 outside. */
export function depthOf(mask: Uint8Array, width: number, height: number): Float32Array {
  const frame = frameOf(mask, width, height, 0);
  if (!frame) return new Float32Array(mask.length);
  const depth = distanceTo(mask, width, frame, 0, 0);
  for (let at = 0; at < depth.length; at++) if (depth[at]! > 0) depth[at] = depth[at]! - 0.5;
  return depth;
}

/** What is left of a mask where a disc of this radius fits: thin parts go, thick ones keep their outline. `depth` is the mask's own, where it is known. */
export function opened(
  mask: Uint8Array,
  width: number,
  height: number,
  radius: number,
  depth: Float32Array = depthOf(mask, width, height),
): Uint8Array {
  const core = new Uint8Array(mask.length);
  for (let at = 0; at < mask.length; at++) core[at] = depth[at]! > radius ? 1 : 0;
  const within = frameOf(core, width, height, Math.ceil(radius) + 2);
  if (!within) return core;
  const back = distanceTo(core, width, within, 1, Infinity);
  for (let at = 0; at < mask.length; at++) core[at] = mask[at] !== 0 && back[at]! <= radius + 0.5 ? 1 : 0;
  return core;
}

/** Distance of every pixel to a mask, px, as far as `most`; Infinity beyond. */
export function awayFrom(mask: Uint8Array, width: number, height: number, most: number): Float32Array {
  const frame = frameOf(mask, width, height, Math.ceil(most) + 2);
  return frame ? distanceTo(mask, width, frame, 1, Infinity) : new Float32Array(mask.length).fill(Infinity);
}

/** A mask with everything within `radius` of it. */
export function widened(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const out = new Uint8Array(mask.length);
  const away = awayFrom(mask, width, height, radius);
  for (let at = 0; at < mask.length; at++) out[at] = away[at]! <= radius ? 1 : 0;
  return out;
}
