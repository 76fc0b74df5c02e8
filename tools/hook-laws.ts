import type { BarbId, BendId, EyeId, PointId, WireId } from '../src/catalogue/ids';

/** One made-up model: how its labels run and how its iron differs from them. `level` and `gape` multiply what the label promises. */
export interface ModelLaw {
  maker: string;
  model: string;
  name: string;
  bend: BendId;
  eye: EyeId;
  point: PointId;
  barb: BarbId;
  wire: WireId;
  xLong: number;
  xHeavy: number;
  sizes: string[];
  level: number;
  gape: number;
  /** Dimensions the maker does not print. */
  leaves: ('bite_mm' | 'wire_mm' | 'eye_mm' | 'mass_mg')[];
}

function numbers(from: number, to: number, step = 2): string[] {
  return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => String(from + index * step));
}

const GAPES = ['V21', 'V25', 'V29', 'V34', 'V40', 'V47', 'V55', 'V64', 'V75'];

interface Habit {
  maker: string;
  level: number;
  gape: number;
  barb: BarbId;
  point: PointId;
  leaves: ModelLaw['leaves'];
}

const HABITS = {
  ravelin: { maker: 'ravelin', level: 1.0, gape: 1.0, barb: 'barbed', point: 'straight', leaves: [] },
  osmere: { maker: 'osmere', level: 1.088, gape: 1.03, barb: 'micro', point: 'in', leaves: ['mass_mg'] },
  tholeby: { maker: 'tholeby', level: 0.92, gape: 1.1, barb: 'none', point: 'in', leaves: ['bite_mm'] },
  kyrewood: { maker: 'kyrewood', level: 1.01, gape: 0.98, barb: 'barbed', point: 'straight', leaves: ['bite_mm', 'mass_mg'] },
  bessock: { maker: 'bessock', level: 0.98, gape: 0.97, barb: 'micro', point: 'out', leaves: [] },
  vantry: { maker: 'vantry', level: 1.03, gape: 1.0, barb: 'barbed', point: 'straight', leaves: ['mass_mg'] },
} satisfies Record<string, Habit>;

type Shape = Pick<ModelLaw, 'model' | 'name' | 'bend' | 'eye' | 'wire' | 'xLong' | 'xHeavy' | 'sizes'> & Partial<ModelLaw>;
const of = (habit: Habit, shapes: Shape[]): ModelLaw[] => shapes.map((shape) => ({ ...habit, ...shape }));

/** Forty-two models of six made-up makers. */
export const MODEL_LAWS: readonly ModelLaw[] = [
  ...of(HABITS.ravelin, [
    { model: 'plain-dry', name: 'Plain Dry', bend: 'round', eye: 'down', wire: 'light', xLong: 0, xHeavy: -2, sizes: numbers(6, 26) },
    { model: 'long-dry', name: 'Long Dry', bend: 'round', eye: 'down', wire: 'light', xLong: 3, xHeavy: -2, sizes: numbers(4, 14) },
    { model: 'stout-wet', name: 'Stout Wet', bend: 'round', eye: 'down', wire: 'heavy', xLong: 0, xHeavy: 2, sizes: numbers(4, 20) },
    { model: 'long-nymph', name: 'Long Nymph', bend: 'round', eye: 'down', wire: 'heavy', xLong: 3, xHeavy: 2, sizes: numbers(4, 16) },
    { model: 'emerger-bend', name: 'Emerger Bend', bend: 'curved-shank', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: numbers(6, 24) },
    { model: 'grub-bend', name: 'Grub Bend', bend: 'continuous-curve', eye: 'down', wire: 'heavy', xLong: 0, xHeavy: 2, sizes: numbers(6, 22) },
    { model: 'long-six', name: 'Long Six', bend: 'round', eye: 'ring', wire: 'heavy', xLong: 6, xHeavy: 2, sizes: numbers(2, 10) },
  ]),
  ...of(HABITS.osmere, [
    { model: 'lark', name: 'Lark', bend: 'round', eye: 'down', wire: 'light', xLong: 0, xHeavy: -2, sizes: numbers(8, 24) },
    { model: 'lark-long', name: 'Lark Long', bend: 'round', eye: 'down', wire: 'light', xLong: 3, xHeavy: -2, sizes: numbers(4, 14), level: 1.07 },
    { model: 'heron', name: 'Heron', bend: 'round', eye: 'down', wire: 'heavy', xLong: 0, xHeavy: 2, sizes: numbers(6, 20) },
    { model: 'heron-long', name: 'Heron Long', bend: 'round', eye: 'down', wire: 'heavy', xLong: 4, xHeavy: 2, sizes: numbers(6, 16) },
    { model: 'wren', name: 'Wren', bend: 'curved-shank', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: numbers(8, 24) },
    { model: 'swift', name: 'Swift', bend: 'wide', eye: 'ring', wire: 'light', xLong: 0, xHeavy: -2, sizes: numbers(8, 20), gape: 1.14 },
    { model: 'egret', name: 'Egret', bend: 'round', eye: 'down', wire: 'heavy', xLong: 5, xHeavy: 2, sizes: numbers(2, 8) },
  ]),
  ...of(HABITS.tholeby, [
    { model: 'short-wide', name: 'Short Wide', bend: 'wide', eye: 'down', wire: 'light', xLong: 0, xHeavy: -2, sizes: numbers(6, 20), gape: 1.16 },
    { model: 'jig-sixty', name: 'Jig Sixty', bend: 'jig', eye: 'jig-60', wire: 'standard', xLong: 0, xHeavy: 0, sizes: numbers(4, 20) },
    { model: 'jig-square', name: 'Jig Square', bend: 'jig', eye: 'jig-90', wire: 'heavy', xLong: 0, xHeavy: 2, sizes: numbers(6, 18) },
    { model: 'deep-curve', name: 'Deep Curve', bend: 'curved-shank', eye: 'down', wire: 'heavy', xLong: 0, xHeavy: 2, sizes: numbers(6, 20) },
    { model: 'full-curve', name: 'Full Curve', bend: 'continuous-curve', eye: 'ring', wire: 'standard', xLong: 0, xHeavy: 0, sizes: numbers(6, 22) },
    { model: 'stone-long', name: 'Stone Long', bend: 'round', eye: 'ring', wire: 'heavy', xLong: 4, xHeavy: 2, sizes: numbers(4, 14) },
    { model: 'bare-dry', name: 'Bare Dry', bend: 'round', eye: 'down', wire: 'light', xLong: 0, xHeavy: -2, sizes: numbers(8, 24), gape: 1.04 },
    { model: 'bare-nymph', name: 'Bare Nymph', bend: 'round', eye: 'down', wire: 'heavy', xLong: 1, xHeavy: 2, sizes: numbers(6, 18), gape: 1.04 },
  ]),
  ...of(HABITS.kyrewood, [
    { model: 'dry-1x', name: 'Dry 1X', bend: 'round', eye: 'down', wire: 'light', xLong: 1, xHeavy: -2, sizes: numbers(10, 26) },
    { model: 'dry-3x', name: 'Dry 3X', bend: 'round', eye: 'down', wire: 'light', xLong: 3, xHeavy: -2, sizes: numbers(6, 16), level: 0.985 },
    { model: 'nymph-2x', name: 'Nymph 2X', bend: 'round', eye: 'down', wire: 'heavy', xLong: 2, xHeavy: 2, sizes: numbers(6, 20) },
    { model: 'stone-4x', name: 'Stone 4X', bend: 'round', eye: 'down', wire: 'heavy', xLong: 4, xHeavy: 2, sizes: numbers(8, 16), level: 0.985 },
    { model: 'hatch-curve', name: 'Hatch Curve', bend: 'curved-shank', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: numbers(8, 22) },
    { model: 'jig-forty-five', name: 'Jig Forty-five', bend: 'jig', eye: 'jig-45', wire: 'heavy', xLong: 0, xHeavy: 2, sizes: numbers(8, 18), barb: 'none' },
    { model: 'smooth-dry', name: 'Smooth Dry', bend: 'round', eye: 'ring', wire: 'light', xLong: 1, xHeavy: -2, sizes: numbers(10, 24), barb: 'none' },
    { model: 'smooth-nymph', name: 'Smooth Nymph', bend: 'round', eye: 'down', wire: 'heavy', xLong: 2, xHeavy: 2, sizes: numbers(8, 18), barb: 'none' },
  ]),
  ...of(HABITS.bessock, [
    { model: 'fine', name: 'Fine', bend: 'round', eye: 'down', wire: 'light', xLong: 0, xHeavy: -3, sizes: numbers(9, 22, 1) },
    { model: 'fine-long', name: 'Fine Long', bend: 'round', eye: 'down', wire: 'light', xLong: 3, xHeavy: -3, sizes: numbers(4, 13, 1) },
    { model: 'fine-curve', name: 'Fine Curve', bend: 'curved-shank', eye: 'down', wire: 'light', xLong: 0, xHeavy: -2, sizes: numbers(8, 21, 1) },
    { model: 'fine-wide', name: 'Fine Wide', bend: 'wide', eye: 'up', wire: 'light', xLong: 0, xHeavy: -3, sizes: numbers(11, 19, 1), gape: 1.12 },
    { model: 'smut', name: 'Smut', bend: 'round', eye: 'ring', wire: 'light', xLong: -1, xHeavy: -2, sizes: numbers(16, 24, 1) },
    { model: 'drop-curve', name: 'Drop Curve', bend: 'continuous-curve', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: numbers(10, 20, 1) },
  ]),
  ...of(HABITS.vantry, [
    { model: 'series-v', name: 'Series V', bend: 'round', eye: 'down', wire: 'light', xLong: 0, xHeavy: -2, sizes: GAPES },
    { model: 'series-v-long', name: 'Series V Long', bend: 'round', eye: 'down', wire: 'heavy', xLong: 3, xHeavy: 2, sizes: GAPES },
    { model: 'series-v-stout', name: 'Series V Stout', bend: 'round', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: GAPES },
    { model: 'series-v-curve', name: 'Series V Curve', bend: 'curved-shank', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: GAPES },
    { model: 'series-v-jig', name: 'Series V Jig', bend: 'jig', eye: 'jig-60', wire: 'standard', xLong: 0, xHeavy: 0, sizes: GAPES.slice(1), barb: 'none' },
    { model: 'series-v-wide', name: 'Series V Wide', bend: 'wide', eye: 'down', wire: 'standard', xLong: 0, xHeavy: 0, sizes: GAPES, gape: 1.0 },
  ]),
];
