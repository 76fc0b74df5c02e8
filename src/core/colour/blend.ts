import { hexOfReflectance, labOfReflectance, reflectanceOf, type Lab, type Reflectance } from './colour';
import { ciede2000, lightnessWeight } from './ciede2000';
import { over, thinFilm, wetFilm, wetPad } from './film';

/** Fibre mixed for mass: how strongly a fibre colours a mix (Stearns and Noechel 1944). */
const M = 0.15;
const FLOOR = 0.01;
/** A blend is weighed out in twentieths. */
export const TWENTIETHS = 20;

/** What a fibre of this reflectance adds to a mix, by mass; of a mix it is the mean of its parts. Source: formulas §9. */
export const blendPower = (R: number) => (1 - R) / (M * (R - FLOOR) + FLOOR);
/** The reflectance of a mix of this power. */
export const blendReflectance = (f: number) => (1 - FLOOR * f * (1 - M)) / (1 + f * M);

/** One thing that may go into a blend: thick-pad colour, how it takes water, what 0.3 mm of it lets through. */
export interface BlendShade {
  id: string;
  hex: string;
  absorbency: number;
  transmittance: number;
}

export interface BlendAsked {
  /** Colour to reach, as the blend is seen: dry, or wet; over an underbody where one is given. */
  target: Lab;
  wet: boolean;
  /** Hex of what lies under it; null: it is laid so thick that nothing shows through. */
  over: string | null;
  /** Most parts of a blend. */
  parts: 1 | 2 | 3;
  /** How many blends are wanted. */
  top: number;
}

export interface Blend {
  parts: { id: string; twentieths: number }[];
  /** As it is seen dry and wet, over the underbody where one was given. */
  dry: `#${string}`;
  wet: `#${string}`;
  labDry: Lab;
  labWet: Lab;
  /** CIEDE2000 to the target, in the state that was asked for. */
  deltaE: number;
}

/** How a mix is seen: its thick pad by channel to what the eye gets. */
function seenOf(pad: number, absorbency: number, transmittance: number, under: number | null, wet: boolean): number {
  if (under === null) return wet ? wetPad(pad, absorbency) : pad;
  const film = thinFilm(pad, transmittance);
  return over(wet ? wetFilm(film, absorbency) : film, under);
}

/** A blend of parts, in twentieths, as it is seen. */
function seenBlend(
  parts: readonly { shade: BlendShade; twentieths: number }[],
  under: Reflectance | null,
  wet: boolean,
): Reflectance {
  const mean = (of: (shade: BlendShade) => number) =>
    parts.reduce((sum, { shade, twentieths }) => sum + (of(shade) * twentieths) / TWENTIETHS, 0);
  const absorbency = mean((shade) => shade.absorbency);
  const transmittance = mean((shade) => shade.transmittance);
  return [0, 1, 2].map((channel) =>
    seenOf(
      blendReflectance(mean(({ hex }) => blendPower(reflectanceOf(hex)[channel]!))),
      absorbency,
      transmittance,
      under?.[channel] ?? null,
      wet,
    ),
  ) as Reflectance;
}

/** The luminance that lies so far from a lightness by lightness alone, a little beyond: |ΔL|/S_L grows all the way, for S_L never grows by more than 0.0075 a step. */
function luminanceAt(lightness: number, apart: number): number {
  const way = Math.sign(apart);
  let [near, far] = [0, 200];
  for (let step = 0; step < 60; step++) {
    const middle = (near + far) / 2;
    const L = lightness + way * middle;
    if (middle / lightnessWeight((L + lightness) / 2) > Math.abs(apart)) far = middle;
    else near = middle;
  }
  const L = lightness + way * (far + 1e-9);
  return L > 8 ? ((L + 16) / 116) ** 3 : L / K;
}

/** Parts of one blend while the best are looked for. */
interface Found {
  at: readonly number[];
  of: readonly number[];
  deltaE: number;
}

/** How many compositions there are of so many shades: singles, pairs, triples in twentieths. */
export function blendsOf(shades: number, parts: 1 | 2 | 3): number {
  const pairs = ((shades * (shades - 1)) / 2) * (TWENTIETHS - 1);
  const triples = ((shades * (shades - 1) * (shades - 2)) / 6) * (((TWENTIETHS - 1) * (TWENTIETHS - 2)) / 2);
  return shades + (parts > 1 ? pairs : 0) + (parts > 2 ? triples : 0);
}

/**
 * The best blends of up to three shades, in twentieths, for a colour: every composition is looked at, and one whose lightness alone lies farther than the
 * last of the best is left without its colour being worked out, which is exact. Of the same parts the best measures alone. Sorted by difference, then fewer parts, then ids. `report` hears how much is done; what it says false to ends the search.
 */
export function solveBlend(
  shades: readonly BlendShade[],
  { target, wet, over: hex, parts, top }: BlendAsked,
  report: (done: number) => boolean = () => true,
): { blends: Blend[]; tried: number } {
  const known = [...shades].sort((a, b) => a.id.localeCompare(b.id));
  const under = hex === null ? null : reflectanceOf(hex);
  const powers = known.map((shade) => reflectanceOf(shade.hex).map(blendPower) as Reflectance);
  const best: Found[] = [];
  let worst = Infinity;
  // Beyond these luminances lightness alone lies farther than the last of the best.
  let dark = -Infinity;
  let light = Infinity;
  let tried = 0;
  const plain = under === null && !wet;
  const before = (a: Found, b: Found) =>
    a.deltaE - b.deltaE ||
    a.at.length - b.at.length ||
    a.at.reduce((sign, at, index) => sign || at - b.at[index]!, 0) ||
    a.of.reduce((sign, of, index) => sign || b.of[index]! - of, 0);
  const look = (
    f0: number,
    f1: number,
    f2: number,
    absorbency: number,
    through: number,
    at: number[],
    of: number[],
  ) => {
    tried++;
    let r = blendReflectance(f0);
    let g = blendReflectance(f1);
    let b = blendReflectance(f2);
    if (!plain) {
      r = seenOf(r, absorbency, through, under?.[0] ?? null, wet);
      g = seenOf(g, absorbency, through, under?.[1] ?? null, wet);
      b = seenOf(b, absorbency, through, under?.[2] ?? null, wet);
    }
    const Y = 0.2126390058715102 * r + 0.715168678767756 * g + 0.0721923153607337 * b;
    if (Y < dark || Y > light) return;
    const y = lightOf(Y);
    const L = 116 * y - 16;
    const x = lightOf((0.4123907992659593 * r + 0.357584339383878 * g + 0.1804807884018343 * b) / WHITE_X);
    const z = lightOf((0.0193308187155918 * r + 0.119194779794626 * g + 0.9505321522496607 * b) / WHITE_Z);
    const deltaE = ciede2000(target[0], target[1], target[2], L, 500 * (x - y), 200 * (y - z));
    if (deltaE > worst) return;
    const found = { at: [...at], of: [...of], deltaE };
    // Of the same parts the best measures alone: alternatives differ in what they need.
    const same = best.findIndex(
      (own) => own.at.length === at.length && own.at.every((part, index) => part === at[index]),
    );
    if (same >= 0) {
      if (before(found, best[same]!) >= 0) return;
      best.splice(same, 1);
    }
    let place = best.length;
    while (place > 0 && before(found, best[place - 1]!) < 0) place--;
    if (place >= top) return;
    best.splice(place, 0, found);
    if (best.length > top) best.pop();
    if (best.length < top) return;
    worst = best[top - 1]!.deltaE;
    dark = luminanceAt(target[0], -worst);
    light = luminanceAt(target[0], worst);
  };
  const n = known.length;
  for (let i = 0; i < n; i++) {
    const [p, own] = [powers[i]!, known[i]!];
    look(p[0], p[1], p[2], own.absorbency, own.transmittance, [i], [TWENTIETHS]);
  }
  if (parts > 1)
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        const [p, q, one, two] = [powers[i]!, powers[j]!, known[i]!, known[j]!];
        for (let of = 1; of < TWENTIETHS; of++) {
          const [u, v] = [of / TWENTIETHS, 1 - of / TWENTIETHS];
          look(
            p[0] * u + q[0] * v,
            p[1] * u + q[1] * v,
            p[2] * u + q[2] * v,
            one.absorbency * u + two.absorbency * v,
            one.transmittance * u + two.transmittance * v,
            [i, j],
            [of, TWENTIETHS - of],
          );
        }
      }
  const at = [0, 0, 0];
  const of = [0, 0, 0];
  if (parts > 2)
    for (let i = 0; i < n; i++) {
      if (!report(i / n)) break;
      at[0] = i;
      for (let j = i + 1; j < n; j++) {
        at[1] = j;
        for (let k = j + 1; k < n; k++) {
          at[2] = k;
          const [p, q, s, one, two, three] = [powers[i]!, powers[j]!, powers[k]!, known[i]!, known[j]!, known[k]!];
          for (let a = 1; a <= TWENTIETHS - 2; a++)
            for (let b = 1; b <= TWENTIETHS - 1 - a; b++) {
              const u = a / TWENTIETHS;
              const v = b / TWENTIETHS;
              const w = (TWENTIETHS - a - b) / TWENTIETHS;
              of[0] = a;
              of[1] = b;
              of[2] = TWENTIETHS - a - b;
              look(
                p[0] * u + q[0] * v + s[0] * w,
                p[1] * u + q[1] * v + s[1] * w,
                p[2] * u + q[2] * v + s[2] * w,
                one.absorbency * u + two.absorbency * v + three.absorbency * w,
                one.transmittance * u + two.transmittance * v + three.transmittance * w,
                at,
                of,
              );
            }
        }
      }
    }
  report(1);
  return {
    tried,
    blends: best.map(({ at: places, of: twentieths }) => {
      const mix = places.map((place, index) => ({ shade: known[place]!, twentieths: twentieths[index]! }));
      const [dry, soaked] = [seenBlend(mix, under, false), seenBlend(mix, under, true)];
      const [labDry, labWet] = [labOfReflectance(dry), labOfReflectance(soaked)];
      return {
        parts: mix.map(({ shade, twentieths: part }) => ({ id: shade.id, twentieths: part })),
        dry: hexOfReflectance(dry),
        wet: hexOfReflectance(soaked),
        labDry,
        labWet,
        deltaE: ciede2000(...target, ...(wet ? labWet : labDry)),
      };
    }),
  };
}

const WHITE_X = 0.3127 / 0.329;
const WHITE_Z = (1 - 0.3127 - 0.329) / 0.329;
const E = 216 / 24389;
const K = 24389 / 27;
const lightOf = (t: number) => (t > E ? Math.cbrt(t) : (K * t + 16) / 116);

/** Near-equal blends that differ in what they need: the best, then each that shares at most one part with those before it; where there are too few, the next best. */
export function spread(blends: readonly Blend[], most: number): Blend[] {
  const apart: Blend[] = [];
  const shared = (a: Blend, b: Blend) => a.parts.filter(({ id }) => b.parts.some((own) => own.id === id)).length;
  for (const blend of blends)
    if (apart.length < most && apart.every((own) => shared(own, blend) < Math.max(1, Math.min(2, blend.parts.length))))
      apart.push(blend);
  const others = blends.filter((blend) => !apart.includes(blend));
  return [...apart, ...others.slice(0, most - apart.length)].sort((a, b) => blends.indexOf(a) - blends.indexOf(b));
}
