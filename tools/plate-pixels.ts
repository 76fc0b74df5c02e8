import sharp from 'sharp';
import { catalogueOf, DRESSINGS, REFERENCE_HOOKS } from '../src/catalogue';
import { cardFor, NO_CHOICES } from '../src/core/answer';
import { deltaE, labOfHex } from '../src/core/colour';
import type { Dressing } from '../src/core/dressings';
import type { Card } from '../src/core/tying';
import { flyMarks } from '../src/ui/drawings/fly/fly-marks';
import { svgPicture } from '../src/ui/drawings/to-svg';

/** The hook every dressing is compared on, and the frame it is drawn in: 240 by 220 pixels at 9 a millimetre, the eye always in the same place. */
export const PLATE_HOOK = 'reference:standard-dry:14';
const FRAME = { width: 240, height: 220, scale: 9, x: 190, y: 110 } as const;

const CATALOGUE = catalogueOf(REFERENCE_HOOKS);

/** The card of a dressing on the common hook, without a natural. */
export function cardOnCommonHook(dressing: Dressing): Card {
  const hook = CATALOGUE.hooks.find((item) => item.id === PLATE_HOOK)!;
  return cardFor({
    dressing,
    hook,
    sample: null,
    choices: {
      ...NO_CHOICES,
      hookPin: PLATE_HOOK,
      dressingPin: dressing.id,
      added: dressing.switches.map((item) => item.id),
    },
    catalogue: CATALOGUE,
    count: null,
  });
}

export interface PlatePixels {
  id: string;
  mask: Uint8Array;
  rgb: Uint8Array;
}

/** A dressing's side view as pixels: what is painted, and in which colours. */
export async function platePixels(dressing: Dressing): Promise<PlatePixels> {
  const { marks } = flyMarks(cardOnCommonHook(dressing));
  const svg = svgPicture({
    width: FRAME.width,
    height: FRAME.height,
    theme: 'morning',
    ground: false,
    title: dressing.name,
    placed: [{ marks, scale: FRAME.scale, x: FRAME.x, y: FRAME.y }],
  });
  const { data } = await sharp(Buffer.from(svg)).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const count = FRAME.width * FRAME.height;
  const mask = new Uint8Array(count);
  const rgb = new Uint8Array(count * 3);
  for (let i = 0; i < count; i++) {
    mask[i] = data[i * 4 + 3]! > 96 ? 1 : 0;
    rgb.set([data[i * 4]!, data[i * 4 + 1]!, data[i * 4 + 2]!], i * 3);
  }
  return { id: dressing.id, mask, rgb };
}

/** Colours in steps of eight, so that each difference is worked out once. */
const COARSE = 3;
const coarseAt = (rgb: Uint8Array, i: number) =>
  ((rgb[i * 3]! >> COARSE) << 10) | ((rgb[i * 3 + 1]! >> COARSE) << 5) | (rgb[i * 3 + 2]! >> COARSE);
const hexOf = (coarse: number) =>
  `#${[10, 5, 0].map((shift) => ((((coarse >> shift) & 31) << COARSE) | 4).toString(16).padStart(2, '0')).join('')}` as `#${string}`;
const known = new Map<number, number>();

function differenceOf(a: number, b: number): number {
  if (a === b) return 0;
  const key = a < b ? a * 32768 + b : b * 32768 + a;
  const found = known.get(key) ?? deltaE(labOfHex(hexOf(a)), labOfHex(hexOf(b)));
  known.set(key, found);
  return found;
}

export interface PlatePair {
  a: string;
  b: string;
  /** Intersection over union of what is painted. */
  iou: number;
  /** Mean colour difference of the pixels both paint; worked out only where the shapes are close. */
  deltaE: number | null;
}

/** Shapes as alike as this are told apart by colour. Source: the wish that no two plates can be taken for each other. */
export const ALIKE = { iou: 0.93, deltaE: 6 } as const;
const EVERY = 3;

/** How alike two plates are. */
export function comparePlates(one: PlatePixels, two: PlatePixels, near = 0.8): PlatePair {
  let [shared, any] = [0, 0];
  for (let i = 0; i < one.mask.length; i++) {
    const [m, n] = [one.mask[i]!, two.mask[i]!];
    shared += m & n;
    any += m | n;
  }
  const iou = shared / any;
  if (iou < near) return { a: one.id, b: two.id, iou, deltaE: null };
  let [sum, count] = [0, 0];
  for (let i = 0; i < one.mask.length; i += EVERY) {
    if (!(one.mask[i]! & two.mask[i]!)) continue;
    sum += differenceOf(coarseAt(one.rgb, i), coarseAt(two.rgb, i));
    count++;
  }
  return { a: one.id, b: two.id, iou, deltaE: sum / Math.max(1, count) };
}

/** Every pair of the library, the most alike first. */
export async function platePairs(library: readonly Dressing[] = DRESSINGS): Promise<PlatePair[]> {
  const pixels = await Promise.all(library.map(platePixels));
  return pixels
    .flatMap((one, index) => pixels.slice(index + 1).map((two) => comparePlates(one, two)))
    .sort((a, b) => b.iou - a.iou);
}
