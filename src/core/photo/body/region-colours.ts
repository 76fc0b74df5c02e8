import type { RegionId } from '@/catalogue/ids';
import { deltaE, type Lab } from '../../colour';
import type { ImagePoint } from '../card';
import type { CardField } from '../field/rectify';
import type { Tones } from '../field/tones';
import { median } from '../median';
import { opened, widened } from './distance';
import { nearestOn } from './midline';
import type { Cut } from './separate';

/** Colour of a region: the middle of its pixels, how far they lie from it, and a second tone where there are two. */
export interface RegionColour {
  lab: Lab;
  /** Half of the pixels lie within this of the middle, CIEDE2000. */
  spread: number;
  second: { lab: Lab; share: number } | null;
}

const THORAX = [0.1, 0.34] as const;
const ABDOMEN = [0.42, 0.94] as const;
const LEAST_PIXELS = 12;
const MOST_PIXELS = 5000;
const GLARE_L = 14;
const TWO_TONES_DE = 14;
const TWO_TONES_SHARE = 0.22;
const WING_SHARE = 0.25;
/** Clear of wings, this share of a region is enough to tell its colour. */
const CLEAR_SHARE = 0.15;
/** Cells along the body on either side of the midline, a wing's own grey, and how near two cells are of one tone. */
const CELLS = 20;
const GREY_L = 65;
const SAME_TONE = 4;
const UNVEILED_SHARE = 0.12;
/** What lies under wings and is no farther than this from their own tone, L*a*b*, may be veiled all over. */
const LIKE_WING = 20;

function middleOf(points: readonly Lab[]): Lab {
  return [0, 1, 2].map((axis) => median(points.map((point) => point[axis]!))) as unknown as Lab;
}

const apart = (one: Lab, two: Lab) => Math.hypot(one[0] - two[0], one[1] - two[1], one[2] - two[2]);

/** Robust colour of pixels: glare left out, two tones told apart where both are large and far apart. */
export function colourOfPixels(points: readonly Lab[]): RegionColour | null {
  if (points.length < LEAST_PIXELS) return null;
  const rough = middleOf(
    points.length > 3000 ? points.filter((_, index) => index % Math.ceil(points.length / 3000) === 0) : points,
  );
  // Wet glare is lighter than its surroundings and has lost their colour.
  const chroma = Math.hypot(rough[1], rough[2]);
  const all = points.filter(([l, a, b]) => !(l > rough[0] + GLARE_L && Math.hypot(a, b) < Math.max(4, 0.6 * chroma)));
  if (all.length < LEAST_PIXELS) return null;
  // A few thousand pixels tell a colour as well as all of them.
  const stride = Math.ceil(all.length / 3000);
  const clean = stride > 1 ? all.filter((_, index) => index % stride === 0) : all;
  const lab = middleOf(clean);
  const far = clean.map((point) => apart(point, lab));
  const sample = clean.length > 400 ? clean.filter((_, index) => index % Math.ceil(clean.length / 400) === 0) : clean;
  const spread = median(sample.map((point) => deltaE(point, lab)));
  // Two heaps: start from the point farthest away, settle, and keep it only when it is a heap of its own.
  let one: Lab = lab;
  let two: Lab = clean[far.indexOf(Math.max(...far))]!;
  let second: Lab[] = [];
  for (let round = 0; round < 6; round++) {
    const near = (point: Lab) => apart(point, one) <= apart(point, two);
    const first = clean.filter(near);
    second = clean.filter((point) => !near(point));
    if (first.length === 0 || second.length === 0) return { lab, spread, second: null };
    [one, two] = [middleOf(first), middleOf(second)];
  }
  const share = second.length / clean.length;
  if (share < TWO_TONES_SHARE || share > 1 - TWO_TONES_SHARE || deltaE(one, two) < TWO_TONES_DE)
    return { lab, spread, second: null };
  return share <= 0.5
    ? { lab: one, spread, second: { lab: two, share } }
    : { lab: two, spread, second: { lab: one, share: 1 - share } };
}

/**
 * What of a region no wing lies over, when wings may lie over most of it: a wing greys what is under it, so the parts of the body that are
 * farthest from grey, if some of them agree and are a fair share. Null otherwise: all of it may be veiled.
 */
function unveiled(cells: ReadonlyMap<number, Lab[]>, count: number): Lab[] | null {
  const tones = [...cells.values()]
    .filter((points) => points.length >= LEAST_PIXELS / 2)
    .map((points) => ({ points, middle: middleOf(points) }));
  const fromGrey = ([l, a, b]: Lab) => Math.hypot(l - GREY_L, a, b);
  tones.sort((one, two) => fromGrey(two.middle) - fromGrey(one.middle));
  // The very first may be a leg.
  const anchor = tones[2]?.middle;
  if (!anchor) return null;
  const pure = tones.filter(({ middle }) => deltaE(middle, anchor) < SAME_TONE).flatMap(({ points }) => points);
  return pure.length >= Math.max(3 * LEAST_PIXELS, UNVEILED_SHARE * count) ? pure : null;
}

/** Region of a view: what lies at this share of the way from head to tail. */
function regionAt(u: number, face: 'back' | 'belly'): RegionId | null {
  if (u >= THORAX[0] && u <= THORAX[1]) return `thorax-${face}` as RegionId;
  return u >= ABDOMEN[0] && u <= ABDOMEN[1] ? (`abdomen-${face}` as RegionId) : null;
}

/** One colour for a whole case, its rim left out. */
export function caseColour(cut: Cut, tones: Tones, edgePx: number): RegionColours {
  const { depth } = cut;
  const rim = rimOf(cut, edgePx);
  const points: Lab[] = [];
  for (let at = 0; at < depth.length; at++)
    if (depth[at]! >= rim) points.push([tones.L[at]!, tones.a[at]!, tones.b[at]!]);
  const colour = colourOfPixels(points);
  return { told: colour ? { case: colour } : {}, veiled: [] };
}

/** Pixels within the blur of the edge are mixed with paper. */
function rimOf(cut: Cut, edgePx: number): number {
  return Math.min(0.55 * cut.radius, Math.max(1.2, 0.25 * cut.radius, 0.75 * edgePx));
}

/** Thick parts beside a body, pixel by pixel, with those that touch it, and how large its trunk is. */
export function wingsOf(
  cut: Pick<Cut, 'all' | 'body' | 'trunk' | 'away' | 'depthAll' | 'radius' | 'width' | 'height'>,
): { wings: number[]; beside: Uint8Array; trunk: number } {
  const wing = opened(cut.all, cut.width, cut.height, Math.max(1.5, 0.3 * cut.radius), cut.depthAll);
  const body = widened(cut.body, cut.width, cut.height, Math.max(2, 0.25 * cut.radius));
  const close = 0.5 * cut.radius + 3;
  const beside = new Uint8Array(wing.length);
  const wings: number[] = [];
  let trunk = 0;
  for (let at = 0; at < wing.length; at++) {
    if (cut.trunk[at] !== 0) trunk++;
    else if (wing[at] !== 0 && body[at] === 0) {
      wings.push(at);
      beside[at] = cut.away[at]! <= close ? 1 : 0;
    }
  }
  return { wings, beside, trunk };
}

/** Whether wings are seen beside a body. */
export function isWinged(cut: Parameters<typeof wingsOf>[0]): boolean {
  const { wings, trunk } = wingsOf(cut);
  return wings.length > WING_SHARE * trunk;
}

/** Colours by region, and the regions whose own colour cannot be told from what lies over them. */
export interface RegionColours {
  told: Partial<Record<RegionId, RegionColour>>;
  veiled: RegionId[];
}

/** Colours of the regions that a view shows; a side view counts as the belly, which is what a fish sees. */
export function regionColours(
  cut: Cut,
  midlineMm: readonly ImagePoint[],
  field: CardField,
  tones: Tones,
  view: 'back' | 'belly' | 'side',
  edgePx: number,
): RegionColours {
  const { depth } = cut;
  const rim = rimOf(cut, edgePx);
  const found = new Map<RegionId, { clear: Lab[]; veiled: Lab[]; cells: Map<number, Lab[]> }>();
  const line = midlineMm.map(([x, y]): ImagePoint => [(x - field.left) * field.scale, (y - field.top) * field.scale]);
  const lab = (at: number): Lab => [tones.L[at]!, tones.a[at]!, tones.b[at]!];
  const { wings, beside, trunk } = wingsOf(cut);
  // Where a wing shows beside the body it may lie over it as far as the midline, and veil its colour.
  const veiled =
    wings.length > WING_SHARE * trunk ? widened(beside, cut.width, cut.height, 1.4 * cut.radius + 2) : null;
  // A few thousand pixels tell a colour as well as all of them.
  let deep = 0;
  for (const value of depth) if (value >= rim) deep++;
  const stride = Math.max(1, Math.floor(deep / MOST_PIXELS));
  let met = 0;
  for (let at = 0; at < depth.length; at++) {
    if (depth[at]! < rim || met++ % stride !== 0) continue;
    const x = (at % cut.width) + 0.5;
    const y = ((at / cut.width) | 0) + 0.5;
    const best = nearestOn(line, x, y);
    const u = best / (line.length - 1);
    const region = regionAt(u, view === 'back' ? 'back' : 'belly');
    if (!region) continue;
    const list = found.get(region) ?? { clear: [], veiled: [], cells: new Map<number, Lab[]>() };
    found.set(region, list);
    const tone = lab(at);
    (veiled?.[at] ? list.veiled : list.clear).push(tone);
    if (!veiled) continue;
    const [from, to] = [line[Math.max(0, best - 1)]!, line[Math.min(line.length - 1, best + 1)]!];
    const side = (to[0] - from[0]) * (y - line[best]![1]) - (to[1] - from[1]) * (x - line[best]![0]) > 0 ? 1 : 0;
    const cell = 2 * Math.floor(u * CELLS) + side;
    const own = list.cells.get(cell);
    if (own) own.push(tone);
    else list.cells.set(cell, [tone]);
  }
  const wing = veiled ? colourOfPixels(wings.map(lab)) : null;
  const colours: RegionColours = { told: wing ? { wing } : {}, veiled: [] };
  for (const [region, { clear, veiled: under, cells }] of found) {
    const bare =
      under.length === 0 || clear.length >= Math.max(3 * LEAST_PIXELS, CLEAR_SHARE * (clear.length + under.length));
    const own = bare ? clear : unveiled(cells, clear.length + under.length);
    const colour = own && colourOfPixels(own);
    if (colour && (bare || !wing || apart(colour.lab, wing.lab) > LIKE_WING)) colours.told[region] = colour;
    else if (colour || !own) colours.veiled.push(region);
  }
  return colours;
}

/** What rivals for a body say of a region differs when it is farther off than this, CIEDE2000. */
const CONTESTED_DE = 6;

/** Colours with those left out that would be others if a rival were the body; all of them where what was measured may be a wing. */
export function withoutContested(
  { told, veiled }: RegionColours,
  rivals: readonly RegionColours[],
  mayBeWing = false,
): RegionColours & { contested: RegionId[] } {
  const other = (region: RegionId, { lab }: RegionColour) =>
    mayBeWing || rivals.some((rival) => rival.told[region] && deltaE(rival.told[region].lab, lab) > CONTESTED_DE);
  const all = Object.entries(told) as [RegionId, RegionColour][];
  const contested = all
    .filter(([region, colour]) => region !== 'wing' && other(region, colour))
    .map(([region]) => region);
  return { told: Object.fromEntries(all.filter(([region]) => !contested.includes(region))), veiled, contested };
}
