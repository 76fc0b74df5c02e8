import type { RegionId } from '@/catalogue/ids';
import { reason, type Coded, type Reason } from '../code';
import type { FieldCards } from './card';
import { CARD_SPAN_MM, confidenceOf, holdingRivals, likelyRivals, sdOfError, unsureOf } from './body/length-error';
import { measureBody, type BodyMeasure } from './body/measure-body';
import { caseColour, regionColours, withoutContested, type RegionColour } from './body/region-colours';
import { cutsOf, piecesOf, type Cut } from './body/separate';
import { balancedCrop, type Crop } from './field/balanced';
import { findCard, type FoundCard } from './find/find-card';
import { litField, type FieldCardSeen, type FieldLightSeen } from './field/lit-field';
import type { Bounds } from './field/rectify';
import { tonesOf, type Tones } from './field/tones';
import type { Photograph } from './picture';

export type View = 'back' | 'belly' | 'side';

/** What is told of a photograph before it is measured. */
export interface PhotoAsked {
  view: View;
  surface: 'dry' | 'wet';
  /** A case is measured whole, with one colour and no head. */
  what?: 'body' | 'case';
  /** SD of a soft body's length by how far it has stretched, as a share; 0 when it rests or cannot stretch. */
  stretch?: number;
  /** Whether it may have wings, where its stage is known: without, all that is thick is body. */
  winged?: boolean;
  /** Pads of material in place of insects: their colours alone. */
  pads?: boolean;
  /** True length over printed length of the card's check line. */
  printedScale: number;
}

export interface PhotoInsect extends BodyMeasure {
  n: number;
  view: View;
  surface: 'dry' | 'wet';
  what: 'body' | 'case';
  /** 0–1: how sure it is that this is one whole insect. */
  confidence: number;
  regions: Partial<Record<RegionId, RegionColour>>;
  /** Regions whose own colour cannot be told from that of the wings over them. */
  veiled: RegionId[];
  warnings: Reason[];
}

export interface PhotoMeasure {
  /** Why nothing is said, and what to do; null when something was measured. */
  refused: Coded | null;
  card: FieldCardSeen | null;
  light: FieldLightSeen | null;
  insects: PhotoInsect[];
  /** Colours of the pads that lie whole on the card, the largest first; none where insects were asked for. */
  pads: RegionColour[];
}

/** Called with the share that is done, 0–1; may throw to stop the work. */
export type Report = (done: number) => void;

/** A piece of the field with its light, for a picture of what was measured: bounds in card millimetres, kept inside the field, no more than `most` pixels across. */
export type CropReader = (bounds: Bounds, most: number) => Crop;

/** Is given a way to look at the field once its light is known. */
export type OnCrop = (look: CropReader) => void;

const DARK = 0.045;
const LEAST_BODY_PX = 40;
/** Pixels of a window about one insect, at most. */
const WINDOW_PX = 100_000;
const WINDOW_MARGIN_MM = 0.7;
/** A measured insect whose parts leave the trunk's outline this ragged may be two. */
const RAGGED = 1.9;
/** Below this far from paper, and of no colour, a piece beside an insect is shade. */
const SHADE_OFF = 16;
const SHADE_CHROMA = 5;
/** Below this lean of its ends, head and tail may be taken for each other. */
const HEAD_SURE = 0.12;
/** A reading is given, however unsure. */
const LEAST_CONFIDENCE = 0.3;
/** What is rounder than this is a drop or a crumb. */
const LEAST_SLENDER = 1.2;
/** Of the largest pad's area: what is smaller fell off it. */
const CRUMB = 0.1;

function refused(code: string, card: PhotoMeasure['card'], light: PhotoMeasure['light']): PhotoMeasure {
  return { refused: { code, params: {} }, card, light, insects: [], pads: [] };
}

/** Median chroma of an insect's trunk. */
function grey(cut: Cut, tones: Tones): number {
  const found: number[] = [];
  for (let at = 0; at < cut.trunk.length; at++)
    if (cut.trunk[at] !== 0) found.push(Math.hypot(tones.a[at]!, tones.b[at]!));
  return Float32Array.from(found).sort()[found.length >> 1] ?? 0;
}

/** What else may be the body, with its odds against what was taken. */
interface Rival {
  cut: Cut;
  body: BodyMeasure;
  odds: number;
}

function rivalsOf({ guess }: Cut, rivals: readonly { cut: Cut; body: BodyMeasure | null }[]): Rival[] {
  return rivals.flatMap(({ cut, body }) =>
    body && guess && cut.guess ? [{ cut, body, odds: Math.exp(cut.guess.score - guess.score) }] : [],
  );
}

/** Area that a body of this length and these widths would have, px², against its trunk's: two that overlap do not agree. */
function raggedness(cut: Cut, body: BodyMeasure, scale: number): number {
  let area = 0;
  for (const value of cut.trunk) area += value;
  const step = body.bodyMm / (body.widthsMm.length - 1);
  const expected = body.widthsMm.reduce((sum, width) => sum + width * step, 0) * scale * scale;
  return expected <= 0 ? Infinity : Math.max(area / expected, expected / area);
}

/**
 * Length, widths and colours of every insect on a field card in a photograph; a refusal says why and is never a number.
 * Source: domain §2, §6; docs/formats/field-card.md.
 */
export function measurePhoto(
  photo: Photograph,
  asked: PhotoAsked,
  cards: FieldCards,
  report: Report = () => undefined,
  seen: OnCrop = () => undefined,
): PhotoMeasure {
  const found: FoundCard | null = findCard(photo, cards);
  report(0.35);
  return found ? measureOn(photo, found, asked, report, seen) : refused('photo-no-card', null, null);
}

/** A length by hand is tapped this well, as a share of itself. */
const TAPPED_SD = 0.012;

/**
 * The same without a card: on a plain pale ground, from anything of known length that was tapped. Perspective and light are not known:
 * they go into the ±, and colours are against the ground as if it were white. `pxPerMm` in the whole picture.
 */
export function measureByScale(
  photo: Photograph,
  pxPerMm: number,
  asked: PhotoAsked,
  report: Report = () => undefined,
): PhotoMeasure {
  const size: [number, number] = [photo.width / pxPerMm, photo.height / pxPerMm];
  const row = (y: number) => [0, 0.5, 1].map((share): [number, number] => [share * size[0], y]);
  const plane: FoundCard = {
    size: 'wallet',
    geometry: {
      size_mm: size,
      mark_radius_mm: 1,
      marks_mm: [...row(0), ...row(size[1])],
      patches: [],
      field_mm: [0, 0, size[0], size[1]],
      rule: { from_mm: [0, 0], length_mm: 0 },
      check: { from_mm: [0, 0], length_mm: 0 },
      text: { title_mm: [0, 0], print_mm: [0, 0], height_mm: 0 },
    },
    toPicture: [pxPerMm, 0, 0, 0, pxPerMm, 0, 0, 0, 1],
    bow: { upper: [0, 0], lower: [0, 0] },
    residualMm: TAPPED_SD * CARD_SPAN_MM,
    marks: 0,
    pxPerMm,
    edgePx: 2,
  };
  return { ...measureOn(photo, plane, asked, report), card: null };
}

function measureOn(
  photo: Photograph,
  found: FoundCard,
  asked: PhotoAsked,
  report: Report,
  seen: OnCrop = () => undefined,
): PhotoMeasure {
  // A case is all there is of it: what sticks out of it are neither wings nor tails.
  const tailed = asked.what !== 'case';
  const winged = tailed && asked.winged !== false;
  const opened = litField(photo, found, asked.printedScale, report);
  if (!opened.ok) return refused('photo-blurred', opened.card, null);
  const { camera, card, field, light, said, windowAt } = opened.lit;
  seen((at, most) => {
    const { window, light: lit } = windowAt(at, most / Math.max(at.right - at.left, at.bottom - at.top));
    return balancedCrop(window, lit);
  });
  report(0.65);
  if (said.white[1] < DARK) return refused('photo-dark', card, said);
  const pieces = piecesOf(field, tonesOf(field, light));
  const cuts = pieces.blobs.flatMap((blob) => {
    const mm = (px: number, from: number) => from + px / field.scale;
    const around = {
      left: mm(blob.left, field.left) - WINDOW_MARGIN_MM,
      top: mm(blob.top, field.top) - WINDOW_MARGIN_MM,
      right: mm(blob.right + 1, field.left) + WINDOW_MARGIN_MM,
      bottom: mm(blob.bottom + 1, field.top) + WINDOW_MARGIN_MM,
    };
    const { window, light: lit } = windowAt(
      around,
      Math.sqrt(WINDOW_PX / ((around.right - around.left) * (around.bottom - around.top))),
    );
    const tones = tonesOf(window, lit);
    const found = cutsOf(field, pieces, blob, window, tones, winged);
    return found.length > 0 ? [{ cut: found[0]!, rivals: found.slice(1), window, tones }] : [];
  });
  report(0.85);
  const whole = cuts.filter(({ cut }) => !cut.touchesEdge);
  if (cuts.length === 0) return refused('photo-nothing', card, said);
  if (whole.length === 0) return refused('photo-touches-edge', card, said);
  if (asked.pads) {
    const area = ({ cut: { depth } }: (typeof whole)[number]) => depth.reduce((sum, at) => sum + Number(at > 0), 0);
    const largest = Math.max(...whole.map((one) => area(one) / one.window.scale ** 2));
    const pads = whole
      .map((one) => ({ ...one, mm2: area(one) / one.window.scale ** 2 }))
      .filter(({ mm2 }) => mm2 > CRUMB * largest)
      .sort((a, b) => b.mm2 - a.mm2)
      .flatMap(
        ({ cut, window, tones }) =>
          caseColour(cut, tones, (found.edgePx / found.pxPerMm) * window.scale).told.case ?? [],
      );
    return pads.length === 0
      ? refused('photo-nothing', card, said)
      : { refused: null, card, light: said, insects: [], pads };
  }
  const insects: PhotoInsect[] = [];
  let small = 0;
  let ragged = 0;
  for (const { cut, rivals, window, tones } of whole) {
    const edgePx = (found.edgePx / found.pxPerMm) * window.scale;
    const stretch = asked.stretch ?? 0;
    const measured = (own: Cut) =>
      measureBody(
        own,
        { field: window, tones, card: found, camera },
        { printedScale: asked.printedScale, stretch, winged, tailed },
      );
    const own = measured(cut);
    if (!own) continue;
    const others = likelyRivals(
      rivalsOf(
        cut,
        rivals.map((rival) => ({ cut: rival, body: measured(rival) })),
      ),
    );
    const error = holdingRivals(
      own.error,
      own.bodyMm,
      others.map((other) => other.body.bodyMm),
    );
    const body = { ...own, error, sdMm: sdOfError(error) };
    if (body.bodyMm < LEAST_SLENDER * body.widthMm) continue;
    if ((body.bodyMm / asked.printedScale) * found.pxPerMm < LEAST_BODY_PX) {
      small++;
      continue;
    }
    const rough = raggedness(cut, body, window.scale);
    if (rough > RAGGED) {
      ragged++;
      continue;
    }
    // A pale grey piece with no colour is a patch of shade.
    if (cut.level < SHADE_OFF && whole.length > 1 && grey(cut, tones) < SHADE_CHROMA) continue;
    const warnings: Reason[] = [];
    const what = asked.what ?? 'body';
    if (what === 'body' && body.headLean < HEAD_SURE) warnings.push(reason('photo-head-unsure', {}));
    warnings.push(...unsureOf(body.bodyMm, body.error).map((code) => reason(code)));
    if (stretch > 0) warnings.push(reason('photo-stretched', { percent: Math.round(100 * stretch) }));
    if (window.clipped > 0.02) warnings.push(reason('photo-clipped', {}));
    const coloursOf = (from: Cut, line: BodyMeasure) =>
      what === 'case'
        ? caseColour(from, tones, edgePx)
        : regionColours(from, line.midlineMm, window, tones, asked.view, edgePx);
    const { told, veiled, contested } = withoutContested(
      coloursOf(cut, body),
      others.map((other) => coloursOf(other.cut, other.body)),
      body.mayBeWing,
    );
    const named = (list: readonly RegionId[]) => ({ regions: { list: list.map((id) => ({ kind: 'regions', id })) } });
    if (contested.length > 0) warnings.push(reason('photo-contested', named(contested)));
    if (veiled.length > 0) warnings.push(reason('photo-veiled', named(veiled)));
    insects.push({
      ...body,
      what,
      n: insects.length + 1,
      view: asked.view,
      surface: asked.surface,
      confidence: Math.max(LEAST_CONFIDENCE, Math.min(1, 1.6 - rough / 2) * confidenceOf(body.bodyMm, body.sdMm)),
      regions: told,
      veiled,
      warnings,
    });
  }
  report(1);
  // A crumb beside an insect is not a second one.
  const longest = Math.max(0, ...insects.map((insect) => insect.bodyMm));
  const kept = insects
    .filter((insect) => insect.bodyMm > 0.3 * longest)
    .map((insect, index) => ({ ...insect, n: index + 1 }));
  if (kept.length === 0)
    return refused(ragged > 0 ? 'photo-overlap' : small > 0 ? 'photo-small' : 'photo-nothing', card, said);
  return { refused: null, card, light: said, insects: kept, pads: [] };
}
