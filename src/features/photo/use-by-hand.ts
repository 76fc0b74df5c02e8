import { useState } from 'react';
import type { RegionId } from '@/catalogue/ids';
import { FIELD_CARDS } from '@/catalogue/field-cards';
import type { ImagePoint } from '@/core/photo/card';
import {
  colourOfTap,
  curveThrough,
  lengthByHand,
  neutralOf,
  scaleOfFour,
  scaleOfTwo,
  type Neutral,
} from '@/core/photo/trace';
import { parseLength } from '@/core/units';
import type { Overlay } from '@/records';
import { useSpeech } from '@/features/shell';
import { faceOf, type Colours } from './overlay';
import type { Pixels } from './pixels';
import type { Found } from './use-measuring';

export const HAND_STEPS = ['scale', 'body', 'colour'] as const;
export type HandStep = (typeof HAND_STEPS)[number];
export const SCALE_WAYS = ['length', 'rectangle'] as const;
type ScaleWay = (typeof SCALE_WAYS)[number];
export const NEUTRALS = ['white', 'grey'] as const;
/** Radius of a colour tap, screen pixels. */
export const RADII = { small: 5, middle: 10, large: 20 } as const;

const [CARD_LONG, CARD_SHORT] = FIELD_CARDS.cards.wallet.size_mm;
/** SD of a tap, screen pixels: the magnifier shows what it hits. */
const TAP_PX = 2.5;
const LEAST_TAP = 0.7;
const MOST_BODY_TAPS = 12;
const LEAST_RADIUS = 2;

/** A length as it is typed, read: its mm, or what is wrong with it. */
function useTyped(starts: number) {
  const speech = useSpeech();
  const [typed, onType] = useState(speech.unit === 'mm' ? String(starts) : speech.digits(starts, true));
  const parsed = parseLength(typed, speech.unit === 'mm' ? 'mm' : 'in');
  return {
    typed,
    onType,
    mm: parsed.ok ? parsed.mm : null,
    fault: parsed.ok ? null : speech.say(parsed.fault, 'fault'),
  };
}

/** Taps on something known, and the scale they give; null until there are enough. */
function useScale(tapPx: number) {
  const [way, setWay] = useState<ScaleWay>('length');
  const [marks, setMarks] = useState<ImagePoint[]>([]);
  const known = useTyped(CARD_LONG);
  const sides = [useTyped(CARD_LONG), useTyped(CARD_SHORT)] as const;
  const wanted = way === 'length' ? 2 : 4;
  const [long, short] = [sides[0].mm, sides[1].mm];
  const spots = { spots: marks, tapPx };
  const scale =
    marks.length < wanted
      ? null
      : way === 'length'
        ? known.mm && scaleOfTwo(spots, known.mm)
        : long && short && scaleOfFour(spots, Math.max(long, short), Math.min(long, short));
  const mark = (at: ImagePoint) => setMarks(marks.length >= wanted ? [at] : [...marks, at]);
  const go = (next: ScaleWay) => {
    setWay(next);
    setMarks([]);
  };
  return { way, go, marks, setMarks, mark, wanted, known, sides, scale: scale || null };
}

/** Taps for colour: first something white or grey, then the regions. */
function useColourTaps(view: Overlay['view'], pixels: Pixels | null) {
  const face = faceOf(view);
  const regions = [`abdomen-${face}`, `thorax-${face}`, 'wing', 'legs'] as RegionId[];
  const [neutral, setNeutral] = useState<{ light: Neutral | null } | null>(null);
  const [asking, setAsking] = useState<`neutral-${(typeof NEUTRALS)[number]}` | RegionId>('neutral-white');
  const [radius, setRadius] = useState<keyof typeof RADII>('middle');
  const [colours, setColours] = useState<Colours>({});
  const tap = (at: ImagePoint, size: number) => {
    const sample = pixels!.around(at[0], at[1], Math.max(LEAST_RADIUS, RADII[radius] * size));
    const kind = NEUTRALS.find((item) => asking === `neutral-${item}`);
    if (kind) {
      setNeutral({ light: neutralOf(sample, kind) });
      setAsking(regions[0]!);
      return;
    }
    const colour = colourOfTap(sample, neutral?.light ?? null);
    if (colour) setColours({ ...colours, [asking]: colour });
  };
  return { regions, neutral, asking, setAsking, radius, setRadius, colours, tap };
}

/** Measuring by taps: the scale, the body and its colours, each where the step is. */
export function useByHand(view: Overlay['view'], pixels: Pixels | null) {
  const [step, setStep] = useState<HandStep>('scale');
  const [tapPx, setTapPx] = useState(LEAST_TAP);
  const [body, setBody] = useState<ImagePoint[]>([]);
  const scaling = useScale(tapPx);
  const colouring = useColourTaps(view, pixels);
  const length = scaling.scale ? lengthByHand({ spots: body, tapPx }, scaling.scale) : null;
  const tap = (at: ImagePoint, size: number) => {
    setTapPx(Math.max(LEAST_TAP, TAP_PX * size));
    if (step === 'scale') scaling.mark(at);
    else if (step === 'colour') colouring.tap(at, size);
    else if (body.length < MOST_BODY_TAPS) setBody([...body, at]);
  };
  const line = body.length >= 2 ? curveThrough(body) : body;
  return { step, setStep, tap, body, setBody, line, length, scaling, colouring };
}

const CROP_PX = 720;
const CROP_BYTES = 40_000;
/** Of the picture about the body that is kept: a share of its length, and some pixels. */
const MARGIN = { share: 0.35, px: 8 } as const;

/** What was measured by hand, as what a photograph is found to hold. Lengths in mm; `line` in pixels of the picture. */
export async function foundByHand(
  pixels: Pixels,
  view: Overlay['view'],
  line: readonly ImagePoint[],
  length: { bodyMm: number; sdMm: number },
  colours: Colours,
): Promise<Found> {
  const [xs, ys] = [line.map((spot) => spot[0]), line.map((spot) => spot[1])];
  const long = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const margin = MARGIN.share * long + MARGIN.px;
  const [left, top] = [Math.max(0, Math.min(...xs) - margin), Math.max(0, Math.min(...ys) - margin)];
  const width = Math.min(pixels.width, Math.max(...xs) + margin) - left;
  const height = Math.min(pixels.height, Math.max(...ys) + margin) - top;
  const between = (spot: ImagePoint, index: number) => Math.hypot(spot[0] - line[index]![0], spot[1] - line[index]![1]);
  // Over so small a piece one scale holds: the length along the taps gives it.
  const mm = length.bodyMm / line.slice(1).reduce((sum, spot, index) => sum + between(spot, index), 0);
  return {
    url: await pixels.cut(left, top, width, height, CROP_PX, CROP_BYTES),
    colours,
    warnings: [],
    overlay: {
      leftMm: left * mm,
      topMm: top * mm,
      widthMm: width * mm,
      heightMm: height * mm,
      by: 'hand',
      view,
      insects: [
        {
          n: 1,
          specimenId: null,
          what: 'body',
          bodyMm: length.bodyMm,
          sdMm: length.sdMm,
          midlineMm: line.map(([x, y]): [number, number] => [x * mm, y * mm]),
          widthsMm: [],
          overallMm: null,
          factor: 1,
          hand: null,
        },
      ],
    },
  };
}
