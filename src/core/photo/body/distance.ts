/** Steps to a neighbour, a diagonal one and a knight's move away: within 2 % of the true distance. Source: Borgefors (1986), 5-7-11. */
const [SIDE, DIAGONAL, KNIGHT] = [1, 1.4, 2.2];
const BORDER = 2;

/** Distance of every pixel to the nearest one where `mask` equals `zero`, px; outside the picture counts as paper. */
function distanceTo(mask: Uint8Array, width: number, height: number, zero: 0 | 1): Float32Array {
  const w = width + 2 * BORDER;
  const h = height + 2 * BORDER;
  const d = new Float32Array(w * h);
  const far = w + h;
  for (let y = 0; y < height; y++) {
    const from = y * width;
    const to = (y + BORDER) * w + BORDER;
    for (let x = 0; x < width; x++) d[to + x] = (mask[from + x] === 0) === (zero === 0) ? 0 : far;
  }
  // The rim: paper, which is a zero only when paper is what is sought.
  if (zero === 1) {
    for (let x = 0; x < w; x++) for (let row = 0; row < BORDER; row++) d[row * w + x] = d[(h - 1 - row) * w + x] = far;
    for (let y = 0; y < h; y++) for (let column = 0; column < BORDER; column++) d[y * w + column] = d[y * w + w - 1 - column] = far;
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
  const out = new Float32Array(width * height);
  for (let y = 0; y < height; y++) out.set(d.subarray((y + BORDER) * w + BORDER, (y + BORDER) * w + BORDER + width), y * width);
  return out;
}

/** Distance of every pixel of a mask to its edge, px; 0 outside. */
export function depthOf(mask: Uint8Array, width: number, height: number): Float32Array {
  const depth = distanceTo(mask, width, height, 0);
  for (let at = 0; at < depth.length; at++) if (depth[at]! > 0) depth[at] = depth[at]! - 0.5;
  return depth;
}

/** What is left of a mask where a disc of this radius fits: thin parts go, thick ones keep their outline. */
export function opened(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const depth = distanceTo(mask, width, height, 0);
  const core = new Uint8Array(mask.length);
  for (let at = 0; at < mask.length; at++) core[at] = depth[at]! > radius + 0.5 ? 1 : 0;
  const back = distanceTo(core, width, height, 1);
  for (let at = 0; at < mask.length; at++) core[at] = mask[at] !== 0 && back[at]! <= radius + 0.5 ? 1 : 0;
  return core;
}

/** A mask with everything within `radius` of it. */
export function widened(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const away = distanceTo(mask, width, height, 1);
  const out = new Uint8Array(mask.length);
  for (let at = 0; at < mask.length; at++) out[at] = away[at]! <= radius ? 1 : 0;
  return out;
}
