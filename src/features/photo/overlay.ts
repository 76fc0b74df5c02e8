import type { RegionId } from '@/catalogue/ids';
import type { RegionColour } from '@/core/photo';
import type { ImagePoint } from '@/core/photo/card';
import { traceOf, USUAL_CUTS, type Trace } from '@/core/photo/trace';
import type { Overlay, OverlayInsect } from '@/records';
import type { PhotoAnswer } from '@/workers';

export type Colours = Partial<Record<RegionId, RegionColour>>;

const pair = ([x, y]: ImagePoint): [number, number] => [x, y];

/** What was found, as it is kept with the crop; null when there is no picture of it. */
export function overlayOf({ measure, crop }: PhotoAnswer): Overlay | null {
  const first = measure.insects[0];
  if (!crop || !first) return null;
  const { leftMm, topMm, widthMm, heightMm } = crop;
  return {
    leftMm,
    topMm,
    widthMm,
    heightMm,
    by: 'card',
    view: first.view,
    insects: measure.insects.map((insect) => ({
      n: insect.n,
      specimenId: null,
      what: insect.what,
      bodyMm: insect.bodyMm,
      sdMm: insect.sdMm,
      error: insect.error,
      midlineMm: insect.midlineMm.map(pair),
      veiled: insect.veiled,
      widthsMm: insect.widthsMm,
      overallMm: insect.overallMm,
      factor: insect.heightFactor * (measure.card?.printedScale ?? 1),
      hand: null,
    })),
  };
}

export function traceNow(insect: OverlayInsect): Trace {
  return insect.hand ? { nodes: insect.hand.nodes, cuts: insect.hand.cuts } : traceOf(insect);
}

export function handOf(trace: Trace, length: { bodyMm: number; sdMm: number }): NonNullable<OverlayInsect['hand']> {
  return { nodes: trace.nodes.map(pair), cuts: [...trace.cuts] as [number, number, number, number], ...length };
}

/** Which face a view shows; a side counts as the belly, which is what a fish sees. */
export function faceOf(view: Overlay['view']): 'back' | 'belly' {
  return view === 'back' ? 'back' : 'belly';
}

/** Colours along a moved trace, without those of veiled regions as long as no region was put on a bare place. */
export function coloursBare(colours: Colours, { veiled = [] }: OverlayInsect, { cuts }: Trace): Colours {
  const moved = cuts.some((share, index) => share !== USUAL_CUTS[index]);
  return moved
    ? colours
    : Object.fromEntries(Object.entries(colours).filter(([region]) => !veiled.includes(region as RegionId)));
}
