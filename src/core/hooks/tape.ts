import { NUMBER_STEP, SD_STEPS, TAPE_HALF_MM, Z95 } from '../constants';
import type { Quantity } from '../quantity';
import type { Hook, HookRow } from './hook';
import { reads, readsGape } from './scale';
import { readSizeLabel } from './size-label';

/** One hook as a tier measured it, mm; what was not measured is null. `overallMm` runs from the front of the eye to the outside of the bend. */
export interface Taping {
  how: 'calliper' | 'glass';
  shankMm: number | null;
  gapeMm: number | null;
  overallMm: number | null;
  wireMm: number | null;
}

type Dimensions = Pick<Hook, 'shank' | 'gape' | 'wireDiameter' | 'eyeOuter'>;

/** What stands between shank and overall length: the eye, half the gape and the wire, mm. */
export interface Ends {
  gapeMm: number;
  wireMm: number;
  eyeMm: number;
}

const betweenOf = ({ gapeMm, wireMm, eyeMm }: Ends) => gapeMm / 2 + wireMm + eyeMm;

/** From the front of the eye to the outside of the bend, mm. */
export const overallOf = ({ shank, gape, wireDiameter, eyeOuter }: Dimensions): number =>
  shank.value + betweenOf({ gapeMm: gape.value, wireMm: wireDiameter.value, eyeMm: eyeOuter.value });

const GLASS_REPEATS = 3;

/** Half-width at 95 % of what was laid on the glass so many times. */
export function glassHalfMm(times: number): number {
  return times >= GLASS_REPEATS ? TAPE_HALF_MM.glassThrice : TAPE_HALF_MM.glass;
}

interface Reading {
  mm: number;
  how: Taping['how'];
}

/** Readings of one dimension as one: each by its own ±; the glass's ± does not shrink below its own however often it is used. */
function together(readings: readonly Reading[], calliperShare: number): Quantity | undefined {
  if (readings.length === 0) return undefined;
  const byGlass = readings.filter((reading) => reading.how === 'glass');
  const parts = readings
    .filter((reading) => reading.how === 'calliper')
    .map(({ mm }) => ({ mm, sd: mm * calliperShare }));
  if (byGlass.length > 0)
    parts.push({
      mm: byGlass.reduce((sum, { mm }) => sum + mm, 0) / byGlass.length,
      sd: glassHalfMm(byGlass.length) / Z95,
    });
  const weight = parts.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  return {
    value: parts.reduce((sum, { mm, sd }) => sum + mm / sd ** 2, 0) / weight,
    sd: 1 / Math.sqrt(weight),
    source: 'measured',
  };
}

/**
 * What was taped of one size, as one measure a dimension; a length from end to end stands in for a shank that was not read. A calliper
 * repeats a shank to ±3 %, the glass to ±0.3 mm, ±0.2 from three times on; wire is the micrometer's, ±0.01. Source: formulas §4, §6.
 */
export function tapedOf(tapings: readonly Taping[], ends: Ends | null): NonNullable<HookRow['taped']> {
  const share = NUMBER_STEP * SD_STEPS.known;
  const of = (pick: (taping: Taping) => number | null) =>
    tapings.flatMap((taping) => {
      const mm = pick(taping);
      return mm === null ? [] : [{ mm, how: taping.how }];
    });
  const gape = together(
    of((taping) => taping.gapeMm),
    share,
  );
  const wires = of((taping) => taping.wireMm);
  const wire: Quantity | undefined =
    wires.length === 0
      ? undefined
      : {
          value: wires.reduce((sum, { mm }) => sum + mm, 0) / wires.length,
          sd: TAPE_HALF_MM.micrometer / Z95 / Math.sqrt(wires.length),
          source: 'measured',
        };
  // Without eye and wire a length from end to end says nothing of the shank.
  const between =
    ends === null
      ? Infinity
      : betweenOf({ ...ends, gapeMm: gape?.value ?? ends.gapeMm, wireMm: wire?.value ?? ends.wireMm });
  const shank = together(
    of(
      (taping) =>
        taping.shankMm ??
        (taping.overallMm === null || taping.overallMm <= between ? null : taping.overallMm - between),
    ),
    share,
  );
  return { ...(shank ? { shank } : {}), ...(gape ? { gape } : {}), ...(wire ? { wire } : {}) };
}

/** A reading beside its label: how long and how wide it reads, and how far the label is off, in numbers; null where the label has no number. */
export interface Reads {
  label: string;
  long: number | null;
  wide: number | null;
  /** + when the hook is longer than its label. */
  off: number | null;
}

export function readsAgainst(label: string, shankMm: number | null, gapeMm: number | null): Reads {
  const size = readSizeLabel(label);
  const n = size.kind === 'number' ? size.n : size.kind === 'gape' ? readsGape(size.gapeMm) : null;
  const long = shankMm === null ? null : reads(shankMm);
  return {
    label,
    long,
    wide: gapeMm === null ? null : readsGape(gapeMm),
    off: n === null || long === null ? null : n - long,
  };
}
