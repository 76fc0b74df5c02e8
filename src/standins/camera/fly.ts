import type { PartId } from '@/catalogue/ids';
import type { Card, CardPart } from '@/core/tying';
import { hookMarks } from '@/core/hooks/drawn';
import type { HookDimensions } from '@/core/hooks/drawn';
import type { Chance } from './chance';
import { linear } from './insect';
import { layer, paint, type Layer, type Point, type Rgb } from './layer';

/** A tied fly that lies on its side: from which card, and by what share each part is off it. */
export interface FlyPlan {
  dims: HookDimensions;
  parts: FlyPart[];
  /** Where the back of its eye lies on the card, mm, which way the eye points, and whether its point lies to the other side. */
  at: Point;
  angle: number;
  flip: boolean;
  /** The hook's plane above the card, mm. */
  heightMm: number;
}

/** One part as it is drawn; distances along the hook from the back of the eye. */
export interface FlyPart {
  id: string;
  kind: PartId;
  shape: 'fibres' | 'along' | 'blade' | 'hackle';
  fromMm: number;
  toMm: number;
  /** As it was tied. */
  mm: number;
  thickMm: number;
  count: number;
  /** Direction it points to, radians, back is π. */
  angle: number;
  colour: string;
}

export interface FlyTruth {
  /** Lengths as they were drawn, by part. */
  parts: { id: string; kind: PartId; mm: number }[];
  midHeightMm: number;
}

const HACKLES: ReadonlySet<PartId> = new Set(['hackle', 'second-hackle', 'collar', 'stacked-hackle']);
const BLADES: ReadonlySet<PartId> = new Set(['wing', 'hair-wing', 'post', 'tuft']);
const FIBRES: ReadonlySet<PartId> = new Set(['tail', 'shuck', 'beard']);
const BODIES: ReadonlySet<PartId> = new Set(['abdomen', 'thorax', 'head', 'case', 'bead', 'egg-mass', 'tag']);
/** Wings of flies that stand up when they float; others lie back. */
const UPRIGHT: ReadonlySet<Card['style']> = new Set([
  'upright-dun',
  'post-dun',
  'extended-dun',
  'low-emerger',
  'hanging-emerger',
]);

function partOf(part: CardPart, card: Card, off: number, dice: Chance): FlyPart[] {
  const mm = part.mm === null ? null : part.mm * (1 + off);
  const colour = part.colour?.hex ?? '#6b6250';
  const own = {
    id: part.id,
    kind: part.part,
    fromMm: part.from_mm ?? 0,
    toMm: part.to_mm ?? part.from_mm ?? 0,
    thickMm: part.thick_mm ?? Math.max(3 * card.hook.wire_mm, 0.7),
    count: part.count ?? 8,
    colour,
  };
  if (mm === null) return [];
  const back = Math.PI - dice.between(0, 0.2);
  if (HACKLES.has(part.part)) return [{ ...own, shape: 'hackle', mm, count: 22 * Math.max(2, own.count), angle: 0 }];
  if (BLADES.has(part.part)) {
    const angle = UPRIGHT.has(card.style) ? Math.PI / 2 + dice.between(-0.05, 0.35) : Math.PI - dice.between(0.12, 0.3);
    return [{ ...own, shape: 'blade', mm, angle }];
  }
  if (FIBRES.has(part.part))
    return [
      { ...own, shape: 'fibres', mm, angle: part.part === 'beard' ? -Math.PI / 2 - dice.between(0.3, 0.8) : back },
    ];
  return BODIES.has(part.part) && part.to_mm !== null
    ? [{ ...own, shape: 'along', mm, toMm: own.fromMm - mm, angle: 0 }]
    : [];
}

/** A fly tied from a card, each part off it by a share; what has no share is as the card says. Hooks of a packet differ a little too. */
export function flyPlan(
  card: Card,
  off: Readonly<Record<string, number>>,
  place: Pick<FlyPlan, 'at' | 'angle' | 'flip' | 'heightMm'>,
  dice: Chance,
): FlyPlan {
  const { hook } = card;
  const own = 1 + dice.normal() * 0.01;
  const parts = card.parts.flatMap((part) => partOf(part, card, off[part.id] ?? 0, dice));
  // What lies along the hook begins where the one behind it ends.
  const along = parts.filter(({ shape }) => shape === 'along').sort((a, b) => b.fromMm - a.fromMm);
  along.slice(1).forEach((part, at) => {
    const shift = along[at]!.toMm - part.fromMm;
    if (Math.abs(shift) > 2) return;
    part.fromMm += shift;
    if (off[part.id] === undefined) part.mm = part.fromMm - part.toMm;
    else part.toMm = part.fromMm - part.mm;
  });
  return {
    ...place,
    dims: {
      bend: hook.bend,
      eye: hook.eye,
      barb: hook.barb,
      shankMm: hook.shank_mm * own,
      gapeMm: hook.gape_mm * own * (1 + dice.normal() * 0.03),
      biteMm: (hook.bite_mm ?? 0.9 * hook.gape_mm) * own * (1 + dice.normal() * 0.05),
      wireMm: hook.wire_mm,
      eyeMm: hook.eye_mm * (1 + dice.normal() * 0.05),
    },
    parts,
  };
}

/** Draws a fly in its own sheet: wire, body, fibres and wings as bands, hairs by chance; what is drawn is what the truth says. */
export function drawFly(plan: FlyPlan, dice: Chance, scale: number): { sheet: Layer; truth: FlyTruth } {
  const { curve } = hookMarks(plan.dims);
  const most = Math.max(...plan.parts.map(({ mm }) => mm), plan.dims.shankMm);
  const reach = most + plan.dims.shankMm + 3;
  const sheet = layer(plan.at[0] - reach, plan.at[1] - reach, 2 * reach, 2 * reach, scale);
  const [c, s] = [Math.cos(plan.angle), Math.sin(plan.angle)];
  const place = ([x, y]: Point): Point => {
    // On the card y grows downward; a fly lies on either side.
    const up = plan.flip ? y : -y;
    return [plan.at[0] + x * c - up * s, plan.at[1] + x * s + up * c];
  };
  const onHook = (mm: number): Point => {
    const after = curve.points.findIndex(([x], at) => at > 0 && x <= -mm && curve.points[at - 1]![0] > -mm);
    if (after < 0) return [-mm, 0];
    const [p, q] = [curve.points[after - 1]!, curve.points[after]!];
    return [-mm, p[1] + ((p[0] + mm) / (p[0] - q[0])) * (q[1] - p[1])];
  };
  const band = (line: Point[], half: (u: number) => number, ink: Rgb, opacity = 0.95) =>
    paint(sheet, { line: line.map(place), half, colour: () => ink, opacity });
  const wire: Rgb = [0.02, 0.02, 0.022];
  const { wireMm, eyeMm } = plan.dims;
  const ring = Array.from({ length: 25 }, (_, at): Point => {
    const turn = (at / 24) * 2 * Math.PI;
    return [eyeMm / 2 - (eyeMm / 2 - wireMm / 2) * Math.cos(turn), (eyeMm / 2 - wireMm / 2) * Math.sin(turn)];
  });
  band(ring, () => wireMm / 2, wire);
  band(curve.points as Point[], (u) => (wireMm / 2) * (u > 0.95 ? (1 - u) * 20 : 1), wire);
  const hair = (from: Point, angle: number, length: number, half: number, ink: Rgb, opacity = 0.9) => {
    const bend = dice.between(-0.12, 0.12);
    const line = Array.from({ length: 7 }, (_, at): Point => {
      const u = at / 6;
      return [
        from[0] + Math.cos(angle + bend * (u - 1)) * length * u,
        from[1] + Math.sin(angle + bend * (u - 1)) * length * u,
      ];
    });
    band(line, (u) => half * (1 - 0.55 * u), ink, opacity);
  };
  const drawn = [...plan.parts].sort((a, b) => ORDER.indexOf(a.shape) - ORDER.indexOf(b.shape));
  for (const part of drawn) {
    const ink = linear(part.colour);
    const from = onHook(part.fromMm);
    if (part.shape === 'fibres')
      for (let n = 0; n < Math.max(3, part.count); n++)
        hair(
          from,
          part.angle + dice.between(-0.16, 0.16),
          part.mm * (n === 0 ? 1 : 1 - 0.05 * dice.next()),
          0.035,
          ink,
        );
    if (part.shape === 'along') {
      const [a, b] = [from, onHook(part.toMm)];
      const thick = part.thickMm / 2;
      const shade = (at: number): Rgb => ink.map((value) => value * at) as unknown as Rgb;
      band(
        [a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], b],
        (u) => thick * (0.75 + 0.25 * u),
        shade(0.9 + 0.2 * dice.next()),
      );
      for (let n = 0; n < 10 * part.mm; n++) {
        const u = dice.next();
        const at: Point = [a[0] + (b[0] - a[0]) * u, a[1] + (b[1] - a[1]) * u];
        hair(at, dice.next() * 6.28, thick * dice.between(1, 1.35), 0.02, shade(0.8), 0.7);
      }
    }
    if (part.shape === 'blade') {
      const wide = 0.16 * part.mm;
      for (const lean of [0, dice.between(0.02, 0.12)]) {
        const tip: Point = [
          from[0] + Math.cos(part.angle - lean) * part.mm,
          from[1] + Math.sin(part.angle - lean) * part.mm,
        ];
        band([from, tip], (u) => wide * Math.sin(Math.PI * Math.min(0.97, 0.12 + 0.85 * u ** 0.8)), ink, 0.75);
      }
    }
    if (part.shape === 'hackle')
      for (let n = 0; n < part.count; n++) {
        const at = onHook(part.fromMm + (part.toMm - part.fromMm) * dice.next());
        // Barbs stand all round: what leans to or from the camera is seen shorter.
        const round = dice.next() * 2 * Math.PI;
        const stem = 1.5 * plan.dims.wireMm;
        const [up, length] = [Math.sin(round), stem + part.mm * dice.between(0.95, 1.02)];
        const lean = dice.between(-0.18, 0.18);
        const [x, y] = [length * Math.sin(lean), length * Math.cos(lean) * up];
        hair(at, Math.atan2(y, x), Math.hypot(x, y), 0.025, ink, 0.85);
      }
  }
  return {
    sheet,
    truth: { parts: plan.parts.map(({ id, kind, mm }) => ({ id, kind, mm })), midHeightMm: plan.heightMm },
  };
}

/** What is tied in first lies under the others. */
const ORDER: readonly FlyPart['shape'][] = ['fibres', 'blade', 'along', 'hackle'];
