import type { CautionId, Evidence, FunctionId } from '@/catalogue/ids';

/** What a material looks like on a fly beyond its colour: flat barbs, a block, a clear bead, a clear cord, a ribbed ribbon, slim feather ends. */
export type Look = 'biot' | 'foam' | 'glass' | 'cord' | 'straw' | 'tips';

/** What a material is made from; it tells how it is sorted in a drawer. */
export const MATERIAL_KINDS = [
  'fur',
  'dubbing',
  'thread',
  'silk',
  'floss',
  'yarn',
  'quill',
  'biot',
  'herl',
  'cock',
  'soft',
  'fibre',
  'plume',
  'tailfibre',
  'hair',
  'film',
  'strip',
  'tubing',
  'foam',
  'chenille',
  'rubber',
  'tinsel',
  'wire',
  'weight',
  'bead',
  'loose',
  'liquid',
  'marker',
] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];
/** The shape it has in the hand, as a swatch shows it. */
export const DRAWN = [
  'lock',
  'spool',
  'skein',
  'quill',
  'biot',
  'herl',
  'feather',
  'plume',
  'hair',
  'strip',
  'wire',
  'sheet',
  'strand',
  'bead',
  'drop',
] as const;
export type Drawn = (typeof DRAWN)[number];
/** What its amount is told in. */
export const COUNTED = ['pinch', 'length', 'strand', 'piece', 'feather', 'fibres', 'bunch', 'bead', 'drop'] as const;
export type Counted = (typeof COUNTED)[number];
export const NEEDS = ['wax', 'glue', 'rib', 'resin', 'soak'] as const;
export type Need = (typeof NEEDS)[number];
/** What is to be asked of a feather or a skin before it is bought. */
export const PROTECTIONS = ['wild-feather', 'wild-skin'] as const;
export type Protection = (typeof PROTECTIONS)[number];

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
  /** The material that this one is a shade of, and the word for the shade; its facts are those of that one. */
  of?: string;
  shade?: string;
  kind: MaterialKind;
  /** Grams in a cubic centimetre of the stuff itself, its hollows with it. Typical. */
  density_g_cm3: number;
  /** 0 lies as it is pressed, 1 stands. */
  stiffness: number;
  /** 0 dull, 1 a mirror. */
  sparkle: number;
  /** 0 lasts, 1 breaks at the first fish. */
  fragility: number;
  /** Reference numbers of the largest and the smallest hook it is of use on. */
  hooks: readonly [largest: number, smallest: number];
  drawn: Drawn;
  counted: Counted;
  needs: readonly Need[];
  protection: Protection | null;
  /** What its figures rest on. */
  evidence: Evidence;
}

/** A colour that a material is sold or dyed in. */
export interface MaterialShade {
  id: string;
  /** The material. */
  of: string;
  /** Its word alone. */
  shade: string;
  /** Material and word. */
  name: string;
  /** Colour of a thick pad under D65. */
  hex: `#${string}`;
  /** A dye that gives back more light than falls on it: no reflectance stands for it, and it is not reckoned with. */
  bright: boolean;
}
