import type { StageId } from '@/catalogue/ids';
import type { Chance } from './chance';
import { layer, paint, type Layer, type Point, type Rgb } from './layer';

/** What is known of a rendered insect: lengths mm along the midline, colours as sRGB hex. */
export interface InsectTruth {
  stage: StageId;
  bodyMm: number;
  widthMm: number;
  overallMm: number;
  colours: { abdomen: string; thorax: string };
  /** Half way up the body, mm above the card. */
  midHeightMm: number;
  curl: number;
}

export interface InsectPlan {
  stage: StageId;
  bodyMm: number;
  /** Total turning of the midline, radians. */
  curl: number;
  at: Point;
  angle: number;
  abdomen: string;
  thorax: string;
  /** Wet highlights. */
  glare: number;
}

export function linear(hex: string): Rgb {
  const part = (at: number) => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  };
  return [part(1), part(3), part(5)];
}

type Family = 'nymph' | 'worm' | 'grub' | 'pupa' | 'upright' | 'spread' | 'flat' | 'blunt' | 'stick' | 'spider';

const FAMILY: readonly (readonly [RegExp, Family])[] = [
  [/mayfly\/(dun|emerger|cripple)/, 'upright'],
  [/mayfly\/(spinner|spent|diver|drowned-dun)/, 'spread'],
  [/(nymph|hog-louse)/, 'nymph'],
  [/(midge|crane-fly|black-fly)\/larva|leech|caterpillar/, 'worm'],
  [/larva/, 'grub'],
  [/pupa/, 'pupa'],
  [/crane-fly/, 'spider'],
  [/damselfly\/adult|dragonfly\/adult/, 'stick'],
  [/caddis\/|stonefly\/|alderfly\/adult|water-moth\/adult/, 'flat'],
  [/midge\/|black-fly\/adult|hawthorn-fly/, 'spread'],
];

function familyOf(stage: StageId): Family {
  return FAMILY.find(([pattern]) => pattern.test(stage))?.[1] ?? 'blunt';
}

const SHAPE: Record<
  Family,
  { width: number; half(u: number): number; tails: number; legs: number; wings: 'none' | 'upright' | 'spread' | 'flat' }
> = {
  nymph: {
    width: 0.22,
    half: (u) =>
      u < 0.12 ? 0.62 + 2.2 * u : u < 0.42 ? 0.9 + 0.1 * Math.sin((u - 0.12) * 10) : 0.95 - 0.62 * ((u - 0.42) / 0.58),
    tails: 3,
    legs: 6,
    wings: 'none',
  },
  worm: { width: 0.1, half: (u) => 0.75 + 0.25 * Math.sin(Math.PI * u), tails: 0, legs: 0, wings: 'none' },
  grub: {
    width: 0.19,
    half: (u) =>
      u < 0.1 ? 0.6 + 2 * u : 0.85 + 0.15 * Math.sin(Math.PI * (u - 0.1)) - 0.25 * Math.max(0, u - 0.8) * 2,
    tails: 0,
    legs: 6,
    wings: 'none',
  },
  pupa: {
    width: 0.24,
    half: (u) => (u < 0.3 ? 0.72 + 0.28 * Math.sin((u / 0.3) * Math.PI * 0.5) : 1 - 0.6 * ((u - 0.3) / 0.7)),
    tails: 0,
    legs: 2,
    wings: 'none',
  },
  upright: {
    width: 0.17,
    half: (u) => (u < 0.1 ? 0.75 + 1.5 * u : u < 0.35 ? 1 : 0.92 - 0.5 * ((u - 0.35) / 0.65)),
    tails: 2,
    legs: 6,
    wings: 'upright',
  },
  spread: {
    width: 0.17,
    half: (u) => (u < 0.1 ? 0.75 + 1.5 * u : u < 0.35 ? 1 : 0.9 - 0.5 * ((u - 0.35) / 0.65)),
    tails: 2,
    legs: 4,
    wings: 'spread',
  },
  flat: { width: 0.2, half: (u) => (u < 0.1 ? 0.7 + 2 * u : 0.95 - 0.35 * u), tails: 0, legs: 6, wings: 'flat' },
  blunt: {
    width: 0.36,
    half: (u) => 0.55 + 0.45 * Math.sin(Math.PI * Math.min(1, Math.max(0.12, u))),
    tails: 0,
    legs: 6,
    wings: 'none',
  },
  stick: { width: 0.08, half: (u) => (u < 0.08 ? 1 : u < 0.25 ? 1 : 0.6), tails: 0, legs: 4, wings: 'spread' },
  spider: { width: 0.1, half: (u) => (u < 0.3 ? 0.95 : 0.75), tails: 0, legs: 6, wings: 'spread' },
};

const STEPS = 48;

/** A curve of a given length that turns evenly by `curl`, its middle at the origin. */
function midline(length: number, curl: number, wobble: number): Point[] {
  const points: [number, number][] = [[0, 0]];
  for (let step = 0; step < STEPS; step++) {
    const u = (step + 0.5) / STEPS;
    const heading = curl * (u - 0.5) + wobble * Math.sin(2 * Math.PI * u);
    const [x, y] = points[step]!;
    points.push([x + (Math.cos(heading) * length) / STEPS, y + (Math.sin(heading) * length) / STEPS]);
  }
  const middle = [
    points.reduce((sum, point) => sum + point[0], 0) / points.length,
    points.reduce((sum, point) => sum + point[1], 0) / points.length,
  ];
  return points.map(([x, y]) => [x - middle[0]!, y - middle[1]!]);
}

function filament(from: Point, heading: number, length: number, bend: number): Point[] {
  return Array.from({ length: 9 }, (_, index): Point => {
    const u = index / 8;
    const a = heading + bend * u;
    return [from[0] + Math.cos(a) * length * u, from[1] + Math.sin(a) * length * u];
  });
}

/** Draws one insect, head first along its line, in its own sheet; what is drawn is what the truth says. */
export function drawInsect(plan: InsectPlan, dice: Chance, scale: number): { sheet: Layer; truth: InsectTruth } {
  const family = familyOf(plan.stage);
  const shape = SHAPE[family];
  const body = plan.bodyMm;
  const half = (shape.width * body) / 2;
  const turn = ([x, y]: Point): Point => [
    plan.at[0] + x * Math.cos(plan.angle) - y * Math.sin(plan.angle),
    plan.at[1] + x * Math.sin(plan.angle) + y * Math.cos(plan.angle),
  ];
  const local = midline(body, plan.curl, dice.between(-0.06, 0.06));
  const line = local.map(turn);
  const heading = (index: number) =>
    Math.atan2(
      line[Math.min(STEPS, index + 1)]![1] - line[Math.max(0, index - 1)]![1],
      line[Math.min(STEPS, index + 1)]![0] - line[Math.max(0, index - 1)]![0],
    );
  const reach = body * 1.5 + 4;
  const sheet = layer(plan.at[0] - reach, plan.at[1] - reach, 2 * reach, 2 * reach, scale);
  const abdomen = linear(plan.abdomen);
  const thorax = linear(plan.thorax);
  const dark: Rgb = [thorax[0] * 0.5, thorax[1] * 0.5, thorax[2] * 0.5];
  const thin = Math.max(0.06, body * 0.012);
  const front = heading(1) + Math.PI;
  const back = heading(STEPS - 1);
  const stroke = (points: Point[], width: number, ink: Rgb, opacity = 0.9) =>
    paint(sheet, { line: points, half: (u) => (width / 2) * (1 - 0.6 * u), colour: () => ink, opacity });
  let overall = body;

  for (let tail = 0; tail < shape.tails; tail++)
    stroke(
      filament(
        line[STEPS]!,
        back + (tail - (shape.tails - 1) / 2) * 0.28 + dice.between(-0.06, 0.06),
        body * dice.between(0.5, 1.1),
        dice.between(-0.3, 0.3),
      ),
      thin,
      dark,
    );
  for (let leg = 0; leg < shape.legs; leg++) {
    const side = leg % 2 === 0 ? 1 : -1;
    const at = Math.round(STEPS * (0.14 + 0.09 * Math.floor(leg / 2)));
    const long = (family === 'spider' ? 1.5 : 0.42) * body * dice.between(0.8, 1.2);
    const first = filament(line[at]!, heading(at) + side * dice.between(1.1, 1.9), long * 0.5 + half, 0);
    stroke(first, thin * 2, dark);
    stroke(
      filament(first[8]!, heading(at) + side * dice.between(1.6, 2.4), long * 0.5, dice.between(-0.4, 0.4)),
      thin * 1.3,
      dark,
    );
  }
  const feelers = family === 'flat' || family === 'nymph' || family === 'pupa' ? 2 : 0;
  for (let feeler = 0; feeler < feelers; feeler++)
    stroke(
      filament(line[0]!, front + (feeler - 0.5) * 0.6, body * (family === 'flat' ? 0.9 : 0.3), dice.between(-0.3, 0.3)),
      thin,
      dark,
    );

  const membrane: Rgb = [0.62, 0.64, 0.66];
  const wingHalf = (widest: number) => (u: number) => widest * Math.sin(Math.PI * Math.min(1, 0.08 + 0.92 * u)) ** 0.7;
  const wing = (from: Point, direction: number, length: number, widest: number, opacity: number) =>
    paint(sheet, {
      line: filament(from, direction, length, 0),
      half: wingHalf(widest),
      colour: (u, v) => (Math.abs(Math.sin(u * 22) + v * 0.4) > 0.93 ? [0.4, 0.41, 0.43] : membrane),
      opacity,
    });
  const shoulder = line[Math.round(STEPS * 0.22)]!;
  if (shape.wings === 'upright')
    wing(
      shoulder,
      heading(10) - Math.PI / 2 - dice.between(0.1, 0.5),
      body * dice.between(0.8, 1),
      body * 0.17,
      dice.between(0.3, 0.5),
    );
  if (shape.wings === 'spread')
    for (const side of [1, -1])
      wing(
        shoulder,
        heading(10) + side * (Math.PI / 2 + dice.between(-0.2, 0.3)),
        body * dice.between(0.7, 0.95),
        body * 0.12,
        dice.between(0.12, 0.3),
      );
  if (shape.wings === 'flat') {
    // Seen from below: the wings lie behind the body and reach beyond it.
    for (const side of [0.16, -0.16])
      wing(shoulder, heading(10) + side, body * 1.05, body * 0.14, dice.between(0.35, 0.55));
    overall = body * (0.22 + 1.05);
  }

  paint(sheet, {
    line,
    half: (u) => half * shape.half(u),
    colour: (u, v) => {
      const base = u < 0.36 ? thorax : abdomen;
      const ring = u >= 0.36 && Math.abs((u * 14) % 1) < 0.16 ? 0.86 : 1;
      const round = 1.04 - 0.12 * v * v;
      const eye = u < 0.08 && Math.abs(v) > 0.55 ? 0.3 : 1;
      return [base[0] * ring * round * eye, base[1] * ring * round * eye, base[2] * ring * round * eye];
    },
    opacity: 1,
  });
  for (let spot = 0; spot < plan.glare; spot++) {
    const at = Math.round(STEPS * dice.between(0.15, 0.9));
    paint(sheet, {
      line: filament(line[at]!, heading(at), body * 0.05, 0),
      half: () => half * 0.12,
      colour: () => [0.97, 0.97, 0.98],
      opacity: 0.85,
    });
  }
  const widest = Math.max(...Array.from({ length: 50 }, (_, index) => shape.half(index / 49)));
  return {
    sheet,
    truth: {
      stage: plan.stage,
      bodyMm: body,
      widthMm: 2 * half * widest,
      overallMm: overall,
      colours: { abdomen: plan.abdomen, thorax: plan.thorax },
      midHeightMm: half * 0.9,
      curl: plan.curl,
    },
  };
}
