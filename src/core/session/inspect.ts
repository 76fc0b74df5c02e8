import type { PartId } from '@/catalogue/ids';
import type { Card, CardPart, CardStep } from '../card/card-shape';
import type { FlySought } from '../photo/fly/measure-fly';

/** From where a finished fly is looked at. */
export const VIEWS = ['side', 'front', 'above', 'below', 'behind'] as const;
export type ViewId = (typeof VIEWS)[number];

/** How a length is taken: along the hook, out from where it is tied in, or one barb from its stem. */
export type Taken = 'along' | 'out' | 'barb';

/** One length of a finished fly, mm. */
export interface ToMeasure {
  part: string;
  kind: PartId;
  targetMm: number;
  rangeMm: [number, number];
  taken: Taken;
  /** Why it may be out, as codes, longer and shorter. */
  causes: { long: string; short: string };
}

/** One thing to look at, in the words of the step that made it. */
export interface ToLook {
  step: number;
  view: ViewId;
}

/** Checks of steps that can still be seen on a finished fly, and from where. What lies under other parts by then is left out. */
const SEEN_FROM: Readonly<Record<string, ViewId>> = {
  'say:two-equal': 'front',
  'say:wings-level': 'front',
  'say:stands-up': 'front',
  'say:equal-sides': 'front',
  'say:legs-a-side': 'front',
  'say:low-equal': 'front',
  'say:central': 'front',
  'say:up-and-down': 'side',
  'say:square-none-trapped': 'side',
  'say:swept-back': 'side',
  'say:stroked-back': 'side',
  'say:turns-even': 'side',
  'say:ridge-shows': 'side',
  'say:one-a-groove': 'side',
  'say:even-film': 'side',
  'say:nothing-bare': 'side',
  'say:no-thread-end': 'side',
  'say:bead-still': 'side',
  'say:end-dark': 'side',
  'say:head-dark': 'side',
  'say:ragged-at': 'side',
  'say:strip-centred': 'above',
  'say:level-behind': 'above',
  'say:square-across': 'above',
  'say:feelers-apart': 'above',
  'say:fork-even': 'behind',
  'say:trails-straight': 'behind',
  'say:barbs-both-sides': 'below',
  'say:clipped-v-below': 'below',
  'say:clipped-flat-below': 'below',
  'say:below-only': 'below',
  'say:clipped-both': 'below',
  'say:no-stub': 'below',
  'say:tippet-passes': 'front',
};

/** Parts that other parts cover, or that are bought as they are. */
const HIDDEN: ReadonlySet<PartId> = new Set(['weight', 'underbody', 'bead', 'coat', 'back', 'rib']);
const HACKLES: ReadonlySet<PartId> = new Set(['hackle', 'second-hackle', 'stacked-hackle', 'collar']);

function takenOf({ part, from_mm: from, to_mm: to }: CardPart): Taken {
  if (HACKLES.has(part)) return 'barb';
  return from !== null && to !== null ? 'along' : 'out';
}

function causesOf(part: CardPart, taken: Taken): ToMeasure['causes'] {
  if (part.part === 'head') return { long: 'cause-head-crowded', short: 'cause-head-small' };
  if (taken === 'barb') return { long: 'cause-barb-long', short: 'cause-barb-short' };
  if (taken === 'along') return { long: 'cause-past-mark', short: 'cause-before-mark' };
  return part.method === 'measure-then-bind'
    ? { long: 'cause-bound-behind', short: 'cause-carried-round' }
    : { long: 'cause-drawn-little', short: 'cause-drawn-far' };
}

/** What of a card's fly is measured and what is looked at, each once. */
export function checklistOf(card: Card): { measures: ToMeasure[]; looks: ToLook[] } {
  const measures = card.parts.flatMap((part): ToMeasure[] => {
    if (part.mm === null || part.range_mm === null || HIDDEN.has(part.part)) return [];
    const taken = takenOf(part);
    return [
      {
        part: part.id,
        kind: part.part,
        targetMm: part.mm,
        rangeMm: part.range_mm,
        taken,
        causes: causesOf(part, taken),
      },
    ];
  });
  const seen = new Set<string>();
  const looks = card.steps.flatMap((step: CardStep): ToLook[] => {
    const view = step.check === null ? undefined : SEEN_FROM[step.check];
    const key = `${step.check} ${step.kind}`;
    if (!view || seen.has(key)) return [];
    seen.add(key);
    return [{ step: step.n, view }];
  });
  return { measures, looks: looks.sort((a, b) => VIEWS.indexOf(a.view) - VIEWS.indexOf(b.view)) };
}

export interface Judged {
  is: 'good' | 'long' | 'short';
  /** Share it is longer than its card says; below 0 shorter. */
  off: number;
}

/** A length beside what the card says. Within its range it is good. */
export function judged({ targetMm, rangeMm }: Pick<ToMeasure, 'targetMm' | 'rangeMm'>, mm: number): Judged {
  // A range ends where it is printed to end: a reading that equals its printed end is within.
  const [low, high] = rangeMm;
  return { is: mm > high + 0.005 ? 'long' : mm < low - 0.005 ? 'short' : 'good', off: mm / targetMm - 1 };
}

/** What a photograph of a card's fly is asked: its hook, and every length that is measured. */
export function soughtOf(card: Card): FlySought {
  const { hook } = card;
  return {
    style: card.style,
    hook: {
      bend: hook.bend,
      eye: hook.eye,
      barb: hook.barb,
      shankMm: hook.shank_mm,
      gapeMm: hook.gape_mm,
      biteMm: hook.bite_mm ?? hook.gape_mm,
      wireMm: hook.wire_mm,
      eyeMm: hook.eye_mm,
    },
    hookKnown: !hook.estimated.includes('shank_mm'),
    parts: checklistOf(card).measures.map(({ part: id, kind, targetMm, taken }) => {
      const own = card.parts.find((part) => part.id === id)!;
      return {
        id,
        kind,
        taken,
        mm: targetMm,
        fromMm: own.from_mm ?? 0,
        toMm: own.to_mm,
        thickMm: own.thick_mm ?? 3 * hook.wire_mm,
        hex: own.colour?.hex ?? null,
      };
    }),
  };
}
