import { SKY_GREY, WATER_INDEX, WET_SCATTER_LOSS } from '../constants';
import { hexOfReflectance, reflectanceOf, type Reflectance } from './colour';

/** A film of a material, one channel: reflectance R over black, transmittance T, scattering and absorbing power. */
export interface Film {
  R: number;
  T: number;
  Sx: number;
  Kx: number;
}

const FLOOR = 0.003;
const within = (value: number) => Math.min(0.997, Math.max(FLOOR, value));

function filmOf(Sx: number, Kx: number): Film {
  const a = 1 + Kx / Sx;
  const b = Math.sqrt(a * a - 1);
  const sinh = Math.sinh(b * Sx);
  const cosh = Math.cosh(b * Sx);
  const denominator = a * sinh + b * cosh;
  return { R: sinh / denominator, T: b / denominator, Sx, Kx };
}

/** The film whose thick pad reflects `pad` (0–1) and which passes `transmittance` (0–1) of the light. Source: formulas §9. */
export function filmFromPad(pad: number, transmittance: number): Film {
  const R = within(pad);
  const a = (1 / R + R) / 2;
  let low = 1e-6;
  let high = 60;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (filmOf(middle, middle * (a - 1)).T > transmittance) low = middle;
    else high = middle;
  }
  const Sx = (low + high) / 2;
  return filmOf(Sx, Sx * (a - 1));
}

/** The same in one step: sinh(bSx + u) = b/T, where a = cosh u and b = sinh u. What lets through nothing is a thick pad. */
export function thinFilm(pad: number, transmittance: number): Film {
  const R = within(pad);
  const a = (1 / R + R) / 2;
  const b = Math.sqrt(a * a - 1);
  const Sx = Math.min(60, (Math.asinh(b / Math.max(1e-9, transmittance)) - Math.asinh(b)) / b);
  return filmOf(Math.max(1e-6, Sx), Math.max(1e-6, Sx) * (a - 1));
}

/** The same film wet: scattering is weaker, absorption is not. `absorbency` 0–1. */
export function wetFilm(film: Film, absorbency: number): Film {
  return filmOf(film.Sx * (1 - WET_SCATTER_LOSS * absorbency), film.Kx);
}

/** What is seen of a film over an underbody of reflectance `under`. */
export function over(film: Film, under: number): number {
  return film.R + (film.T ** 2 * under) / (1 - film.R * under);
}

/** A thick pad wet: the reflectance of an endless film of the wet material. */
export function wetPad(pad: number, absorbency = 1): number {
  const R = within(pad);
  const a = 1 + ((1 / R + R) / 2 - 1) / (1 - WET_SCATTER_LOSS * absorbency);
  return a - Math.sqrt(a * a - 1);
}

/** Opaque wet surface after Ångström (1925): the check for the film model. */
export function wetOpaque(reflectance: number): number {
  return reflectance / (WATER_INDEX ** 2 * (1 - reflectance) + reflectance);
}

/** One material of a stack: thick-pad colour, what 0.3 mm of it lets through (0 opaque), how it takes water. */
export interface LayerMaterial {
  hex: string;
  transmittance: number;
  absorbency: number;
}

function stacked(layers: readonly LayerMaterial[], wet: boolean): Reflectance {
  const pads = layers.map((layer) => reflectanceOf(layer.hex));
  return [0, 1, 2].map((channel) => {
    let seen = 0;
    layers.forEach((layer, index) => {
      const pad = pads[index]![channel]!;
      if (index === 0 || layer.transmittance <= 0.02) {
        seen = wet ? wetPad(pad, layer.absorbency) : pad;
        return;
      }
      const film = filmFromPad(pad, layer.transmittance);
      seen = over(wet ? wetFilm(film, layer.absorbency) : film, seen);
    });
    return seen;
  }) as Reflectance;
}

/** Colour of materials laid over one another, from the underbody up, dry and wet, as hex. About: three channels stand for the spectrum. */
export function stackColour(layers: readonly LayerMaterial[]): { dry: `#${string}`; wet: `#${string}` } {
  return { dry: hexOfReflectance(stacked(layers, false)), wet: hexOfReflectance(stacked(layers, true)) };
}

/** A natural's or a pad's colour once wet. */
export function wetHex(hex: string, absorbency = 1): `#${string}` {
  return hexOfReflectance(reflectanceOf(hex).map((pad) => wetPad(pad, absorbency)) as Reflectance);
}

const mixed = (one: string, other: string, share: number): `#${string}` => {
  const [first, second] = [reflectanceOf(one), reflectanceOf(other)];
  return hexOfReflectance(first.map((value, at) => share * value + (1 - share) * second[at]!) as Reflectance);
};

/** What is seen of `hex` where it covers only a share (0–1) of what lies beneath it. Source: formulas §9. */
export const openedTo = (hex: string, under: string, cover: number): `#${string}` => mixed(hex, under, cover);

/** What is seen of `hex` under water while a share (0–1) of it is air that mirrors the sky. Source: formulas §9. */
export const airHeld = (hex: string, share: number): `#${string}` => mixed(SKY_GREY, hex, share);
