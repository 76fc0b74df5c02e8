import type { CautionId, FunctionId } from '@/catalogue/ids';

/** What a material looks like on a fly beyond its colour: flat barbs, a block, a clear bead, a clear cord, a ribbed ribbon, slim feather ends. */
export type Look = 'biot' | 'foam' | 'glass' | 'cord' | 'straw' | 'tips';

/** A tying material: what it does, its colour as a thick pad, and how it takes water. */
export interface Material {
  id: string;
  name: string;
  functions: FunctionId[];
  /** Thick-pad colour under D65; null where the natural decides (dyed to match). */
  hex: `#${string}`;
  floats: boolean;
  /** 0 sheds water, 1 soaks. */
  absorbency: number;
  /** Share of light that 0.3 mm lets through; 0 opaque. */
  transmittance: number;
  caution: CautionId | null;
  /** Threads only: grams per 9,000 m and fibre. */
  denier: number | null;
  fibre: 'nylon' | 'polyester' | 'gel-spun' | 'silk' | null;
  /** Width of one turn as it lies, mm; null for what is not wound. */
  lay_mm: number | null;
  /** Length of one piece that can be wound, mm; null where it comes off a spool. */
  usable_mm: number | null;
  /** Whether it can be had in any shade, in a few, or only as it grew. */
  shades: 'any' | 'few' | 'one';
  /** How it is drawn where that does not follow from what it does. */
  look?: Look;
  /** The shipped material that one of the tier's own behaves like. */
  like?: string;
}
