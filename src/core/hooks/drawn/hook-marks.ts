import type { BendId, EyeId, BarbId } from '@/catalogue/ids';
import { at, pathOf, walk, type Curve, type Mark, type Point } from './curve';

/** Dimensions a hook is drawn from, mm. */
export interface HookDimensions {
  bend: BendId;
  eye: EyeId;
  barb: BarbId;
  shankMm: number;
  gapeMm: number;
  biteMm: number;
  wireMm: number;
  eyeMm: number;
}

/** The wire's centre line from behind the eye (origin, eye to the right) round the bend to the point. */
export interface HookDrawing {
  curve: Curve;
  marks: Mark[];
  bounds: { left: number; right: number; top: number; bottom: number };
}

/** How much of the turning lies in the shank, and how the front is tilted up, by bend. Radians. */
const SHAPE: Record<BendId, { shankTurn: number; tilt: number }> = {
  round: { shankTurn: 0, tilt: 0 },
  wide: { shankTurn: 0, tilt: 0 },
  jig: { shankTurn: 0, tilt: 0 },
  'curved-shank': { shankTurn: 0.62, tilt: 0.3 },
  'continuous-curve': { shankTurn: 1.15, tilt: 0.52 },
};

const LIMB_RISE = 0.1;

function wireCurve(dims: HookDimensions): Curve {
  const { shankTurn, tilt } = SHAPE[dims.bend];
  const limb = Math.max(0.2 * dims.gapeMm, dims.biteMm - dims.gapeMm / 2);
  const draw = (shank: number, radius: number) => {
    const bendTurn = Math.PI + LIMB_RISE - shankTurn + tilt;
    return walk(
      [0, 0],
      Math.PI - tilt,
      [
        { length: shank, turn: shankTurn },
        { length: radius * bendTurn, turn: bendTurn },
        { length: limb, turn: 0 },
      ],
      Math.max(0.03, shank / 80),
    );
  };
  // The shank's chord and the gape are what was measured: find the arc that has both.
  let shank = dims.shankMm;
  let radius = dims.gapeMm / 2;
  for (let i = 0; i < 12; i++) {
    const curve = draw(shank, radius);
    const tip = curve.points[curve.points.length - 1]!;
    const above = curve.points
      .filter((_, index) => curve.along[index]! <= shank)
      .reduce((best, p) => (Math.abs(p[0] - tip[0]) < Math.abs(best[0] - tip[0]) ? p : best));
    const gape = above[1] - tip[1];
    const chord = -Math.min(...curve.points.filter((_, index) => curve.along[index]! <= shank + 1e-6).map((p) => p[0]));
    radius *= Math.min(1.6, Math.max(0.6, dims.gapeMm / Math.max(0.1, gape)));
    if (shankTurn > 0) shank *= Math.min(1.3, Math.max(0.8, dims.shankMm / chord));
  }
  return draw(shank, radius);
}

const EYE_DROP: Record<EyeId, number> = {
  ring: 0,
  down: -0.5,
  up: 0.5,
  'jig-45': 0.78,
  'jig-60': 1.05,
  'jig-90': 1.57,
};

/** A hook from its own dimensions: wire at true width, bend and gape as measured, eye, point and barb. */
export function hookMarks(dims: HookDimensions, ink = 'var(--ink)'): HookDrawing {
  const curve = wireCurve(dims);
  const { p: tip, t } = at(curve, curve.length);
  const angle = EYE_DROP[dims.eye];
  const hole = Math.max(0.05, dims.eyeMm / 2 - dims.wireMm / 2);
  const neck = dims.eye.startsWith('jig') ? dims.eyeMm * 0.35 : 0;
  const reach = neck + dims.eyeMm / 2;
  const eye: Point = [Math.cos(angle) * reach, Math.sin(angle) * reach];
  const circle = Array.from({ length: 25 }, (_, index): Point => [
    eye[0] + hole * Math.cos((index / 24) * 2 * Math.PI),
    eye[1] + hole * Math.sin((index / 24) * 2 * Math.PI),
  ]);
  const wire = pathOf(curve.points.filter((_, index) => curve.along[index]! <= curve.length - dims.wireMm * 2.2));
  const taper = at(curve, curve.length - dims.wireMm * 2.2);
  const w = dims.wireMm / 2;
  const point = pathOf(
    [
      [taper.p[0] + taper.n[0] * w, taper.p[1] + taper.n[1] * w],
      [tip[0] + t[0] * w, tip[1] + t[1] * w],
      [taper.p[0] - taper.n[0] * w, taper.p[1] - taper.n[1] * w],
    ],
    true,
  );
  const marks: Mark[] = [
    { d: wire, stroke: ink, width: dims.wireMm, mm: true },
    { d: point, fill: ink },
    { d: pathOf(circle, true), stroke: ink, width: dims.wireMm, mm: true },
  ];
  if (neck > 0)
    marks.push({
      d: pathOf([
        [0, 0],
        [Math.cos(angle) * (neck + w), Math.sin(angle) * (neck + w)],
      ]),
      stroke: ink,
      width: dims.wireMm,
      mm: true,
    });
  if (dims.barb !== 'none') {
    const size = dims.wireMm * (dims.barb === 'micro' ? 0.8 : 1.6);
    const base = at(curve, curve.length - dims.wireMm * 3.2);
    const back = at(curve, curve.length - dims.wireMm * 3.2 - size * 1.2);
    marks.push({
      d: pathOf([base.p, [back.p[0] - back.n[0] * size, back.p[1] - back.n[1] * size], back.p], true),
      fill: ink,
    });
  }
  const all = [...curve.points, [eye[0] + dims.eyeMm / 2, eye[1]] as Point, [eye[0], eye[1] + dims.eyeMm / 2] as Point];
  return {
    curve,
    marks,
    bounds: {
      left: Math.min(...all.map((p) => p[0])),
      right: Math.max(...all.map((p) => p[0])),
      top: Math.max(...all.map((p) => p[1])),
      bottom: Math.min(...all.map((p) => p[1])),
    },
  };
}
