import type { Drawn } from '@/core/materials';

/** A swatch as it is drawn: strokes of a width, and filled outlines, in a box of 64 by 20. */
export interface SwatchMarks {
  strokes: { d: string; width: number }[];
  fills: string[];
}

export const SWATCH = { width: 64, height: 20 } as const;
const { width: W, height: H } = SWATCH;

/** Numbers from −1 to 1 that are the same for the same shape. */
function wobble(seed: number): (at: number) => number {
  return (at) => {
    const value = Math.sin(seed * 12.9898 + at * 78.233) * 43758.5453;
    return 2 * (value - Math.floor(value)) - 1;
  };
}
const at = (value: number) => value.toFixed(1);
const many = (count: number, each: (index: number) => string) =>
  Array.from({ length: count }, (_, index) => each(index)).join('');

const strokes = (d: string, width: number, fills: string[] = []): SwatchMarks => ({ strokes: [{ d, width }], fills });

/** A stem with barbs on both sides, as long as the outline says at each place. */
function barbed(count: number, reach: (share: number) => number, slant: number): string {
  const y = H / 2;
  return `M2 ${y}H${W - 2}${many(count, (index) => {
    const share = index / (count - 1);
    const x = 4 + share * (W - 12);
    const long = reach(share);
    return `M${at(x)} ${y}L${at(x + slant)} ${at(y - long)}M${at(x)} ${y}L${at(x + slant)} ${at(y + long)}`;
  })}`;
}

const DRAWINGS: Readonly<Record<Drawn, () => SwatchMarks>> = {
  lock: () => {
    const by = wobble(3);
    return strokes(
      many(34, (index) => {
        const y = 1.5 + (index / 33) * (H - 3);
        const [from, to] = [2 + 3 * Math.abs(by(index)), W - 2 - 9 * Math.abs(by(index + 50))];
        return `M${at(from)} ${at(y)}C${at(W / 3)} ${at(y + 3 * by(index + 9))} ${at((2 * W) / 3)} ${at(y + 3 * by(index + 21))} ${at(to)} ${at(y + 2 * by(index + 33))}`;
      }),
      1,
    );
  },
  spool: () => ({
    strokes: [{ d: many(14, (index) => `M${at(9 + index * 3.5)} 2L${at(7.5 + index * 3.5)} ${H - 2}`), width: 3.2 }],
    fills: [`M2 0H6V${H}H2Z`, `M${W - 6} 0H${W - 2}V${H}H${W - 6}Z`],
  }),
  skein: () =>
    strokes(
      many(
        6,
        (index) =>
          `M1 ${at(2.5 + index * 3)}Q${W / 4} ${at(0.5 + index * 3)} ${W / 2} ${at(2.5 + index * 3)}T${W - 1} ${at(2.5 + index * 3)}`,
      ),
      2.8,
    ),
  quill: () => ({
    strokes: [{ d: `M4 ${H / 2 - 2}L${W - 3} ${H / 2}`, width: 1 }],
    fills: [`M2 ${H / 2 - 5}L${W - 2} ${H / 2}L2 ${H / 2 + 5}Z`],
  }),
  biot: () => ({
    strokes: [{ d: `M3 5Q${W / 2} 5 ${W - 4} ${H - 5}`, width: 2.2 }],
    fills: [`M2 4Q${W / 2} 3 ${W - 2} ${H - 4}Q${W / 2} ${H + 1} 2 ${H - 3}Z`],
  }),
  herl: () =>
    strokes(
      barbed(40, () => 4.5, 1.5),
      1.1,
    ),
  feather: () =>
    strokes(
      barbed(26, (share) => 9 * Math.sqrt(Math.max(0, 1 - share * 0.85)), 5),
      1.3,
    ),
  plume: () => {
    const by = wobble(8);
    const y = H / 2;
    return strokes(
      `M2 ${y}H${W / 2}${many(22, (index) => {
        const x = 6 + index * 1.9;
        const side = index % 2 === 0 ? -1 : 1;
        return `M${at(x)} ${y}C${at(x + 6)} ${at(y + side * 3)} ${at(x + 10)} ${at(y + side * (7 + 2 * by(index)))} ${at(Math.min(W - 1, x + 18))} ${at(y + side * (6 + 3 * by(index + 7)))}`;
      })}`,
      1.1,
    );
  },
  hair: () => {
    const by = wobble(5);
    return strokes(
      many(
        20,
        (index) =>
          `M2 ${at(H / 2 + (index - 9.5) * 0.45)}L${at(W - 2 - 4 * Math.abs(by(index)))} ${at(H / 2 + (index - 9.5) * 0.95)}`,
      ),
      1,
    );
  },
  strip: () => ({ strokes: [], fills: [`M2 4H${W - 2}V${H - 4}H2Z`] }),
  wire: () =>
    strokes(
      `M1 ${H / 2}${many(13, (index) => `Q${at(3.2 + index * 4.8)} ${index % 2 === 0 ? 2 : H - 2} ${at(5.6 + index * 4.8)} ${H / 2}`)}`,
      1.6,
    ),
  sheet: () => ({ strokes: [], fills: [`M2 1H${W - 10}L${W - 2} 9V${H - 1}H2Z`] }),
  strand: () =>
    strokes(
      `M1 4Q${W / 2} 1 ${W - 1} 6M1 ${H / 2}Q${W / 2} ${H / 2 + 3} ${W - 1} ${H / 2 - 1}M1 ${H - 4}Q${W / 2} ${H - 7} ${W - 1} ${H - 3}`,
      2.4,
    ),
  bead: () => ({
    strokes: [],
    fills: [12, 32, 52].map(
      (x) =>
        `M${x - 9} ${H / 2}A9 9 0 1 1 ${x + 9} ${H / 2}A9 9 0 1 1 ${x - 9} ${H / 2}M${x - 2.5} ${H / 2}A2.5 2.5 0 1 0 ${x + 2.5} ${H / 2}A2.5 2.5 0 1 0 ${x - 2.5} ${H / 2}Z`,
    ),
  }),
  drop: () => ({
    strokes: [],
    fills: [`M2 ${H / 2}C18 ${H / 2} 22 1 36 1A9.5 9 0 1 1 36 ${H - 1}C22 ${H - 1} 18 ${H / 2} 2 ${H / 2}Z`],
  }),
};

const drawn = new Map<Drawn, SwatchMarks>();

/** The shape a material has in the hand, as marks. */
export function swatchMarks(shape: Drawn): SwatchMarks {
  const known = drawn.get(shape) ?? DRAWINGS[shape]();
  drawn.set(shape, known);
  return known;
}
