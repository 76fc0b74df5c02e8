import type { Card, CardPart } from '@/core/tying';
import { at, band, hookMarks, pathOf, smooth, type HookDrawing, type Mark, type Point } from '@/core/hooks/drawn';

/** A dimension line of the plate: from and to along x, at the height of its part. */
export interface Dimension {
  part: string;
  kind: string;
  mm: number;
  from: Point;
  to: Point;
}

export interface FlyDrawing {
  marks: Mark[];
  hook: HookDrawing;
  dimensions: Dimension[];
  bounds: HookDrawing['bounds'];
  /** Where a step ties in, mm from behind the eye. */
  pointAt(mm: number): Point;
}

const INK = 'var(--ink)';

interface Draw {
  hook: HookDrawing;
  colour(part: CardPart): string;
  thick(kind: string): number;
  find(kind: string): CardPart | undefined;
}

/** Fibres from a point: a fan of `count` about a direction, each of a length. Angles in radians. */
function fan(origin: Point, angle: number, spread: number, length: number, count: number, droop: number): string {
  return Array.from({ length: count }, (_, index) => {
    const u = count === 1 ? 0.5 : index / (count - 1);
    const a = angle + (u - 0.5) * spread;
    const end: Point = [origin[0] + Math.cos(a) * length, origin[1] + Math.sin(a) * length];
    const middle: Point = [origin[0] + Math.cos(a + droop) * length * 0.55, origin[1] + Math.sin(a + droop) * length * 0.55];
    return smooth([origin, middle, end], false);
  }).join('');
}

function body(part: CardPart, draw: Draw, profile: (u: number) => number): Mark[] {
  if (part.from_mm === null || part.to_mm === null) return [];
  const thick = part.thick_mm ?? 0.6;
  const outline = band(draw.hook.curve, part.from_mm, part.to_mm, (u) => (thick / 2) * profile(u));
  return [{ d: pathOf(outline, true), fill: draw.colour(part), stroke: INK, width: 1.1 }];
}

const TAPER = (u: number) => 0.62 + 0.38 * Math.min(1, u * 1.2);
const ROUND = (u: number) => 0.62 + 0.38 * Math.sin(Math.PI * Math.min(1, Math.max(0, u)));
const EVEN = (u: number) => 0.86 + 0.14 * Math.sin(Math.PI * u);

function ribs(part: CardPart, draw: Draw): Mark[] {
  if (part.from_mm === null || part.to_mm === null || !part.count) return [];
  const thick = draw.thick('abdomen') / 2;
  const lines = Array.from({ length: part.count }, (_, index) => {
    const u = (index + 0.6) / part.count!;
    const s = part.from_mm! + (part.to_mm! - part.from_mm!) * u;
    const h = thick * TAPER(u);
    const low = at(draw.hook.curve, s + 0.12 * thick);
    const high = at(draw.hook.curve, s - 0.35 * thick);
    return pathOf([[low.p[0] - low.n[0] * h, low.p[1] - low.n[1] * h], [high.p[0] + high.n[0] * h, high.p[1] + high.n[1] * h]]);
  });
  return [{ d: lines.join(''), stroke: draw.colour(part), width: 2.2 }, { d: lines.join(''), stroke: INK, width: 0.7, opacity: 0.55 }];
}

function rearFibres(part: CardPart, draw: Draw, spread: number, count: number): Mark[] {
  const { p, t } = at(draw.hook.curve, part.from_mm ?? 0);
  const angle = Math.atan2(t[1], t[0]) - 0.14;
  return [{ d: fan(p, angle, spread, part.mm ?? 1, count, 0.03), stroke: draw.colour(part), width: 2 }, { d: fan(p, angle, spread, part.mm ?? 1, count, 0.03), stroke: INK, width: 0.8, opacity: 0.7 }];
}

/** A feather or yarn wing: a leaf of a length rising at an angle from a station. */
function leaf(part: CardPart, draw: Draw, angle: number, width: number, lift = 0): Mark[] {
  const { p, n } = at(draw.hook.curve, part.from_mm ?? 0);
  const base: Point = [p[0] + n[0] * lift, p[1] + n[1] * lift];
  const L = part.mm ?? 1;
  const to = (u: number, v: number): Point => [base[0] + Math.cos(angle) * L * u - Math.sin(angle) * L * v, base[1] + Math.sin(angle) * L * u + Math.cos(angle) * L * v];
  const outline = [to(0, 0), to(0.35, width), to(0.75, width * 1.15), to(1, width * 0.15), to(0.8, -width * 0.7), to(0.35, -width * 0.55)];
  const veins = [0.55, 0.15, -0.25].map((v) => pathOf([to(0.05, 0), to(0.9, v * width)])).join('');
  return [{ d: smooth(outline), fill: draw.colour(part), opacity: 0.82, stroke: INK, width: 1 }, { d: veins, stroke: INK, width: 0.6, opacity: 0.45 }];
}

function hackle(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 1;
  const start = part.from_mm ?? 0;
  const post = draw.find('post');
  if (post) {
    const { p, n } = at(draw.hook.curve, post.from_mm ?? 0);
    const lift = draw.thick('thorax') * 0.7;
    const origin: Point = [p[0] + n[0] * lift, p[1] + n[1] * lift];
    const d = [fan(origin, 0, 0.3, length, 6, 0.03), fan(origin, Math.PI, 0.3, length, 6, -0.03)].join('');
    return [{ d, stroke: draw.colour(part), width: 1.4 }, { d, stroke: INK, width: 0.5, opacity: 0.5 }];
  }
  const soft = part.material?.function === 'hackle.soft';
  const reach = part.to_mm !== null ? part.to_mm : Math.max(0.3, start - Math.max(0.35, (part.count ?? 3) * 0.18));
  const lines = Array.from({ length: soft ? 14 : 34 }, (_, index) => {
    const { p, t } = at(draw.hook.curve, start + (reach - start) * scatter(index, 0.618));
    const back = Math.atan2(t[1], t[0]);
    const side = index % 2 === 0 ? 1 : -1;
    const lean = soft ? 0.35 + 0.55 * scatter(index, 0.382) : Math.PI / 2 + (scatter(index, 0.382) - 0.5) * 0.7;
    return fan(p, back + side * lean, 0, length * (0.93 + 0.07 * scatter(index, 0.755)), 1, side * (soft ? -0.16 : 0.03));
  });
  const d = lines.join('');
  return [{ d, stroke: draw.colour(part), width: 1.1 }, { d, stroke: INK, width: 0.4, opacity: 0.5 }];
}

/** Evenly scattered numbers of 0–1 without chance, so that a drawing is the same twice. */
function scatter(index: number, step: number): number {
  return ((index + 1) * step) % 1;
}

function bead(part: CardPart, draw: Draw): Mark[] {
  const r = (part.mm ?? 1) / 2;
  const { p } = at(draw.hook.curve, r);
  const circle = Array.from({ length: 24 }, (_, index): Point => [p[0] + r * Math.cos((index / 24) * 2 * Math.PI), p[1] + r * Math.sin((index / 24) * 2 * Math.PI)]);
  const shine: Point[] = [[p[0] - r * 0.45, p[1] + r * 0.45], [p[0] - r * 0.1, p[1] + r * 0.65]];
  return [{ d: smooth(circle), fill: draw.colour(part), stroke: INK, width: 1.2 }, { d: pathOf(shine), stroke: 'var(--plane)', width: 1.6, opacity: 0.8 }];
}

function legs(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 1;
  const { p, t, n } = at(draw.hook.curve, part.from_mm ?? 0);
  const count = Math.min(4, Math.max(3, Math.ceil((part.count ?? 6) / 2)));
  const d = Array.from({ length: count }, (_, index) => {
    const shift = (index - (count - 1) / 2) * length * 0.16;
    const a: Point = [p[0] + t[0] * shift, p[1] + t[1] * shift];
    const lean = 0.25 + index * 0.22;
    const knee: Point = [a[0] + t[0] * length * 0.3 * lean - n[0] * length * 0.42, a[1] + t[1] * length * 0.3 * lean - n[1] * length * 0.42];
    const foot: Point = [knee[0] + t[0] * length * 0.5, knee[1] + t[1] * length * 0.5 - n[1] * length * 0.3];
    return pathOf([a, knee, foot]);
  }).join('');
  return [{ d, stroke: draw.colour(part), width: 2 }, { d, stroke: INK, width: 0.7, opacity: 0.7 }];
}

function overBack(part: CardPart, draw: Draw, kind: string): Mark[] {
  const under = draw.find(kind);
  if (!under || under.from_mm === null || under.to_mm === null) return [];
  const half = draw.thick(kind) / 2;
  const upper: Point[] = [];
  const lower: Point[] = [];
  for (let i = 0; i <= 14; i++) {
    const u = i / 14;
    const { p, n } = at(draw.hook.curve, under.from_mm + (under.to_mm - under.from_mm) * u);
    const h = half * (kind === 'thorax' ? ROUND(u) : TAPER(u));
    upper.push([p[0] + n[0] * h * 1.12, p[1] + n[1] * h * 1.12]);
    lower.push([p[0] + n[0] * h * 0.45, p[1] + n[1] * h * 0.45]);
  }
  return [{ d: pathOf([...upper, ...lower.reverse()], true), fill: draw.colour(part), stroke: INK, width: 0.8, opacity: 0.95 }];
}

function head(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 0.5;
  const beadMm = draw.find('bead')?.mm ?? 0;
  const half = Math.max(0.18, Math.min(draw.thick('thorax') * 0.32, length * 0.5));
  if (beadMm > 0) return [];
  return [{ d: pathOf(band(draw.hook.curve, length, 0.08, (u) => half * (0.95 - 0.55 * u), 10), true), fill: draw.colour(part), stroke: INK, width: 1 }];
}

function extended(part: CardPart, draw: Draw): Mark[] {
  const { p, t } = at(draw.hook.curve, part.from_mm ?? 0);
  const length = part.mm ?? 1;
  const angle = Math.atan2(t[1], t[0]) - 0.1;
  const half = (part.thick_mm ?? 1) / 2;
  const spine: Point[] = Array.from({ length: 13 }, (_, index) => [p[0] + Math.cos(angle - 0.012 * index) * length * (index / 12), p[1] + Math.sin(angle - 0.012 * index) * length * (index / 12)]);
  const curve = { points: spine, along: spine.map((_, index) => (length * index) / 12), length };
  const rings = [0.2, 0.4, 0.6, 0.8].map((u) => {
    const ring = at(curve, length * u);
    return pathOf([[ring.p[0] + ring.n[0] * half, ring.p[1] + ring.n[1] * half], [ring.p[0] - ring.n[0] * half, ring.p[1] - ring.n[1] * half]]);
  }).join('');
  return [{ d: pathOf(band(curve, 0, length, (u) => half * (1 - 0.35 * u)), true), fill: draw.colour(part), stroke: INK, width: 1 }, { d: rings, stroke: INK, width: 0.7, opacity: 0.6 }];
}

function wing(part: CardPart, draw: Draw): Mark[] {
  const does = part.material?.function;
  if (does === 'wing.post') return [...leaf(part, draw, 1.95, 0.16, 0.1), ...leaf(part, draw, 1.75, 0.16, 0.1)];
  if (does === 'wing.spent') return leaf(part, draw, Math.PI + 0.5, 0.13, 0.1);
  if (does === 'wing.tuft') return leaf(part, draw, Math.PI - 0.75, 0.1, 0.2);
  return leaf(part, draw, Math.PI - 0.16, 0.12, draw.thick('abdomen') * 0.4);
}

function post(part: CardPart, draw: Draw): Mark[] {
  const { p } = at(draw.hook.curve, part.from_mm ?? 0);
  const w = Math.max(0.35, (part.mm ?? 1) * 0.09);
  const top = p[1] + (part.mm ?? 1);
  return [{ d: smooth([[p[0] - w * 0.8, p[1]], [p[0] - w * 1.2, top], [p[0], top + w * 0.35], [p[0] + w * 1.2, top], [p[0] + w * 0.8, p[1]]]), fill: draw.colour(part), stroke: INK, width: 1 }];
}

function frontFan(part: CardPart, draw: Draw, angle: number, spread: number): Mark[] {
  const { p, n } = at(draw.hook.curve, part.from_mm ?? 0);
  const origin: Point = [p[0] + n[0] * 0.1, p[1] + n[1] * 0.1];
  const d = fan(origin, angle, spread, part.mm ?? 1, 7, 0.05);
  return [{ d, stroke: draw.colour(part), width: 2 }, { d, stroke: INK, width: 0.6, opacity: 0.6 }];
}

function halo(part: CardPart, draw: Draw): Mark[] {
  const thorax = draw.find('thorax');
  if (!thorax || thorax.from_mm === null || thorax.to_mm === null) return [];
  const length = draw.thick('thorax') / 2 + (part.mm ?? 0.5);
  const d = Array.from({ length: 9 }, (_, index) => {
    const { p, t } = at(draw.hook.curve, thorax.from_mm! + (thorax.to_mm! - thorax.from_mm!) * (index / 8));
    const back = Math.atan2(t[1], t[0]);
    return fan(p, back - 1.1, 0.4, length, 2, 0) + fan(p, back + 1.1, 0.4, length, 2, 0);
  }).join('');
  return [{ d, stroke: draw.colour(part), width: 1, opacity: 0.8 }];
}

function marksOf(part: CardPart, draw: Draw): Mark[] {
  switch (part.part) {
    case 'abdomen': return body(part, draw, TAPER);
    case 'thorax': return body(part, draw, ROUND);
    case 'case': return body(part, draw, EVEN);
    case 'rib': return ribs(part, draw);
    case 'tail': return rearFibres(part, draw, part.material?.function === 'tail.split' ? 0.42 : 0.2, Math.min(7, Math.max(2, part.count ?? 5)));
    case 'shuck': return rearFibres(part, draw, 0.34, 9);
    case 'larva-head': return [{ d: (() => { const { p, t } = at(draw.hook.curve, part.from_mm ?? 0); const L = part.mm ?? 1; const angle = Math.atan2(t[1], t[0]); const to = (u: number, v: number): Point => [p[0] + Math.cos(angle) * L * u - Math.sin(angle) * L * v, p[1] + Math.sin(angle) * L * u + Math.cos(angle) * L * v]; return smooth([to(0, 0.22), to(0.7, 0.26), to(1, 0), to(0.7, -0.26), to(0, -0.22)]); })(), fill: draw.colour(part), stroke: INK, width: 1 }];
    case 'egg-mass': return [];
    case 'wing': return wing(part, draw);
    case 'hair-wing': return frontFan(part, draw, 1.05, 0.5);
    case 'tuft': return frontFan(part, draw, part.from_mm !== null && draw.find('hackle') ? 2.1 : 1.25, 0.4);
    case 'wing-buds': return leaf({ ...part }, draw, Math.PI + 0.85, 0.22, -draw.thick('thorax') * 0.1);
    case 'post': return post(part, draw);
    case 'hackle': case 'second-hackle': case 'stacked-hackle': return hackle(part, draw);
    case 'bead': return bead(part, draw);
    case 'legs': return legs(part, draw);
    case 'back': return overBack(part, draw, 'abdomen');
    case 'wing-case': return overBack(part, draw, 'thorax');
    case 'beard': return frontFan(part, draw, -2.3, 0.35);
    case 'gills': return frontFan(part, draw, 0.9, 0.7);
    case 'antennae': return frontFan({ ...part, count: 2 }, draw, 2.75, 0.12);
    case 'halo': return halo(part, draw);
    case 'head': return head(part, draw);
    case 'extended-body': return extended(part, draw);
    default: return [];
  }
}

/** Drawn from the far side toward the eye of the reader. */
const LAYERS = ['extended-body', 'tail', 'shuck', 'larva-head', 'antennae', 'legs', 'case', 'abdomen', 'rib', 'back', 'thorax', 'halo', 'wing-buds', 'wing-case', 'wing', 'hair-wing', 'post', 'tuft', 'beard', 'gills', 'hackle', 'bead', 'head'];
const MEASURED = ['tail', 'shuck', 'extended-body', 'abdomen', 'case', 'thorax', 'wing', 'hackle'];

export interface FlyLook {
  /** As it should look after this step; the finished fly when absent. */
  upTo?: number;
  /** Lines only: colours are not to be judged in this light. */
  plain?: boolean;
}

/** A fly drawn from its card: every part at its millimetres on the hook. */
export function flyMarks(card: Card, { upTo, plain = false }: FlyLook = {}): FlyDrawing {
  const { hook: iron } = card;
  const hook = hookMarks({ bend: iron.bend, eye: iron.eye, barb: iron.barb, shankMm: iron.shank_mm, gapeMm: iron.gape_mm, biteMm: iron.bite_mm ?? iron.gape_mm * 0.9, wireMm: iron.wire_mm, eyeMm: iron.eye_mm });
  const done = new Set(upTo === undefined ? card.parts.map((part) => part.id) : card.steps.filter((step) => step.n <= upTo && PLACES.has(step.do)).map((step) => step.part));
  const find = (kind: string) => card.parts.find((part) => part.part === kind);
  const draw: Draw = {
    hook,
    colour: (part) => (plain ? undefined : part.colour?.hex) ?? 'var(--plane)',
    thick: (kind) => find(kind)?.thick_mm ?? find('case')?.thick_mm ?? find('abdomen')?.thick_mm ?? 0.8,
    find,
  };
  const shown = card.parts.filter((part) => done.has(part.id));
  const behind: Mark[] = [];
  const front: Mark[] = [];
  for (const kind of LAYERS) for (const part of shown.filter((item) => item.part === kind)) (part.part === 'extended-body' || part.part === 'tail' ? behind : front).push(...marksOf(part, draw));
  const dimensions = shown.flatMap((part): Dimension[] => {
    if (!MEASURED.includes(part.part) || part.mm === null || part.from_mm === null) return [];
    const from = at(hook.curve, part.from_mm).p;
    if (part.to_mm !== null) return [{ part: part.id, kind: part.part, mm: part.mm, from, to: at(hook.curve, part.to_mm).p }];
    if (part.part === 'tail' || part.part === 'shuck' || part.part === 'extended-body') return [{ part: part.id, kind: part.part, mm: part.mm, from: [from[0] - part.mm, from[1]], to: from }];
    return [];
  });
  const reach = (kind: string) => find(kind)?.mm ?? 0;
  const rear = Math.max(reach('tail'), reach('shuck'), reach('extended-body'));
  const up = Math.max(reach('wing') * (find('wing')?.material?.function === 'wing.post' ? 1 : 0.5), reach('post'), find('post') ? 0 : reach('hackle'), reach('hair-wing'), reach('tuft')) + 0.4;
  return {
    marks: [...behind, ...hook.marks, ...front],
    hook,
    dimensions,
    bounds: { left: Math.min(hook.bounds.left, -card.parts.reduce((most, part) => Math.max(most, part.from_mm ?? 0), 0) - rear, find('wing') ? -(find('wing')!.from_mm ?? 0) - reach('wing') : 0), right: hook.bounds.right + (find('hair-wing') || find('tuft') || find('gills') ? Math.max(reach('hair-wing'), reach('tuft')) * 0.6 : find('post') ? reach('hackle') * 0.6 : 0.6), top: Math.max(hook.bounds.top, up), bottom: Math.min(hook.bounds.bottom, find('post') ? 0 : -reach('hackle')) },
    pointAt: (mm) => at(hook.curve, mm).p,
  };
}

const PLACES: ReadonlySet<string> = new Set(['seat-bead', 'lay-weight', 'bind', 'wind', 'dub', 'fold', 'post', 'coat', 'finish', 'tease']);
