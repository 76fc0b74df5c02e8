import type { PartId, StyleId } from '@/catalogue/ids';
import type { Coded } from '../../code';
import { hookMarks, type Point } from '../../hooks/drawn';
import { boxed } from '../field/light';
import { tonesOf, type Tones } from '../field/tones';
import { notPaper, piecesOf } from '../body/separate';
import { balancedCrop } from '../field/balanced';
import type { FieldCards, ImagePoint } from '../card';
import { findCard } from '../find/find-card';
import type { Photograph } from '../picture';
import { litField } from '../field/lit-field';
import type { OnCrop, PhotoMeasure, Report } from '../measure-photo';
import { laidOf } from './laid';
import { ON, STEP_MM, type Seen } from './seen';
import type { FlySought, SoughtPart } from './sought';

export type { FlySought, SoughtPart } from './sought';
import { inkAt, placer, poseOf, type Ink } from './pose';

/** A part between its two ends, card millimetres; `sure` where both were found, else they lie where the card would have them and are set by hand. */
export interface FlyPart {
  id: string;
  kind: PartId;
  from: ImagePoint;
  to: ImagePoint;
  /** Of a barb: so much of the way is not barb, for it is taken from the middle of the hook. */
  lessMm: number;
  sure: boolean;
}

export interface FlyMeasure {
  refused: Coded | null;
  card: PhotoMeasure['card'];
  /** Ends of the shank: behind the eye, and where the bend begins, card millimetres. */
  axis: [ImagePoint, ImagePoint] | null;
  /** Millimetres on the card of one millimetre of the fly, which lies above it, and the SD of that. */
  scale: { times: number; sd: number };
  parts: FlyPart[];
}

/** Sides a part points to, radians from the eye's own direction, y up: back, up, down. */
const SECTOR = {
  back: [Math.PI - 0.62, Math.PI + 0.34],
  up: [Math.PI / 2 - 0.45, Math.PI / 2 + 0.62],
  over: [Math.PI - 0.52, Math.PI - 0.02],
  down: [-Math.PI / 2 - 0.5, -Math.PI / 2 + 0.5],
} as const;
const UPRIGHT: ReadonlySet<StyleId> = new Set([
  'upright-dun',
  'post-dun',
  'extended-dun',
  'low-emerger',
  'hanging-emerger',
]);
const WINGS: ReadonlySet<PartId> = new Set(['wing', 'hair-wing', 'post', 'tuft']);
const TAILS: ReadonlySet<PartId> = new Set(['tail', 'shuck']);

/** A thin thing stands so far out of the paper (CIELAB), or by so much of what the paper's grain asks. */
const FINE = { least: 4.5, ofThreshold: 0.75 } as const;
/** So much of a sector has to be clear of the wire for it to be read. */
const OPEN = 0.55;
/** A gap so wide ends a part, mm. */
const GAP_MM = 0.3;
/** A wing is solid so broad, mm, where its tip is counted. */
const SOLID_MM = 0.26;
/** A hook found so far from its size, as shares of shank and gape, has its bend elsewhere: what begins there is set by hand. */
const BEND_OFF = { shank: 0.04, gape: 0.09 } as const;
/** A wing over the body grows thin for so far before its tip, mm, about as it pointed, radians. */
const MOST_TIP_MM = 0.9;
const TIP_TURN = 0.08;
/** A length beyond these shares of the card's is not believed. */
const BELIEVED = [0.68, 1.42] as const;
/** The hook is found from this score on. */
const LEAST_POSE = 0.55;
const WINDOW_MARGIN_MM = 1.5;
/** What belongs to the fly lies so near its largest piece, mm. */
const TOGETHER_MM = 3;
const MOST_SCALE = 24;
/** The hook's plane lies so high over the card, about, mm, and its spread. */
const HEIGHT = { mm: 1.6, sd: 1.2 } as const;
const HOOK_SD = { known: 0.014, estimated: 0.05 } as const;
/** Pale fibres on pale paper lose their tips: what stands out no more than this is set by hand. */
const PLAIN_TIP = 2.6;
const FAINT_BEYOND = 0.9;
/** Of a barb's tip so much is too thin to be seen with another beside it, mm. */
const BARB_TIP_MM = 0.14;
/** What comes so near the rim may go on beyond it, mm. */
const RIM_MM = 0.4;
/** A hackle over so much of the hook has no one middle. */
const PALMERED = 0.3;
/** A shorter barb is lost in the fur about it. */
const LEAST_BARB_MM = 1.5;
/** A wing is told from hackle where it reaches so far beyond it. */
const BEYOND = 1.04;

const nothing = (code: string, card: PhotoMeasure['card']): FlyMeasure => ({
  refused: { code, params: {} },
  card,
  axis: null,
  scale: { times: 1, sd: 0 },
  parts: [],
});

/** Radii outward from a place at which something is there, as how many separate things and how broad the broadest is, mm. */
function around(
  seen: Seen,
  from: Point,
  radius: number,
  [low, high]: readonly [number, number],
): { things: number; broad: number; open: number } {
  const step = STEP_MM / radius;
  let [things, run, broad, was, free, all] = [0, 0, 0, false, 0, 0];
  for (let angle = low; angle <= high; angle += step) {
    const p: Point = [from[0] + radius * Math.cos(angle), from[1] + radius * Math.sin(angle)];
    const bare = !seen.wire(p);
    all++;
    if (bare) free++;
    const is = bare && seen.fine(p);
    if (is && !was) things++;
    run = bare && seen.at(p) > ON ? run + STEP_MM : 0;
    broad = Math.max(broad, run);
    was = is;
  }
  return { things, broad, open: free / all };
}

/** How far a part reaches, walking outward from well inside it until it has been missing for a gap; null where it is not there to begin with. */
function reachOf(
  seen: Seen,
  from: Point,
  mm: number,
  sector: readonly [number, number],
  there: (found: ReturnType<typeof around>) => boolean,
): number | null {
  const start = 0.5 * mm;
  let last: number | null = null;
  let missed = 0;
  for (let radius = start; radius < 2.2 * mm; radius += STEP_MM) {
    const found = around(seen, from, radius, sector);
    // Where the wire crosses, nothing is said of what lies over it.
    if (found.open < OPEN) continue;
    missed = there(found) ? 0 : missed + STEP_MM;
    if (missed === 0) last = radius;
    else if (missed > GAP_MM) break;
  }
  return last;
}

/** The angle at which a reach ends: the middle of what is there a little inside it. */
function angleAt(seen: Seen, from: Point, radius: number, [low, high]: readonly [number, number]): number {
  const found: number[] = [];
  for (let angle = low; angle <= high; angle += 0.02) {
    const p: Point = [from[0] + (radius - 0.08) * Math.cos(angle), from[1] + (radius - 0.08) * Math.sin(angle)];
    if (!seen.wire(p) && seen.fine(p)) found.push(angle);
  }
  return found.length === 0 ? (low + high) / 2 : found[found.length >> 1]!;
}

/** Where a tip that grows thin ends: outward from where it was solid last, for as long as anything is there. */
function tipOf(seen: Seen, from: Point, reach: number, angle: number): number {
  let last = reach;
  for (let radius = reach; radius < reach + MOST_TIP_MM && radius - last <= 2 * STEP_MM; radius += STEP_MM)
    if (around(seen, from, radius, [angle - TIP_TURN, angle + TIP_TURN]).things > 0) last = radius;
  return last;
}

/** Toward a tip, and beyond it, as shares of its reach. */
const TIP = { toward: [0.66, 0.97], beyond: [1, 1.15] } as const;

/** How plainly something stands out of the paper between two shares of a reach: the median of what is plainest at each radius, over what the grain asks. */
function standsAt(
  seen: Seen,
  from: Point,
  reach: number,
  [low, high]: readonly [number, number],
  [near, far]: readonly [number, number],
): number {
  const most: number[] = [];
  for (let radius = near * reach; radius < far * reach; radius += STEP_MM) {
    let best = 0;
    for (let angle = low; angle <= high; angle += STEP_MM / radius) {
      const p: Point = [from[0] + radius * Math.cos(angle), from[1] + radius * Math.sin(angle)];
      if (!seen.wire(p)) best = Math.max(best, seen.stands(p));
    }
    most.push(best);
  }
  return most.sort((a, b) => a - b)[most.length >> 1] ?? 0;
}

/** Whether a tip is seen: it stands out plainly up to there, and beyond it there is paper, not the faint end of what goes on. */
function isTip(seen: Seen, from: Point, reach: number, sector: readonly [number, number]): boolean {
  return (
    standsAt(seen, from, reach, sector, TIP.toward) >= PLAIN_TIP &&
    standsAt(seen, from, reach, sector, TIP.beyond) <= FAINT_BEYOND
  );
}

/** Whether the bend lies where the hook's dimensions have it. */
const bendFound = ({ pose }: Seen, times: number): boolean =>
  Math.abs(pose.shank - times) <= BEND_OFF.shank && Math.abs(pose.gape - times) <= BEND_OFF.gape;

function partsOf(
  seen: Seen,
  sought: FlySought,
  tones: Tones,
  times: number,
): (Omit<FlyPart, 'from' | 'to'> & { ends: [Point, Point] })[] {
  const place = placer(seen.pose, seen.ink.scale);
  // Places along the hook are shares of its own shank, which lies between eye and bend as they were found.
  const along = seen.pose.shank;
  const upright = UPRIGHT.has(sought.style);
  // Along a bent shank a place is not known by how far back it is.
  const straight = sought.hook.bend === 'round' || sought.hook.bend === 'wide' || sought.hook.bend === 'jig';
  const bend = bendFound(seen, times);
  const laid = straight ? laidOf(seen, sought, tones, place, bend) : new Map<string, [number, number]>();
  const hackle = sought.parts.find(({ taken }) => taken === 'barb');
  const middleOf = ({ fromMm, toMm }: SoughtPart) => seen.onHook(((fromMm + (toMm ?? fromMm)) / 2) * along);
  const barb = hackle
    ? reachOf(
        seen,
        middleOf(hackle),
        (hackle.mm + hackle.thickMm / 2) * times,
        SECTOR.down,
        ({ things }) => things >= 2,
      )
    : null;
  const believed = (mm: number | null, part: SoughtPart) =>
    mm !== null && mm / times > BELIEVED[0] * part.mm && mm / times < BELIEVED[1] * part.mm;
  const inside = (ends: [Point, Point]) => (seen.inside(ends[1]) ? ends : null);
  return sought.parts.map((part) => {
    const { id, kind, taken } = part;
    const start = seen.onHook(part.fromMm * along);
    const out = (radius: number, angle: number, from = start): [Point, Point] => [
      from,
      [from[0] + radius * Math.cos(angle), from[1] + radius * Math.sin(angle)],
    ];
    const unsure = (): [Point, Point] => {
      if (taken === 'along') return [start, seen.onHook((part.fromMm - part.mm) * along)];
      if (taken === 'barb') return out(part.mm * times, -Math.PI / 2, middleOf(part));
      return out(part.mm * times, TAILS.has(kind) ? Math.PI : WINGS.has(kind) && upright ? Math.PI / 2 : Math.PI - 0.3);
    };
    const found = ((): [Point, Point] | null => {
      if (taken === 'barb') {
        const palmered = part.fromMm - (part.toMm ?? part.fromMm) > PALMERED * sought.hook.shankMm;
        if (part !== hackle || palmered || part.mm < LEAST_BARB_MM || !believed(barb, part)) return null;
        if (!isTip(seen, middleOf(part), barb!, SECTOR.down)) return null;
        return inside(
          out(barb! + BARB_TIP_MM * times, angleAt(seen, middleOf(part), barb!, SECTOR.down), middleOf(part)),
        );
      }
      if (TAILS.has(kind)) {
        const reach = reachOf(seen, start, part.mm * times, SECTOR.back, ({ things }) => things >= 1);
        return bend && believed(reach, part) && isTip(seen, start, reach!, SECTOR.back)
          ? inside(out(reach!, angleAt(seen, start, reach!, SECTOR.back)))
          : null;
      }
      if (WINGS.has(kind) && (upright || sought.style === 'down-wing' || sought.style === 'stone-adult')) {
        const sector = upright ? SECTOR.up : SECTOR.over;
        const reach = reachOf(seen, start, part.mm * times, sector, ({ broad }) => broad >= SOLID_MM);
        // Among barbs a wing's tip is not told from theirs, and over the body not from the body's end.
        // A longer wing or tuft lies over a shorter one.
        if (!upright && sought.parts.some((own) => WINGS.has(own.kind) && own.mm > part.mm)) return null;
        const least = upright ? BEYOND * (barb ?? 0) : BEYOND * (sought.hook.shankMm - part.fromMm) * along;
        if (!believed(reach, part) || reach! <= least) return null;
        const angle = angleAt(seen, start, reach!, sector);
        return inside(out(upright ? reach! : tipOf(seen, start, reach!, angle), angle));
      }
      const ends = laid.get(id);
      if (ends) return [seen.onHook(ends[0]), seen.onHook(ends[1])];
      return null;
    })();
    return {
      id,
      kind,
      lessMm: taken === 'barb' ? (part.thickMm / 2) * times : 0,
      sure: found !== null,
      ends: found ?? unsure(),
    };
  });
}

/**
 * A tied fly that lies on its side on a field card: its hook, by its known dimensions, is the axis; ends of its parts are proposed where they are plain.
 * What is not plain is marked as such and lies where the card would have it, to be set by hand. A refusal says why.
 */
export function measureFly(
  photo: Photograph,
  sought: FlySought,
  printedScale: number,
  cards: FieldCards,
  report: Report = () => undefined,
  seenCrop: OnCrop = () => undefined,
): FlyMeasure {
  const found = findCard(photo, cards);
  report(0.35);
  if (!found) return nothing('photo-no-card', null);
  const opened = litField(photo, found, printedScale, report);
  if (!opened.ok) return nothing('photo-blurred', opened.card);
  const { camera, card, field, light, windowAt } = opened.lit;
  const { blobs } = piecesOf(field, tonesOf(field, light));
  const [largest] = blobs;
  if (!largest) return nothing('photo-nothing', card);
  let box = { left: largest.left, top: largest.top, right: largest.right, bottom: largest.bottom };
  const near = TOGETHER_MM * field.scale;
  for (let again = 0; again < 3; again++)
    for (const blob of blobs)
      if (
        blob.left < box.right + near &&
        blob.right > box.left - near &&
        blob.top < box.bottom + near &&
        blob.bottom > box.top - near
      )
        box = {
          left: Math.min(box.left, blob.left),
          top: Math.min(box.top, blob.top),
          right: Math.max(box.right, blob.right),
          bottom: Math.max(box.bottom, blob.bottom),
        };
  const mm = (px: number, from: number) => from + px / field.scale;
  const { window, light: lit } = windowAt(
    {
      left: mm(box.left, field.left) - WINDOW_MARGIN_MM,
      top: mm(box.top, field.top) - WINDOW_MARGIN_MM,
      right: mm(box.right + 1, field.left) + WINDOW_MARGIN_MM,
      bottom: mm(box.bottom + 1, field.top) + WINDOW_MARGIN_MM,
    },
    MOST_SCALE,
  );
  seenCrop((at, most) => {
    const look = windowAt(at, most / Math.max(at.right - at.left, at.bottom - at.top));
    return balancedCrop(look.window, look.light);
  });
  report(0.65);
  const tones = tonesOf(window, lit);
  const { threshold } = notPaper(window, tones);
  const off = boxed(tones.off, window.width, window.height, 1);
  const ink: Ink = {
    width: window.width,
    height: window.height,
    scale: window.scale,
    data: off.map((value) => Math.min(1, Math.max(0, (value - 0.6 * threshold) / (1.6 * threshold)))),
  };
  const fine: Ink = { ...ink, data: tones.off };
  const grain = Math.max(FINE.least, FINE.ofThreshold * threshold);
  const pose = poseOf(ink, sought.hook);
  report(0.85);
  if (!pose || pose.score < LEAST_POSE) return nothing('photo-no-hook', card);
  // How much larger it looks for lying above the card: by the hook's own length, and by what is usual.
  const usual = 1 + HEIGHT.mm / camera.above[2];
  const usualSd = HEIGHT.sd / camera.above[2];
  const hookSd = sought.hookKnown ? HOOK_SD.known : HOOK_SD.estimated;
  const weight = 1 / hookSd ** 2 / (1 / hookSd ** 2 + 1 / usualSd ** 2);
  const times = weight * pose.shank + (1 - weight) * usual;
  const { curve } = hookMarks(sought.hook);
  const points = curve.points.map(([x, y]): Point => [x * pose.shank, y * pose.gape]);
  const place = placer(pose, window.scale);
  const bare = points.filter((_, at) => curve.along[at]! > sought.hook.shankMm * 1.02);
  const clear = Math.max(0.24, 1.4 * sought.hook.wireMm);
  const seen: Seen = {
    ink,
    pose,
    at: (p) => inkAt(ink, ...place(p)),
    fine: (p) => inkAt(fine, ...place(p)) > grain,
    stands: (p) => inkAt(fine, ...place(p)) / grain,
    inside: (p) => {
      const [x, y] = place(p);
      const rim = RIM_MM * window.scale;
      return x > rim && y > rim && x < window.width - rim && y < window.height - rim;
    },
    wire: ([x, y]) => bare.some(([bx, by]) => Math.abs(bx - x) < clear && Math.abs(by - y) < clear),
    onHook: (at) => {
      const index = points.findIndex(([x], own) => own > 0 && x <= -at && points[own - 1]![0] > -at);
      if (index < 0) return [-at, 0];
      const [before, after] = [points[index - 1]!, points[index]!];
      const u = (before[0] + at) / (before[0] - after[0] || 1);
      return [-at, before[1] + u * (after[1] - before[1])];
    },
  };
  const onCard = (p: Point): ImagePoint => {
    const [x, y] = place(p);
    return [window.left + x / window.scale, window.top + y / window.scale];
  };
  return {
    refused: null,
    card,
    axis: [onCard([0, 0]), onCard(seen.onHook(sought.hook.shankMm * pose.shank))],
    scale: { times: times / printedScale, sd: Math.sqrt(1 / (1 / hookSd ** 2 + 1 / usualSd ** 2)) },
    parts: partsOf(seen, sought, tones, times).map(({ ends, ...part }) => ({
      ...part,
      from: onCard(ends[0]),
      to: onCard(ends[1]),
    })),
  };
}

/** Length of a part between its ends as they lie now, mm of the fly. */
export function flyPartMm(
  { from, to, lessMm }: Pick<FlyPart, 'from' | 'to' | 'lessMm'>,
  { times }: FlyMeasure['scale'],
): number {
  return Math.max(0, (Math.hypot(to[0] - from[0], to[1] - from[1]) - lessMm) / times);
}
