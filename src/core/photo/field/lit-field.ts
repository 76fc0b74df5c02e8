import type { CardSize } from '../card';
import { notPaper } from '../body/separate';
import { cameraOver, type Camera } from '../find/camera';
import type { FoundCard } from '../find/find-card';
import type { Photograph } from '../picture';
import { lightOf, lightWithin, near, refineLight, type Light } from './light';
import { fieldBounds, readField, rectify, type Bounds, type CardField } from './rectify';
import { tonesOf } from './tones';

const BLURRED_MM = 0.62;
const REACH_MM = 2.2;
/** Over the whole field, where light and insects are looked for: pixels, and at least so many of a millimetre. */
const COARSE_PX = 90_000;
const COARSE_LEAST = 6;
/** About one insect: pixels of a millimetre at most. */
const FINE = 24;
const LEAST_SCALE = 8;

/** The card as it was found in a photograph. */
export interface FieldCardSeen {
  size: CardSize;
  residualMm: number;
  tiltDeg: number;
  printedScale: number;
  pxPerMm: number;
}

/** The light of a photograph by its paper. */
export interface FieldLightSeen {
  white: readonly [number, number, number];
  unevenness: number;
}

/** The clear field of a photographed card under its own light, and a closer look at any piece of it. */
export interface LitField {
  camera: Camera;
  card: FieldCardSeen;
  field: CardField;
  light: Light;
  said: FieldLightSeen;
  /** A piece of it at so many pixels of a millimetre at most, with its light. */
  windowAt(at: Bounds, most: number): { window: CardField; light: Light };
}

/** Looks at the clear field from above and takes its light off; null where it is too blurred to be read. */
export function litField(
  photo: Photograph,
  found: FoundCard,
  printedScale: number,
  report: (done: number) => void,
): { ok: true; lit: LitField } | { ok: false; card: FieldCardSeen } {
  const camera = cameraOver(found.toPicture, photo.width, photo.height);
  const card = {
    size: found.size,
    residualMm: found.residualMm,
    tiltDeg: camera.tiltDeg,
    printedScale,
    pxPerMm: found.pxPerMm,
  };
  if (found.edgePx / found.pxPerMm > BLURRED_MM) return { ok: false, card };
  const bounds = fieldBounds(found);
  const picture = readField(photo, found);
  const area = (bounds.right - bounds.left) * (bounds.bottom - bounds.top);
  const field = rectify(picture, found, bounds, Math.max(COARSE_LEAST, Math.sqrt(COARSE_PX / area)));
  report(0.5);
  const first = lightOf(field);
  const rough = notPaper(field, tonesOf(field, first));
  const light = refineLight(field, first, near(rough.mask, field, 0.5), REACH_MM);
  const windowAt = (at: Bounds, most: number) => {
    const inside = {
      left: Math.max(bounds.left, at.left),
      top: Math.max(bounds.top, at.top),
      right: Math.min(bounds.right, at.right),
      bottom: Math.min(bounds.bottom, at.bottom),
    };
    const window = rectify(
      picture,
      found,
      inside,
      Math.min(most, Math.max(LEAST_SCALE, Math.min(FINE, found.pxPerMm))),
    );
    return { window, light: lightWithin(light, field, window) };
  };
  return {
    ok: true,
    lit: { camera, card, field, light, said: { white: first.white, unevenness: first.unevenness }, windowAt },
  };
}
