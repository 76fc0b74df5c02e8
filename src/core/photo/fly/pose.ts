import { hookMarks, type HookDimensions, type Point } from '../../hooks/drawn';

/** A hook as it lies: where the back of its eye is (window pixels), which way its eye points, which side its point is on, and its size beside what its dimensions say. */
export interface Pose {
  x: number;
  y: number;
  angle: number;
  flip: boolean;
  /** Shank and gape over what they should be. */
  shank: number;
  gape: number;
  /** Share of the wire that is found, less what is found where there should be none. */
  score: number;
}

/** What is there, 0 to 1 by pixel. */
export interface Ink {
  width: number;
  height: number;
  /** Pixels of a millimetre. */
  scale: number;
  data: Float32Array;
}

/** Ink at a place, between its pixels. */
export function inkAt({ width, height, data }: Ink, x: number, y: number): number {
  const [fx, fy] = [x - 0.5, y - 0.5];
  const [ix, iy] = [Math.floor(fx), Math.floor(fy)];
  if (ix < 0 || iy < 0 || ix >= width - 1 || iy >= height - 1) return 0;
  const [u, v] = [fx - ix, fy - iy];
  const at = iy * width + ix;
  return (
    (data[at]! * (1 - u) + data[at + 1]! * u) * (1 - v) + (data[at + width]! * (1 - u) + data[at + width + 1]! * u) * v
  );
}

/** From the hook's own millimetres (eye at the origin pointing to the right, y up) to pixels of the window. */
export function placer(pose: Pick<Pose, 'x' | 'y' | 'angle' | 'flip'>, scale: number): (p: Point) => [number, number] {
  const [c, s] = [Math.cos(pose.angle), Math.sin(pose.angle)];
  return ([x, y]) => {
    const up = pose.flip ? y : -y;
    return [pose.x + scale * (x * c - up * s), pose.y + scale * (x * s + up * c)];
  };
}

interface Template {
  on: { p: Point; weight: number }[];
  off: Point[];
}

const SPACING = { bend: 0.22, shank: 0.45 } as const;
/** How much what is there and should not be counts. */
const OFF_WEIGHT = 0.8;
const SHANK_WEIGHT = 0.4;
const EYE_WEIGHT = 0.8;
/** Beside the wire, mm from its middle over its thickness: paper. */
const BESIDE = { wires: 1.6, leastMm: 0.38 } as const;

function templateOf(dims: HookDimensions): Template {
  const { curve } = hookMarks(dims);
  const on: Template['on'] = [];
  const off: Point[] = [];
  let last = -Infinity;
  const aside = Math.max(BESIDE.leastMm, BESIDE.wires * dims.wireMm);
  curve.points.forEach((p, at) => {
    const along = curve.along[at]!;
    const bent = along > dims.shankMm * 1.04;
    if (along - last < (bent ? SPACING.bend : SPACING.shank)) return;
    last = along;
    on.push({ p, weight: bent ? 1 : SHANK_WEIGHT });
    if (!bent || along > curve.length - 0.4) return;
    // Behind the fly both sides of the wire are paper.
    const next = curve.points[Math.min(at + 1, curve.points.length - 1)]!;
    const long = Math.hypot(next[0] - p[0], next[1] - p[1]) || 1;
    const normal: Point = [-(next[1] - p[1]) / long, (next[0] - p[0]) / long];
    if (p[1] < -0.25 * dims.gapeMm)
      off.push(
        [p[0] + normal[0] * aside, p[1] + normal[1] * aside],
        [p[0] - normal[0] * aside, p[1] - normal[1] * aside],
      );
  });
  const hole = dims.eyeMm / 2 - dims.wireMm / 2;
  const middle: Point = [dims.eyeMm / 2, 0];
  for (let n = 0; n < 8; n++) {
    const turn = (n / 8) * 2 * Math.PI;
    on.push({ p: [middle[0] + hole * Math.cos(turn), middle[1] + hole * Math.sin(turn)], weight: EYE_WEIGHT });
    const beyond = hole + aside;
    if (Math.cos(turn) > -0.2) off.push([middle[0] + beyond * Math.cos(turn), middle[1] + beyond * Math.sin(turn)]);
  }
  return { on, off };
}

function scored(ink: Ink, { on, off }: Template, pose: Omit<Pose, 'score'>): number {
  const place = placer(pose, ink.scale);
  const at = ([x, y]: Point) => inkAt(ink, ...place([x * pose.shank, y * pose.gape]));
  let [found, all, wrong] = [0, 0, 0];
  for (const { p, weight } of on) {
    found += weight * at(p);
    all += weight;
  }
  for (const p of off) wrong += at(p);
  return found / all - (OFF_WEIGHT * wrong) / Math.max(1, off.length);
}

const TURNS = 60;
const GRID_MM = 0.35;
const KEPT = 14;
const REACH = { shank: 0.07, gape: 0.14 } as const;

/** Where the hook lies: every place and turn on both sides coarsely, the best of them closely. Null where nothing looks like it. */
export function poseOf(ink: Ink, dims: HookDimensions): Pose | null {
  const template = templateOf(dims);
  // Coarsely by every other point.
  const rough: Template = {
    on: template.on.filter((_, at) => at % 2 === 0),
    off: template.off.filter((_, at) => at % 2 === 0),
  };
  const best: Pose[] = [];
  const step = GRID_MM * ink.scale;
  for (let y = step / 2; y < ink.height; y += step)
    for (let x = step / 2; x < ink.width; x += step) {
      if (inkAt(ink, x, y) < 0.25) continue;
      for (let turn = 0; turn < TURNS; turn++)
        for (const flip of [false, true]) {
          const pose = { x, y, angle: (turn / TURNS) * 2 * Math.PI, flip, shank: 1, gape: 1 };
          const score = scored(ink, rough, pose);
          if (best.length < KEPT || score > best.at(-1)!.score) {
            best.push({ ...pose, score });
            best.sort((a, b) => b.score - a.score);
            if (best.length > KEPT) best.pop();
          }
        }
    }
  let found: Pose | null = null;
  for (const start of best) {
    let now: Pose = { ...start, score: scored(ink, template, start) };
    for (let size = 1; size > 0.02; size *= 0.6)
      for (let again = 0; again < 3; again++)
        for (const [key, by] of [
          ['x', 0.3 * ink.scale],
          ['y', 0.3 * ink.scale],
          ['angle', 0.09],
          ['shank', 0.03],
          ['gape', 0.05],
        ] as const)
          for (const sign of [1, -1]) {
            const pose = { ...now, [key]: now[key] + sign * by * size };
            if (Math.abs(pose.shank - 1.01) > REACH.shank || Math.abs(pose.gape - 1.01) > REACH.gape) continue;
            const score = scored(ink, template, pose);
            if (score > now.score) now = { ...pose, score };
          }
    if (!found || now.score > found.score) found = now;
  }
  return found;
}
