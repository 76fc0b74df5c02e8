import { BEHIND_SHARE, FOAM_LIFT, SOAKS_S, WATER, WETTING } from '../constants';

/** One thing of a fly that the water bears: what lies in the film, tips that stand on it, air it holds. mm, mm³. */
export interface Afloat {
  lyingMm: number;
  tips: number;
  airMm3: number;
  /** Of what lies, the share in the front third of the hook. */
  front: number;
  sheds: boolean;
  /** 0 sheds water for ever, 1 soaks. */
  absorbency: number;
}

/** What bears a fly, mg: tips, what lies before and behind, air. */
export interface Bearing {
  tipsMg: number;
  frontMg: number;
  behindMg: number;
  airMg: number;
}

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** mg that a mm lying in the film bears: 2γ·sin(min(θ, 90°)). */
const lyingMgMm = (sheds: boolean) =>
  (2 * WATER.tension * Math.sin(rad(Math.min(sheds ? WETTING.sheds : WETTING.takes, 90)))) / WATER.gravity;

/** mg that one tip bears: π·d·γ·|cos θ|, and none that takes water. */
const tipMg = (sheds: boolean) =>
  sheds ? (Math.PI * WETTING.tipMm * WATER.tension * Math.abs(Math.cos(rad(WETTING.sheds)))) / WATER.gravity : 0;

/** What is left of repellence after so many seconds afloat, 0 to 1. */
const leftDry = (absorbency: number, seconds: number) => Math.exp((-absorbency * seconds) / SOAKS_S);

/** What bears a fly after so many seconds afloat; soaked (null seconds) only what holds its air. Source: formulas §10. */
export function bearingOf(parts: readonly Afloat[], seconds: number | null): Bearing {
  const all: Bearing = { tipsMg: 0, frontMg: 0, behindMg: 0, airMg: 0 };
  for (const { lyingMm, tips, airMm3, front, sheds, absorbency } of parts) {
    const dry = seconds === null ? 0 : leftDry(absorbency, seconds);
    const lying = dry * lyingMm * lyingMgMm(sheds);
    all.tipsMg += dry * tips * tipMg(sheds);
    all.frontMg += front * lying;
    all.behindMg += (1 - front) * lying;
    // Closed cells keep their air; what is caught between fibres goes with their repellence.
    all.airMg += FOAM_LIFT * airMm3 * (absorbency === 0 ? 1 : dry);
  }
  return all;
}

/** How a fly rides on what bears it, and how surely: what bears it over what it weighs; null where nothing does. */
export function afloat(
  { tipsMg, frontMg, behindMg, airMg }: Bearing,
  massMg: number,
): { state: 'high' | 'film' | 'hanging'; margin: number } | { state: null; margin: number } {
  const high = (tipsMg + airMg) / massMg;
  if (high >= 1) return { state: 'high', margin: high };
  const film = (tipsMg + frontMg + behindMg + airMg) / massMg;
  if (film >= 1 && (behindMg + tipsMg + airMg) / massMg >= BEHIND_SHARE) return { state: 'film', margin: film };
  const hanging = (frontMg + airMg) / massMg;
  return hanging >= 1 ? { state: 'hanging', margin: hanging } : { state: null, margin: film };
}
