import { Z95 } from '../../constants';

/** Half of a body's width above the card lies its middle line: as a share of the width, with how far that is out. */
export const MID_HEIGHT = 0.3;
const MID_HEIGHT_SD = 0.45;
/** How well an end is found: pixels, of the blur of an edge, of the body's half-width. */
const END_SD = { px: 0.46, ofBlur: 0.25, ofRadius: 0.035 } as const;
/** How well a midline is followed: of its length, more for each radian it turns, as much again for one it turns back, and for a turn too sharp to follow. */
const WAY_SD = { straight: 0.0025, perRadian: 0.004, perWander: 0.004, sharp: 0.09 } as const;
/** The marks of the card lie this far apart, mm. */
export const CARD_SPAN_MM = 75;
/** Fitted so that readings of simulated photographs are held as often as is said: docs/accuracy.md. */
const FITTED = 0.82;

/** What a length of a photograph may be out by, one standard deviation each, mm. */
export interface LengthError {
  /** Where the body ends, in a sharp picture; and how much more because it is blurred. */
  ends: number;
  blur: number;
  /** The line along the body: its curl and turns. */
  posture: number;
  /** How far the marks of the card lie from where they should. */
  card: number;
  /** How high the body's middle lies above the card, and the camera above it. */
  height: number;
  /** Where the abdomen falls to its tails. */
  root: number;
  /** A wing that may hide the end, or may have been taken for the body; readings of before have none. */
  wing?: number;
  /** A soft body that stretches. */
  stretch: number;
}

export interface MeasuredLength {
  bodyMm: number;
  mmPerPx: number;
  /** Of the picture: the width of a sharp edge, and half the body's width, px. */
  edgePx: number;
  radiusPx: number;
  /** Total turning of the midline, and how much of it is to and fro, radians; whether it turns too sharply to be followed. */
  turn: number;
  wander: number;
  sharp: boolean;
  /** How far the card's marks lie from its plan, mm. */
  residualMm: number;
  /** Middle of the body and the camera above the card, mm, and how well the camera is known, share. */
  raisedMm: number;
  cameraMm: number;
  cameraSd: number;
  /** Share by which soft bodies of its stage stretch. */
  stretch: number;
  /** How well the root of its tails is found, and how much a wing may hide, px; 0 where it has none. */
  rootPx: number;
  wingPx: number;
}

/** The parts of a length's ±, each by itself. Source: docs/accuracy.md. */
export function lengthError({
  bodyMm,
  mmPerPx,
  edgePx,
  radiusPx,
  turn,
  wander,
  sharp,
  residualMm,
  raisedMm,
  cameraMm,
  cameraSd,
  stretch,
  rootPx,
  wingPx,
}: MeasuredLength): Required<LengthError> {
  const bothEnds = (px: number) => FITTED * Math.SQRT2 * px * mmPerPx;
  return {
    ends: bothEnds(Math.hypot(END_SD.px, END_SD.ofRadius * radiusPx)),
    blur: bothEnds(END_SD.ofBlur * edgePx),
    posture:
      FITTED *
      bodyMm *
      (WAY_SD.straight + WAY_SD.perRadian * turn + WAY_SD.perWander * wander + (sharp ? WAY_SD.sharp : 0)),
    card: (FITTED * bodyMm * residualMm) / CARD_SPAN_MM,
    height: FITTED * bodyMm * (raisedMm / cameraMm) * Math.hypot(MID_HEIGHT_SD, cameraSd),
    root: rootPx * mmPerPx,
    wing: wingPx * mmPerPx,
    stretch: stretch * bodyMm,
  };
}

/** All of it together, one standard deviation, mm: the parts have causes of their own. */
export const sdOfError = (error: LengthError): number => Math.hypot(...Object.values(error));

/** A reading whose ± at 95 % is more than this share of it is less than sure. */
const SURE_SHARE = 0.04;

/** How sure a length is, 0–1, by its ± alone. */
export function confidenceOf(bodyMm: number, sdMm: number): number {
  return Math.min(1, (SURE_SHARE * bodyMm) / (Z95 * sdMm));
}

/** An end, or a line, that may be out by more than this share of the length, at 95 %, is asked for. */
const UNSURE = 0.04;

/** What of a reading must be asked for, as codes of reasons: where the body ends, and its line, which turns more sharply than bodies do and may have gone astray. */
export function unsureOf(
  bodyMm: number,
  { root, wing = 0, posture }: Pick<LengthError, 'root' | 'wing' | 'posture'>,
): ('photo-end-unsure' | 'photo-line-unsure')[] {
  const far = (sd: number) => Z95 * sd > UNSURE * bodyMm;
  return [
    ...(far(Math.hypot(root, wing)) ? ['photo-end-unsure' as const] : []),
    ...(far(posture) ? ['photo-line-unsure' as const] : []),
  ];
}

/** A rival length counts from this probability on. */
const RIVAL_LEAST = 0.06;
/** A length that it may have is held so many SD away. */
const HELD = 1.7;

/** SD that holds a length which is off by so much, in its unit. */
export const holding = (off: number): number => Math.abs(off) / HELD;

/** Rivals that are likely enough to count, each by its odds against what was taken. */
export function likelyRivals<T extends { odds: number }>(rivals: readonly T[]): T[] {
  const total = rivals.reduce((sum, { odds }) => sum + odds, 1);
  return rivals.filter(({ odds }) => odds / total >= RIVAL_LEAST);
}

/** The same ± grown to hold the lengths of rivals, mm. */
export function holdingRivals(error: LengthError, bodyMm: number, rivalsMm: readonly number[]): LengthError {
  return { ...error, wing: Math.max(error.wing ?? 0, ...rivalsMm.map((mm) => holding(mm - bodyMm))) };
}
