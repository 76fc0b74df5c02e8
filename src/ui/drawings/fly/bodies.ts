import type { FunctionId } from '@/catalogue/ids';
import type { Mark } from '@/core/hooks/drawn';
import { hairs, INK, on, bandOutline, path, turns, type Stretch } from './brush';
import { smooth } from '@/core/hooks/drawn';

/** Thickness from rear to front, as shares of the greatest. */
export const PROFILE = {
  taper: (u: number) => 0.62 + 0.38 * Math.min(1, u * 1.2),
  round: (u: number) => 0.62 + 0.38 * Math.sin(Math.PI * Math.min(1, Math.max(0, u))),
  even: (u: number) => 0.86 + 0.14 * Math.sin(Math.PI * u),
  ball: (u: number) => Math.max(0.15, Math.sqrt(Math.max(0, 1 - (2 * u - 1) ** 2))),
  spindle: (u: number) => 0.5 + 0.5 * Math.sin(Math.PI * (0.12 + 0.76 * u)),
} as const;

/** Where a body begins to run down to its head, and how far. */
const NOSE = { from: 0.72, down: 0.62 } as const;

/** A profile that ends at a head, not at a wall. */
export function nosed(profile: (u: number) => number): (u: number) => number {
  return (u) => profile(u) * (1 - NOSE.down * Math.max(0, (u - NOSE.from) / (1 - NOSE.from)) ** 2);
}

const lengthOf = ({ from, to }: Stretch) => Math.abs(from - to);

/** How a body of each material looks: wash, outline and the texture a tier knows it by. `wound` is its number of turns where that is known. */
export function bodyMarks(stretch: Stretch, does: FunctionId | null, colour: string, wound: number | null): Mark[] {
  const thick = 2 * stretch.half(0.5);
  const mm = lengthOf(stretch);
  const wash = (more: Partial<Mark> = {}): Mark => ({
    d: path(bandOutline(stretch), true),
    fill: colour,
    stroke: INK,
    width: 1,
    ...more,
  });
  const count = wound ?? Math.max(3, mm / 0.7);
  switch (does) {
    case 'body.dubbed':
    case 'head.dubbed':
      return [
        wash({ width: 0.8 }),
        { d: hairs(stretch, Math.round(10 + mm * 5), Math.min(0.35, thick * 0.22), 0.55), stroke: colour, width: 1.2 },
        {
          d: hairs(stretch, Math.round(8 + mm * 3), Math.min(0.3, thick * 0.18), 0.55),
          stroke: INK,
          width: 0.5,
          opacity: 0.5,
        },
      ];
    case 'body.herl':
      return [
        { d: hairs(stretch, Math.round(14 + mm * 9), Math.min(0.5, thick * 0.32), 0.2), stroke: colour, width: 1.2 },
        wash({ width: 0.6 }),
        { d: turns(stretch, Math.min(14, count), 0.5), stroke: INK, width: 0.6, opacity: 0.5 },
        {
          d: hairs(stretch, Math.round(6 + mm * 4), Math.min(0.45, thick * 0.28), 0.2),
          stroke: INK,
          width: 0.45,
          opacity: 0.5,
        },
      ];
    case 'body.quill':
      return [wash(), { d: turns(stretch, Math.min(16, count), 0.35), stroke: INK, width: 1.5, opacity: 0.6 }];
    case 'body.biot':
      return [
        wash(),
        { d: turns(stretch, Math.min(12, count), 0.6), stroke: INK, width: 1.1, opacity: 0.75 },
        { d: turns(stretch, Math.min(12, count), 0.6, 1.12), stroke: INK, width: 0.5, opacity: 0.6 },
      ];
    case 'body.tubing': {
      const rings = Math.max(4, Math.min(14, Math.round(count)));
      const bulged: Stretch = {
        ...stretch,
        half: (u) => stretch.half(u) * (0.93 + 0.07 * Math.abs(Math.sin(Math.PI * rings * u))),
      };
      return [
        { d: path(bandOutline(bulged, rings * 5), true), fill: colour, stroke: INK, width: 1, opacity: 0.92 },
        { d: turns(stretch, rings, 0.3), stroke: INK, width: 0.6, opacity: 0.45 },
        {
          d: smooth([on(stretch, 0.08, 0.5), on(stretch, 0.5, 0.55), on(stretch, 0.92, 0.5)], false),
          stroke: 'var(--plane)',
          width: 1.6,
          opacity: 0.6,
        },
      ];
    }
    case 'body.wire':
      return [
        wash(),
        { d: turns(stretch, Math.min(30, mm / 0.2), 0.3), stroke: INK, width: 0.6, opacity: 0.6 },
        {
          d: smooth([on(stretch, 0.06, 0.4), on(stretch, 0.5, 0.45), on(stretch, 0.94, 0.4)], false),
          stroke: 'var(--plane)',
          width: 1.2,
          opacity: 0.6,
        },
      ];
    case 'body.foam': {
      const lumps = Math.max(3, Math.min(6, Math.round(mm / 1.6)));
      const lumpy: Stretch = {
        ...stretch,
        half: (u) => stretch.half(u) * (0.8 + 0.2 * Math.abs(Math.sin(Math.PI * lumps * u))),
      };
      return [
        { d: path(bandOutline(lumpy, lumps * 8), true), fill: colour, stroke: INK, width: 1 },
        {
          d: Array.from({ length: lumps - 1 }, (_, index) =>
            smooth(
              [
                on(stretch, (index + 1) / lumps, -0.8),
                on(stretch, (index + 1) / lumps, 0),
                on(stretch, (index + 1) / lumps, 0.8),
              ],
              false,
            ),
          ).join(''),
          stroke: INK,
          width: 0.8,
          opacity: 0.6,
        },
      ];
    }
    case 'case.yarn': {
      const rough: Stretch = {
        ...stretch,
        half: (u) => stretch.half(u) * (0.93 + 0.07 * Math.sin(u * mm * 5.3) + 0.04 * Math.sin(u * mm * 11)),
      };
      const grains = Array.from({ length: Math.round(mm * 7) }, (_, index) => {
        const [u, v, r] = [
          ((index * 0.618) % 1) * 0.96 + 0.02,
          (((index * 0.381) % 1) - 0.5) * 1.7,
          0.09 + 0.07 * ((index * 0.27) % 1),
        ];
        const [x, y] = on(stretch, u, v);
        return smooth([
          [x - r, y],
          [x, y + r * 0.8],
          [x + r, y],
          [x, y - r * 0.9],
        ]);
      }).join('');
      return [
        { d: smooth(bandOutline(rough, 26)), fill: colour, stroke: INK, width: 1 },
        { d: grains, stroke: INK, width: 0.6, opacity: 0.55 },
      ];
    }
    case 'rib.tinsel':
      return [
        wash(),
        { d: turns(stretch, Math.min(16, mm / 0.5), 0.3), stroke: INK, width: 0.7, opacity: 0.5 },
        {
          d: smooth([on(stretch, 0.05, 0.25), on(stretch, 0.5, 0.3), on(stretch, 0.95, 0.25)], false),
          stroke: 'var(--plane)',
          width: 2,
          opacity: 0.75,
        },
      ];
    case 'body.floss':
      return [wash(), { d: turns(stretch, Math.min(10, mm / 0.9), 0.9), stroke: INK, width: 0.45, opacity: 0.35 }];
    case 'tail.webby':
      return [
        wash({ width: 0.5 }),
        { d: hairs(stretch, Math.round(16 + mm * 7), Math.max(0.5, thick * 0.75), 0.8), stroke: colour, width: 1.6 },
        {
          d: hairs(stretch, Math.round(8 + mm * 4), Math.max(0.45, thick * 0.65), 0.8),
          stroke: INK,
          width: 0.45,
          opacity: 0.5,
        },
      ];
    default:
      return [
        wash({ width: 0.8 }),
        { d: turns(stretch, Math.min(12, mm / 0.8), 0.2), stroke: INK, width: 0.4, opacity: 0.3 },
      ];
  }
}
