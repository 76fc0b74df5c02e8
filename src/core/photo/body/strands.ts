import { blobsOf } from '../blobs';
import { opened, widened } from './distance';
import type { Regions } from './regions';

/** Legs and tails: thinner than this share of a body whose square has so much of it. */
const STRAND = 0.026;
const STRAND_LEAST_PX = 1.4;
const AREA_OF_SQUARE = 0.3;

/** Length of a body that such an area may belong to, px. */
export const lengthByArea = (area: number) => Math.sqrt(area / AREA_OF_SQUARE);

/** A mask without what is as thin as a leg. */
export function withoutStrands(mask: Uint8Array, width: number, height: number, long: number): Uint8Array {
  return opened(mask, width, height, Math.max(STRAND_LEAST_PX, STRAND * long));
}
/** What is shorter than this share of a body is a hair or a corner. */
const LEAST_STRAND = 0.1;
/** Where a strand begins: so near to what is thick, px; and what is thick about it. */
const AT_ROOT = 2;
const ROUND_ROOT = 3;

/** A leg, tail or feeler: where it begins, which way it goes (unit), and the region it hangs on; 0 where that is too pale to be one. */
export interface Strand {
  root: readonly [number, number];
  out: readonly [number, number];
  region: number;
}

/** Thin parts of some length, each with where it begins. `seen` is what is plainly not paper. */
export function strandsOn(seen: Uint8Array, width: number, height: number, regions: Regions): Strand[] {
  const area = regions.areas.reduce((sum, value) => sum + value, 0);
  const long = lengthByArea(area);
  const thick = withoutStrands(seen, width, height, long);
  const thin = new Uint8Array(seen.length);
  for (let at = 0; at < seen.length; at++) thin[at] = seen[at] !== 0 && thick[at] === 0 ? 1 : 0;
  const { labels, blobs } = blobsOf(thin, width, height);
  const reach = widened(thick, width, height, AT_ROOT);
  return blobs.flatMap((blob) => {
    if (Math.hypot(blob.right - blob.left, blob.bottom - blob.top) < LEAST_STRAND * long) return [];
    const met = regions.areas.map(() => 0);
    let [n, x0, y0] = [0, 0, 0];
    for (let y = blob.top; y <= blob.bottom; y++)
      for (let x = blob.left; x <= blob.right; x++) {
        const at = y * width + x;
        if (labels[at] !== blob.label || reach[at] === 0) continue;
        n++;
        x0 += x;
        y0 += y;
        for (let dy = -ROUND_ROOT; dy <= ROUND_ROOT; dy++)
          for (let dx = -ROUND_ROOT; dx <= ROUND_ROOT; dx++) {
            const to = at + dy * width + dx;
            if (to >= 0 && to < seen.length && thick[to] !== 0) met[regions.of[to]!]!++;
          }
      }
    if (n === 0) return [];
    met[0] = 0;
    const most = Math.max(...met);
    const root: [number, number] = [x0 / n, y0 / n];
    const way = Math.hypot(blob.x - root[0], blob.y - root[1]) || 1;
    return [
      {
        root,
        out: [(blob.x - root[0]) / way, (blob.y - root[1]) / way] as [number, number],
        region: met.indexOf(most),
      },
    ];
  });
}
