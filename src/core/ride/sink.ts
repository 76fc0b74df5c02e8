import { SINKING, WATER } from '../constants';

/** What falls through water: its mass and volume, and the area it shows the water below it. mg, mm³, mm². */
export interface Falling {
  massMg: number;
  volumeMm3: number;
  areaMm2: number;
}

/** Mass in water, mg: what it weighs more than the water it takes the place of. */
export const wetWeight = ({ massMg, volumeMm3 }: Pick<Falling, 'massMg' | 'volumeMm3'>): number =>
  massMg - WATER.density * volumeMm3;

/**
 * Speed it falls at freely, mm/s; 0 for what is no heavier than water. `diameterMm` is the length its Reynolds number goes by.
 * (m − ρV)g = ½ρC_dAv², C_d = 1 + 10·Re^(−2/3), Re = v·d/ν, iterated. Source: formulas §10.
 */
export function sinkSpeed(fly: Falling, diameterMm: number): number {
  const weight = wetWeight(fly) * WATER.gravity;
  if (weight <= 0 || fly.areaMm2 <= 0) return 0;
  // ½ρAv² in mN: ρ 1 mg/mm³, A mm², v mm/s make mg·mm/s², which is 1e−6 mN.
  const drag = (v: number) => {
    const re = (v * diameterMm) / WATER.viscosity;
    return 0.5e-6 * WATER.density * (1 + 10 * re ** (-2 / 3)) * fly.areaMm2 * v * v;
  };
  let [low, high] = [0, 1];
  while (drag(high) < weight) high *= 2;
  for (let n = 0; n < 60; n++) {
    const middle = (low + high) / 2;
    if (drag(middle) < weight) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Depth after so many seconds of a drift, mm, on a tippet that slows it. */
export const depthAfter = (speedMmS: number, seconds: number, tether: number = SINKING.tether.mean): number =>
  speedMmS * tether * seconds;
