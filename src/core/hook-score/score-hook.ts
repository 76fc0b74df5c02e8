import type { SchoolOption } from '@/catalogue/ids';
import {
  carry,
  floats,
  pathFactor,
  pinnedPathFactor,
  reads,
  readsGape,
  room,
  stylePlace,
  suit,
  usualBead,
  xOf,
  type Hook,
  type HookPlace,
  type Style,
} from '../hooks';
import { reason } from '../code';
import type { Dressing, DressingWeight } from '../dressings';
import type { HookAnswer, Schools } from './score-shape';

/** What the natural asks of a hook; null fields where no natural was given. */
export interface Wanted {
  targetMm: number | null;
  /** Width of the tied body, mm. */
  bodyWidthMm: number | null;
}

export interface StyleInUse {
  style: Style;
  /** The dressing's bead; null when it has none. `diameter_mm` null takes the usual size for the hook. */
  bead: DressingWeight | null;
  reading: SchoolOption['eye-reading'];
  /** Multiplies W: the short-and-thin school. */
  pathShare: number;
  /** Eyes left bare in front of the bead. */
  seatEyes: number;
  /** Hooks the dressing is made for, best first; empty for those of its style. */
  hooks: Dressing['hooks'];
}

/** How a style is worked on any hook: as a dressing makes it, or by itself, in the tier's schools. */
export function styleUse(
  style: Style,
  dressing: Pick<Dressing, 'weights' | 'hooks'> | null = null,
  schools: Schools = {},
): StyleInUse {
  return {
    style,
    bead: dressing?.weights.find((weight) => weight.kind === 'bead') ?? null,
    reading: schools['eye-reading'] ?? 'default',
    pathShare: pathShareOf(style, schools),
    seatEyes: schools['bead-seat'] === 'back-one-eye' ? 1 : 0,
    hooks: dressing?.hooks ?? [],
  };
}

/** A hook's place among those a fly is meant for: the dressing's own bends, lengths and wires where it names them, else its style's. `x` is the hook's X as measured. Source: formulas §4. */
export function placeOf(
  { style, hooks }: Pick<StyleInUse, 'style' | 'hooks'>,
  bend: Hook['bend'],
  x: number,
): HookPlace {
  if (hooks.length === 0) return stylePlace(style, bend);
  const bends = [...new Set(hooks.map((hook) => hook.bend))];
  const own = hooks.find(
    (hook) => hook.bend === bend && (hook.x_long === null || (hook.x_long[0] <= x && x <= hook.x_long[1])),
  );
  const wires = (own ?? hooks.find((hook) => hook.bend === bend))?.wire ?? [];
  return {
    place: own ? bends.indexOf(bend) : -1,
    wire: wires.length > 0 ? wires : style.wire,
    best: bends[0]!,
    lengthOutside: !own && bends.includes(bend),
  };
}

/** Whether a fly is tied on a bend at all: its style has a path for it, and what floats takes no jig. */
export function meantFor(style: Style, bend: Hook['bend']): boolean {
  return pathFactor(style, bend) !== null && !(bend === 'jig' && floats(style));
}

/** A hook by itself. */
export const NO_NATURAL: Wanted = { targetMm: null, bodyWidthMm: null };

const SHORT_AND_THIN = 0.75;

/** Share of the path that is dressed: all of it, but for a soft wet dressed short and thin. Source: ids, Styles. */
function pathShareOf(style: Style, schools: Schools): number {
  return style.id === 'soft-wet' && schools['nymph-length'] === 'short-and-thin' ? SHORT_AND_THIN : 1;
}

/** Bead on one hook, mm; 0 without one. */
function beadOn(hook: Hook, bead: DressingWeight | null): number {
  return bead === null ? 0 : (bead.diameter_mm ?? usualBead(hook.gape.value, hook.bend));
}

interface Carried {
  carryMm: number;
  roomMm: number;
  beadMm: number;
  /** The style is not meant for the bend: the nearest column to its left stands in. */
  borrowed: boolean;
}

/** What one hook carries. Null when the style is not meant for its bend, unless it is pinned. */
export function carryOn(hook: Hook, use: StyleInUse, pinned: boolean): Carried | null {
  const own = pathFactor(use.style, hook.bend);
  if (!pinned && !meantFor(use.style, hook.bend)) return null;
  const path = own === null ? pinnedPathFactor(use.style, hook.bend) : { factor: own, borrowed: false };
  const beadMm = beadOn(hook, use.bead);
  const geometry = {
    shankMm: hook.shank.value,
    eyeMm: hook.eyeOuter.value,
    bend: hook.bend,
    pathFactor: path.factor * use.pathShare,
    beadMm,
    seatMm: use.seatEyes * hook.eyeOuter.value,
    reading: use.reading,
  };
  return { carryMm: carry(use.style, geometry), roomMm: room(use.style, geometry), beadMm, borrowed: path.borrowed };
}

/** Scores one hook. Null when the style is not meant for its bend, unless it is pinned. */
export function scoreHook(
  hook: Hook,
  use: StyleInUse,
  wanted: Wanted,
  owned: number,
  pinned: boolean,
): HookAnswer | null {
  const carried = carryOn(hook, use, pinned);
  if (carried === null) return null;
  const { carryMm, beadMm } = carried;
  const answer: HookAnswer = {
    id: hook.id,
    maker: hook.maker,
    maker_name: hook.makerName,
    model: hook.model,
    model_name: hook.modelName,
    size: hook.size,
    bend: hook.bend,
    eye: hook.eye,
    barb: hook.barb,
    wire: hook.wire,
    shank_mm: hook.shank.value,
    gape_mm: hook.gape.value,
    bite_mm: hook.bite.value,
    wire_mm: hook.wireDiameter.value,
    eye_mm: hook.eyeOuter.value,
    mass_mg: hook.mass.value,
    carry_mm: carryMm,
    room_mm: carried.roomMm,
    reads: reads(hook.shank.value),
    reads_gape: readsGape(hook.gape.value),
    target_mm: wanted.targetMm,
    length_steps: null,
    steps: null,
    probability: null,
    share: null,
    owned,
    estimated: hook.estimated,
    pinned,
    reasons: [],
  };
  if (carried.borrowed)
    answer.reasons.push(
      reason(
        'bend-borrowed',
        { bend: { kind: 'bends', id: hook.bend }, style: { kind: 'styles', id: use.style.id } },
        { evidence: 'theory' },
      ),
    );
  if (wanted.targetMm === null || wanted.bodyWidthMm === null) return answer;
  const cost = suit(
    use.style,
    {
      bend: hook.bend,
      wire: hook.wire,
      gapeMm: hook.gape.value,
      wireMm: hook.wireDiameter.value,
      carryMm,
      targetMm: wanted.targetMm,
      thickMm: Math.max(beadMm, wanted.bodyWidthMm),
    },
    placeOf(use, hook.bend, xOf(hook.shank.value, hook.gape.value)),
  );
  answer.length_steps = cost.lengthSteps;
  answer.steps = cost.steps;
  answer.reasons.push(...cost.reasons);
  if (owned > 0) answer.reasons.push(reason('owned', { count: owned }));
  if (hook.estimated.includes('shank_mm'))
    answer.reasons.push(
      reason('hook-about', { source: { kind: 'sources', id: hook.shank.source } }, { evidence: 'theory' }),
    );
  return answer;
}
