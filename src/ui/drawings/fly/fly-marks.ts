import type { PartId } from '@/catalogue/ids';
import type { Card, CardPart } from '@/core/tying';
import { at, hookMarks, type HookDrawing, type Mark, type Point } from '@/core/hooks/drawn';
import { along, boundsOf, INK, path, towards } from './brush';
import type { Draw } from './draw';
import { partStates } from './progress';
import { extendedStretch, sideMarks } from './side';
import { topMarks } from './top';

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

export interface FlyLook {
  view?: 'side' | 'top';
  /** As it should look after this step; the finished fly when absent. */
  upTo?: number;
  /** Lines only: colours are not to be judged in this light. */
  plain?: boolean;
}

/** Drawn from the far side toward the eye of the reader. */
const BEHIND: readonly PartId[] = ['extended-body', 'tail', 'shuck', 'larva-head'];
const SIDE: readonly PartId[] = [
  'weight',
  'underbody',
  'tag',
  'egg-mass',
  'antennae',
  'legs',
  'case',
  'abdomen',
  'rib',
  'back',
  'gills',
  'coat',
  'second-hackle',
  'thorax',
  'halo',
  'wing-buds',
  'cheeks',
  'wing-case',
  'tuft',
  'wing',
  'hair-wing',
  'post',
  'collar',
  'beard',
  'stacked-hackle',
  'hackle',
  'bead',
  'head',
];
const TOP: readonly PartId[] = [
  'weight',
  'legs',
  'gills',
  'second-hackle',
  'hackle',
  'underbody',
  'tag',
  'egg-mass',
  'antennae',
  'case',
  'abdomen',
  'rib',
  'back',
  'thorax',
  'halo',
  'cheeks',
  'wing-buds',
  'wing-case',
  'tuft',
  'wing',
  'hair-wing',
  'collar',
  'stacked-hackle',
  'post',
  'bead',
  'head',
];
const MEASURED: ReadonlySet<string> = new Set([
  'tail',
  'shuck',
  'extended-body',
  'abdomen',
  'case',
  'thorax',
  'wing',
  'hackle',
]);

/** The iron from above: a wire, its eye, and the point below it. */
function hookFromAbove(card: Card, hook: HookDrawing): Mark[] {
  const rear = Math.min(...hook.curve.points.map(([x]) => x));
  const r = card.hook.eye_mm / 2;
  const eye = Array.from({ length: 17 }, (_, index): Point => {
    const a = (index / 16) * 2 * Math.PI;
    return [r * 0.8 + Math.cos(a) * r * 0.8, Math.sin(a) * r * 0.75];
  });
  return [
    {
      d: path([
        [0, 0],
        [rear, 0],
      ]),
      stroke: INK,
      width: card.hook.wire_mm,
      mm: true,
    },
    { d: path(eye, true), stroke: INK, width: card.hook.wire_mm, mm: true },
  ];
}

/** A fly drawn from its card: every part at its millimetres on the hook, from the side or from above, after any step. */
export function flyMarks(card: Card, { view = 'side', upTo, plain = false }: FlyLook = {}): FlyDrawing {
  const { hook: iron } = card;
  const hook = hookMarks({
    bend: iron.bend,
    eye: iron.eye,
    barb: iron.barb,
    shankMm: iron.shank_mm,
    gapeMm: iron.gape_mm,
    biteMm: iron.bite_mm ?? iron.gape_mm * 0.9,
    wireMm: iron.wire_mm,
    eyeMm: iron.eye_mm,
  });
  const state = partStates(card, upTo);
  const find = (kind: PartId) => card.parts.find((part) => part.part === kind);
  const draw: Draw = {
    card,
    style: card.style,
    hook,
    state,
    find,
    // Through a clear body its thread is seen: what the card says of the layers is what is drawn.
    colour: (part: CardPart) =>
      (plain ? undefined : (card.layers.find((layer) => layer.part === part.id)?.dry.hex ?? part.colour?.hex)) ??
      'var(--plane)',
    thick: (kind) => find(kind)?.thick_mm ?? find('case')?.thick_mm ?? find('abdomen')?.thick_mm ?? 0.8,
    stretch: (part, profile, thickMm = part.thick_mm ?? 0.6) => ({
      at: along(hook.curve),
      from: part.from_mm ?? 0,
      to: part.to_mm ?? 0,
      half: (u) => (thickMm / 2) * profile(u),
    }),
    rearEnd: null,
  };
  const extended = find('extended-body');
  if (extended && state(extended).there === 'yes') {
    const stretch = extendedStretch(extended, draw);
    const { p, t } = stretch.at(extended.mm ?? 1);
    draw.rearEnd = { p, angle: Math.atan2(t[1], t[0]) };
  }
  const marksOf = view === 'top' ? topMarks : sideMarks;
  const layers = (kinds: readonly PartId[]) =>
    kinds.flatMap((kind) => card.parts.filter((part) => part.part === kind).flatMap((part) => marksOf(part, draw)));
  const wire = view === 'top' ? hookFromAbove(card, hook) : hook.marks;
  // From above everything lies over the wire; from the side what trails behind lies beyond it.
  const marks =
    view === 'top' ? [...wire, ...layers(BEHIND), ...layers(TOP)] : [...layers(BEHIND), ...wire, ...layers(SIDE)];
  const pointAt = (mm: number): Point => (view === 'top' ? [at(hook.curve, mm).p[0], 0] : at(hook.curve, mm).p);
  const dimensions = card.parts.flatMap((part): Dimension[] => {
    if (!MEASURED.has(part.part) || part.mm === null || part.from_mm === null || state(part).there !== 'yes') return [];
    const from = pointAt(part.from_mm);
    if (part.to_mm !== null) return [{ part: part.id, kind: part.part, mm: part.mm, from, to: pointAt(part.to_mm) }];
    if (part.part === 'tail' && draw.rearEnd)
      return [
        {
          part: part.id,
          kind: part.part,
          mm: part.mm,
          from: towards(draw.rearEnd.p, Math.PI, part.mm),
          to: draw.rearEnd.p,
        },
      ];
    if (part.part === 'tail' || part.part === 'shuck' || part.part === 'extended-body')
      return [{ part: part.id, kind: part.part, mm: part.mm, from: [from[0] - part.mm, from[1]], to: from }];
    return [];
  });
  const drawn = boundsOf(marks);
  const bounds =
    view === 'top'
      ? drawn
      : {
          left: Math.min(hook.bounds.left, drawn.left),
          right: Math.max(hook.bounds.right, drawn.right),
          top: Math.max(hook.bounds.top, drawn.top),
          bottom: Math.min(hook.bounds.bottom, drawn.bottom),
        };
  return { marks, hook, dimensions, bounds, pointAt };
}
