import { blobsOf } from '../blobs';
import type { Tones } from '../field/tones';
import { boxed } from '../field/light';
import { depthOf, opened } from './distance';
import { lengthByArea, withoutStrands } from './strands';

/** A mask parted by tone into patches that hang together. */
export interface Regions {
  /** Number of the region of each pixel, from 1; 0 outside the mask. */
  of: Int16Array;
  count: number;
  /** Pixels of each, by number; the first is no region. */
  areas: number[];
  /** The mask without legs, tails and the like. */
  solid: Uint8Array;
}

type Tone = [number, number, number];

/** Pixels within this of the rim are mixed with what lies beside it. */
const RIM_PX = 1.5;
/** Where two tones meet lies a sliver of a third. */
const SLIVER_PX = 1.1;
const MOST_TONES = 5;
const MOST_REGIONS = 6;
/** A tone of its own is at least this far from the others, CIE76; what drew nearer is one. */
const APART = 13;
const ONE_TONE = 10;
const LEAST_TONE = 0.03;
const LEAST_REGION = 0.035;
const ROUNDS = 8;
const SAMPLE = 2500;

const apart = (one: readonly number[], two: readonly number[]) =>
  Math.hypot(one[0]! - two[0]!, one[1]! - two[1]!, one[2]! - two[2]!);

function nearest(tones: readonly Tone[], tone: readonly number[]): number {
  let best = 0;
  for (let index = 1; index < tones.length; index++)
    if (apart(tones[index]!, tone) < apart(tones[best]!, tone)) best = index;
  return best;
}

/** The few tones that a sample is made of: farthest first, then settled; rare ones left out. */
export function tonesIn(sample: readonly Tone[]): Tone[] {
  if (sample.length === 0) return [];
  const mean = (own: readonly Tone[]): Tone =>
    [0, 1, 2].map((axis) => own.reduce((sum, tone) => sum + tone[axis]!, 0) / own.length) as Tone;
  let tones: Tone[] = [mean(sample)];
  const settle = () => {
    for (let round = 0; round < ROUNDS; round++) {
      const heaps: Tone[][] = tones.map(() => []);
      for (const tone of sample) heaps[nearest(tones, tone)]!.push(tone);
      tones = heaps.filter((heap) => heap.length > 0).map(mean);
    }
  };
  while (tones.length < MOST_TONES) {
    // Not the very farthest: that is a pixel of glare or a hair.
    const far = sample
      .map((tone) => ({ tone, off: apart(tones[nearest(tones, tone)]!, tone) }))
      .sort((one, two) => two.off - one.off)[Math.floor(0.02 * sample.length)]!;
    if (far.off < APART) break;
    tones.push(far.tone);
    settle();
  }
  const shares = tones.map(
    (_, index) => sample.filter((tone) => nearest(tones, tone) === index).length / sample.length,
  );
  return tones.filter(
    (tone, index) =>
      shares[index]! >= LEAST_TONE &&
      !tones.slice(0, index).some((other, before) => shares[before]! >= LEAST_TONE && apart(other, tone) < ONE_TONE),
  );
}

/** Gives every pixel of a mask the label of the labelled one that is nearest along the mask. */
function spreadOver(mask: Uint8Array, width: number, height: number, labels: Int16Array): void {
  let front: number[] = [];
  for (let at = 0; at < labels.length; at++) if (labels[at] !== 0) front.push(at);
  while (front.length > 0) {
    const next: number[] = [];
    for (const at of front) {
      const x = at % width;
      const y = (at - x) / width;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          if (x + dx < 0 || x + dx >= width || y + dy < 0 || y + dy >= height) continue;
          const to = at + dy * width + dx;
          if (mask[to] === 0 || labels[to] !== 0) continue;
          labels[to] = labels[at]!;
          next.push(to);
        }
    }
    front = next;
  }
}

/** Parts a mask into regions of one tone each; the largest few, the rest added to what they lie beside. */
export function regionsOf(mask: Uint8Array, width: number, height: number, tones: Tones): Regions {
  let area = 0;
  for (const value of mask) area += value;
  const solid = withoutStrands(mask, width, height, lengthByArea(area));
  const depth = depthOf(solid, width, height);
  const [L, a, b] = [tones.L, tones.a, tones.b].map((values) => boxed(values, width, height, 1)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const inner: number[] = [];
  for (let at = 0; at < mask.length; at++) if (depth[at]! >= RIM_PX) inner.push(at);
  const tone = (at: number): Tone => [L[at]!, a[at]!, b[at]!];
  const stride = Math.max(1, Math.floor(inner.length / SAMPLE));
  const found = tonesIn(inner.filter((_, index) => index % stride === 0).map(tone));
  const labels = new Int16Array(mask.length);
  const seeds = new Int16Array(mask.length);
  if (found.length > 0) for (const at of inner) labels[at] = nearest(found, tone(at)) + 1;
  const patches: number[][] = [];
  for (let index = 1; index <= found.length; index++) {
    const own = Uint8Array.from(labels, (label) => (label === index ? 1 : 0));
    const { labels: parts, blobs } = blobsOf(opened(own, width, height, SLIVER_PX), width, height);
    const pixels = new Map(blobs.map((blob) => [blob.label, [] as number[]]));
    for (let at = 0; at < parts.length; at++) if (parts[at] !== 0) pixels.get(parts[at]!)!.push(at);
    patches.push(...pixels.values());
  }
  const kept = patches
    .sort((one, two) => two.length - one.length)
    .filter((patch, index) => index < MOST_REGIONS && patch.length >= LEAST_REGION * inner.length);
  kept.forEach((patch, index) => {
    for (const at of patch) seeds[at] = index + 1;
  });
  spreadOver(mask, width, height, seeds);
  const areas = [0, ...kept.map(() => 0)];
  for (let at = 0; at < seeds.length; at++) if (seeds[at] !== 0) areas[seeds[at]!]!++;
  return { of: seeds, count: kept.length, areas, solid };
}
