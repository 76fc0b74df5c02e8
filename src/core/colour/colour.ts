import { converter, differenceCiede2000, formatHex, parseHex, type Lab65, type Rgb } from 'culori';
import type { Source } from '@/catalogue/ids';

/** CIE L*a*b* under D65. */
export type Lab = [L: number, a: number, b: number];
/** Linear-light reflectance of the three channels, 0–1. */
export type Reflectance = [r: number, g: number, b: number];

/** A colour as a record: what it is, on which surface and where it came from. */
export interface Colour {
  hex: `#${string}`;
  lab: Lab;
  surface: 'dry' | 'wet';
  source: Source;
}

const toLab = converter('lab65');
const toRgb = converter('rgb');
const toLinear = converter('lrgb');
const difference = differenceCiede2000();

const clamp = (value: number) => Math.min(1, Math.max(0, value));

function hexOf(colour: Rgb): `#${string}` {
  return formatHex({ mode: 'rgb', r: clamp(colour.r), g: clamp(colour.g), b: clamp(colour.b) }) as `#${string}`;
}

/** Reads `#rgb`, `#rrggbb` or `lab(L a b)` (also with commas). Null when it is none of these; L 0–100, a and b within ±160. */
export function parseColour(text: string): { hex: `#${string}`; lab: Lab } | null {
  const trimmed = text.trim();
  if (/^#([0-9a-f]{3}|[0-9a-f]{6})$/i.test(trimmed)) {
    const rgb = parseHex(trimmed) as Rgb;
    return { hex: hexOf(rgb), lab: labOfHex(trimmed) };
  }
  const lab = /^lab\(\s*(-?[\d.]+)[\s,]+(-?[\d.]+)[\s,]+(-?[\d.]+)\s*\)$/i.exec(trimmed);
  if (!lab) return null;
  const [L, a, b] = [Number(lab[1]), Number(lab[2]), Number(lab[3])];
  if (![L, a, b].every(Number.isFinite) || L < 0 || L > 100 || Math.abs(a) > 160 || Math.abs(b) > 160) return null;
  return { hex: hexOfLab([L, a, b]), lab: [L, a, b] };
}

export function labOfHex(hex: string): Lab {
  const { l, a, b } = toLab(hex) as Lab65;
  return [l, a, b];
}

/** CIELAB of an sRGB pixel, D65. */
export function labOfBytes(r: number, g: number, b: number): Lab {
  const { l, a, b: blue } = toLab({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 }) as Lab65;
  return [l, a, blue];
}

export function hexOfLab([l, a, b]: Lab): `#${string}` {
  return hexOf(toRgb({ mode: 'lab65', l, a, b }));
}

export function reflectanceOf(hex: string): Reflectance {
  const { r, g, b } = toLinear(hex)!;
  return [r, g, b];
}

/** CIELAB of linear light, D65. */
export function labOfReflectance([r, g, b]: Reflectance): Lab {
  const { l, a, b: blue } = toLab({ mode: 'lrgb', r, g, b }) as Lab65;
  return [l, a, blue];
}

export function hexOfReflectance([r, g, b]: Reflectance): `#${string}` {
  return hexOf(toRgb({ mode: 'lrgb', r: clamp(r), g: clamp(g), b: clamp(b) }));
}

/** CIEDE2000 between two colours. */
export function deltaE(a: Lab, b: Lab): number {
  return difference({ mode: 'lab65', l: a[0], a: a[1], b: a[2] }, { mode: 'lab65', l: b[0], a: b[1], b: b[2] });
}

export function colourOf(hex: string, surface: 'dry' | 'wet', source: Source): Colour {
  return { hex: hexOf(parseHex(hex) as Rgb), lab: labOfHex(hex), surface, source };
}

/** Whether a screen, and a hex, can show a colour: within a just seen difference of what it becomes there. */
export function isShown(lab: Lab): boolean {
  return deltaE(lab, labOfHex(hexOfLab(lab))) <= 1;
}
