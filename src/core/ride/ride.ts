import type { RideId } from '@/catalogue/ids';
import { SINKING, UNDER_MM_S } from '../constants';
import { afloat, bearingOf } from './float';
import { hookVolume, type FlyInWater } from './of-card';
import { depthAfter, sinkSpeed } from './sink';

/** How a fly rides: mg, mm³, mm/s, mm, s. */
export interface Ride {
  state: RideId;
  /** What bears it over what it weighs; below 1 it sinks. */
  margin: number;
  massMg: number;
  volumeMm3: number;
  /** Weight in water, mg. */
  wetMg: number;
  /** Sinking freely; null while it floats. */
  sinkMmS: number | null;
  /** Until it sinks from where it floats dry; null where it sinks at once or its own air bears it. */
  floatS: number | null;
}

/** It is looked for up to an hour. */
const LONGEST_S = 3600;

/** How a fly rides after so many seconds afloat; soaked through for null. Source: formulas §10. */
export function rideOf(fly: FlyInWater, seconds: number | null): Ride {
  const sum = (of: 'massMg' | 'volumeMm3' | 'areaMm2') => fly.parts.reduce((all, part) => all + part[of], 0);
  const massMg = fly.hookMg + sum('massMg');
  // Air that is held keeps its room under water; between soaked fibres there is water.
  const air = fly.parts.reduce((all, part) => all + (part.absorbency === 0 ? part.airMm3 : 0), 0);
  const volumeMm3 = hookVolume(fly.hookMg) + sum('volumeMm3') + air;
  const attitude = fly.weightMg > fly.hookMg ? SINKING.headFirst : SINKING.level;
  const falling = { massMg, volumeMm3, areaMm2: attitude * fly.lengthMm * fly.thickMm + sum('areaMm2') };
  const speed = sinkSpeed(falling, fly.thickMm);
  const at = (after: number | null) => afloat(bearingOf(fly.parts, after), massMg);
  const now = at(seconds);
  const wetMg = massMg - volumeMm3;
  if (now.state === null)
    return {
      state: speed <= UNDER_MM_S ? 'under' : 'sink',
      margin: now.margin,
      massMg,
      volumeMm3,
      wetMg,
      sinkMmS: speed,
      floatS: null,
    };
  let [low, high] = [seconds ?? 0, LONGEST_S];
  const forEver = at(null).state !== null || at(high).state !== null;
  if (!forEver)
    while (high - low > 1) {
      const middle = (low + high) / 2;
      if (at(middle).state === null) high = middle;
      else low = middle;
    }
  return {
    state: now.state,
    margin: now.margin,
    massMg,
    volumeMm3,
    wetMg,
    sinkMmS: null,
    floatS: forEver ? null : low,
  };
}

/** Depth at the end of a drift in water of this speed, mm; null for what floats. */
export const depthOverDrift = ({ sinkMmS }: Pick<Ride, 'sinkMmS'>, currentMmS: number): number | null =>
  sinkMmS === null || currentMmS <= 0 ? null : depthAfter(sinkMmS, SINKING.driftMm / currentMmS);
