import { deltaE, labOfHex, type Lab } from '../../colour';
import type { ImagePoint } from '../card';
import type { Tones } from '../field/tones';
import { lookedAt } from '../find/find-card';
import type { Homography } from '../find/homography';
import { stageRow } from '@/catalogue';
import { guessesOf, likeliest } from './choose-body';
import { strandsOn } from './strands';
import { endedAt } from './ends';
import { likeWing, runsThin } from './doubt';
import { besideEnd } from './measure-body';
import { notCarried, partingOf, rootOf } from './root';
import { regionsOf, tonesIn } from './regions';

const W = 300;
const H = 160;
const BODY = labOfHex('#7b5a2f');
const CHEST = labOfHex('#2e2a27');
const WING = labOfHex('#8f979c');
const TIP = labOfHex('#c9c2b2');

/** A dun from the side: chest and abdomen along y = 100 from 40 to 200, a wing up from the chest, three legs, tails from 200 on; from `tip` on it is of another tone. */
function dun({ wing = true, tails = 2.4, tip = 200 }: { wing?: boolean; tails?: number; tip?: number } = {}): {
  all: Uint8Array;
  tones: Tones;
} {
  const n = W * H;
  const [L, a, b, off] = [new Float32Array(n).fill(100), new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  const all = new Uint8Array(n);
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const half = x < 100 ? 12 : 11 - (5 * (x - 100)) / 100;
      const on = x >= 40 && x < 200 && Math.abs(y + 0.5 - 100) < half;
      const u = (100 - y) / 90;
      const winged = wing && u > 0.1 && u < 1 && Math.abs(x - 80 - 10 * u) < 26 * Math.sin(Math.PI * u) ** 0.6;
      const legs = y > 100 && y < 150 && [60, 75, 90].some((at) => Math.abs(x - at - 0.2 * (y - 100)) < 1.4);
      const apart = x < 225 ? 0 : 0.12 * (x - 225);
      const tailed =
        x >= 200 && x < 285 && Math.min(Math.abs(y + 0.5 - 100 - apart), Math.abs(y + 0.5 - 100 + apart)) < tails;
      const own: Lab | null = on
        ? x < 100
          ? CHEST
          : x < tip
            ? BODY
            : TIP
        : winged
          ? WING
          : legs || tailed
            ? CHEST
            : null;
      if (!own) continue;
      const at = y * W + x;
      all[at] = 1;
      [L[at], a[at], b[at]] = own as [number, number, number];
      off[at] = Math.hypot(100 - own[0], 1.3 * own[1], 1.3 * own[2]);
    }
  return { all, tones: { L, a, b, off } };
}
const regionAt = (regions: ReturnType<typeof regionsOf>, x: number, y: number) => regions.of[y * W + x]!;

describe('regions of one tone', () => {
  test('tones of a sample are found, rare ones and those of one heap are not', () => {
    const heap = (lab: Lab, count: number) =>
      Array.from({ length: count }, (_, index): [number, number, number] => [
        lab[0] + Math.sin(index),
        lab[1] + Math.cos(index),
        lab[2],
      ]);
    const found = tonesIn([...heap(BODY, 300), ...heap(WING, 200), ...heap([95, 0, 0], 5)]);
    expect(found).toHaveLength(2);
    for (const lab of [BODY, WING]) expect(Math.min(...found.map((tone) => deltaE(tone, lab)))).toBeLessThan(2);
    expect(tonesIn([])).toEqual([]);
  });
  test('chest, abdomen and wing are regions of their own; a leg has that of what it hangs on, and is not solid', () => {
    const { all, tones } = dun();
    const regions = regionsOf(all, W, H, tones);
    const [chest, abdomen, wing] = [regionAt(regions, 60, 100), regionAt(regions, 150, 100), regionAt(regions, 85, 50)];
    expect(new Set([chest, abdomen, wing, 0]).size).toBe(4);
    expect(regionAt(regions, 67, 135)).toBe(chest);
    expect([regions.solid[135 * W + 67], regions.solid[100 * W + 150]]).toEqual([0, 1]);
    expect(regions.areas.reduce((sum, area) => sum + area, 0)).toBe(all.reduce((sum, value) => sum + value, 0));
  });
});

describe('which regions are the body', () => {
  const { all, tones } = dun();
  const regions = regionsOf(all, W, H, tones);
  const strands = strandsOn(all, W, H, regions);
  const [chest, abdomen, wing] = [regionAt(regions, 60, 100), regionAt(regions, 150, 100), regionAt(regions, 85, 50)];
  test('legs and tails are told with where they begin and which way they go', () => {
    expect(
      strands.filter(({ root, out }) => root[1] > 105 && root[1] < 125 && out[1] > 0.9).length,
    ).toBeGreaterThanOrEqual(3);
    expect(strands.some(({ root, out }) => root[0] > 195 && out[0] > 0.95)).toBe(true);
    expect(strands.every(({ region }) => region !== wing)).toBe(true);
  });
  test('chest and abdomen in one line with legs and tails, and not the wing', () => {
    const [best] = guessesOf(regions, strands, tones, W, H);
    expect([chest, abdomen, wing].map((region) => best!.own[region])).toEqual([true, true, false]);
    expect(best!.length).toBeGreaterThan(140);
    expect(best!.length).toBeLessThan(200);
  });
  test('every sign speaks as it should, and weighs as is written', () => {
    const guesses = guessesOf(regions, strands, tones, W, H);
    const of = (...taken: number[]) =>
      guesses.find(({ own }) => own.every((is, region) => is === taken.includes(region)))!;
    const [right, whole] = [of(chest, abdomen), of(chest, abdomen, wing)];
    expect(right.signs.uncovered).toBeGreaterThan(whole.signs.uncovered);
    expect(right.signs.hung).toBe(1);
    expect(right.signs.tails).toBeGreaterThan(0.5);
    expect(right.signs.turn).toBeGreaterThanOrEqual(whole.signs.turn);
    const { uncovered, onward, hung, tails, stripe, turn, slender, dark, area } = right.signs;
    expect(right.score).toBeCloseTo(
      6.2 * uncovered +
        6.2 * onward +
        5 * hung +
        1.35 * tails +
        3.7 * stripe +
        3.4 * turn +
        4.3 * slender +
        5 * dark +
        0.9 * area,
      9,
    );
  });
  test.each([
    [176, true],
    [196, false],
  ])(
    'a body that leaves out what goes straight on from %d px has so much past its end, unless it is a crumb',
    (tip, counts) => {
      const { all, tones } = dun({ tip });
      const parted = regionsOf(all, W, H, tones);
      const [front, middle, end] = [
        regionAt(parted, 60, 100),
        regionAt(parted, 150, 100),
        regionAt(parted, tip + 2, 100),
      ];
      const guesses = guessesOf(parted, strandsOn(all, W, H, parted), tones, W, H);
      const short = guesses.find(({ own }) => own[front] && own[middle] && own.filter(Boolean).length === 2)!;
      if (counts) {
        expect(end).not.toBe(middle);
        expect(short.past).toBeGreaterThan(10);
        expect(short.past).toBeLessThan(30);
        expect(
          guesses.find(({ own }) => own[front] && own[middle] && own[end] && own.filter(Boolean).length === 3)!.past,
        ).toBe(0);
      } else expect(short.past).toBe(0);
    },
  );
  test('without a wing all of it is', () => {
    const bare = dun({ wing: false });
    const parted = regionsOf(bare.all, W, H, bare.tones);
    const [best] = guessesOf(parted, strandsOn(bare.all, W, H, parted), bare.tones, W, H);
    expect(best!.own.slice(1).every(Boolean)).toBe(true);
  });
  test('rivals are nearly as likely and no mere part of it, at most three', () => {
    const guess = (score: number, length: number) => ({ score, length });
    expect(likeliest([guess(5, 100), guess(4, 59), guess(2.4, 140), guess(2.2, 100)])).toEqual([
      guess(5, 100),
      guess(2.4, 140),
    ]);
    expect(likeliest([guess(5, 100), guess(4, 61)])).toHaveLength(2);
    expect(likeliest(Array.from({ length: 6 }, () => guess(5, 100)))).toHaveLength(4);
    expect(likeliest([])).toEqual([]);
  });
  test('with nothing hanging on it nothing is told apart', () => {
    expect(guessesOf(regions, [], tones, W, H)).toEqual([]);
  });
});

describe('where an abdomen leaves off at its tails', () => {
  const line = (to: number): ImagePoint[] =>
    Array.from({ length: to - 50 + 1 }, (_, index): ImagePoint => [50 + index, 100]);
  const view = (tails?: number) => {
    const { all, tones } = dun({ wing: false, tails });
    return { width: W, height: H, tones, ink: all, edgePx: 1 };
  };
  const strands = [{ root: [226, 100] as const, out: [1, 0] as const }];
  test('tails part where they are seen to, within the line or beyond it; legs are no tails', () => {
    expect(partingOf(line(190), strands, 12)).toBeCloseTo(36, 0);
    expect(partingOf(line(240), strands, 12)).toBeCloseTo(-14, 0);
    expect(partingOf(line(190), [{ root: [75, 112], out: [0.2, 0.98] }], 12)).toBeNull();
  });
  test.each([[190], [215], [240]])(
    'the end is where the width falls, whether the line stops at %d px, before it or well into the tails',
    (to) => {
      const parting = partingOf(line(to), strands, 12)!;
      const root = rootOf(line(to), view(), 12, parting)!;
      expect(Math.abs(to + root.out - 200)).toBeLessThan(2.5);
      expect(root.sd).toBeLessThan(4);
      expect(root.plain).toBeGreaterThan(28);
    },
  );
  test('tails nearly as wide as what they leave, of its tone: no fall is plain, and the ± holds a good part of the way', () => {
    const { all, tones } = dun({ wing: false, tails: 5.4 });
    for (let at = 0; at < all.length; at++)
      if (all[at] !== 0) [tones.L[at], tones.a[at], tones.b[at], tones.off[at]] = [BODY[0], BODY[1], BODY[2], 70];
    const root = rootOf(
      line(215),
      { width: W, height: H, tones, ink: all, edgePx: 1 },
      12,
      partingOf(line(215), strands, 12)!,
    )!;
    expect(root.plain).toBeLessThan(28);
    expect(root.sd).toBeGreaterThanOrEqual(0.08 * 165 - 1e-6);
  });
  test('a fall far beyond what was taken for the body does not carry it on where wings hang beside its end: it ends there, and the ± holds both', () => {
    const root = { out: 12, sd: 1, plain: 90 };
    expect(notCarried(root, 7.1, 10, 2)).toBe(root);
    expect(notCarried(root, 6.9, 10, 1.85)).toEqual({ out: 6.9, sd: 2.55, plain: 90 });
    expect(notCarried({ ...root, sd: 4 }, 6.9, 10, 2).sd).toBe(4);
    expect(notCarried(root, 2, 10, 1.75)).toBe(root);
  });
  test('what hangs beside a body is looked at near its end', () => {
    const [w, h] = [200, 60];
    const rows = (half: number, from: number) =>
      Uint8Array.from({ length: w * h }, (_, at) =>
        at % w >= from && Math.abs(((at / w) | 0) + 0.5 - 30) < half ? 1 : 0,
      );
    const line: ImagePoint[] = Array.from({ length: 101 }, (_, index): ImagePoint => [20 + index, 30]);
    const trunk = rows(5, 0);
    const beside = (from: number) =>
      besideEnd(
        {
          all: Uint8Array.from(rows(14, from), (value, at) => value | trunk[at]!),
          trunk,
          width: w,
          height: h,
          radius: 5,
        },
        line,
      );
    expect(beside(105)).toBeCloseTo(2.8, 0);
    expect(beside(115)).toBeCloseTo(1, 1);
  });
  test('a line ends where it is said to: on its way, or straight on', () => {
    const bent: ImagePoint[] = [
      [0, 0],
      [10, 0],
      [10, 10],
    ];
    expect(endedAt(bent, 14)).toEqual([
      [0, 0],
      [10, 0],
      [10, 4],
    ]);
    expect(endedAt(bent, 4)).toEqual([
      [0, 0],
      [4, 0],
    ]);
    const on = endedAt(
      [
        [0, 0],
        [10, 0],
      ],
      15,
    );
    expect(on[on.length - 1]).toEqual([15, 0]);
  });
  test('widths along it tell tails that run together, and a wing taken for a body', () => {
    const tapering = [0, 16, 20, 24, 23, 23, 22, 21, 20, 19, 18, 17, 16, 15, 14, 13, 12, 11, 10, 9, 0];
    const tailed = [...tapering.slice(0, 15), 6, 5, 5, 5, 6, 0];
    expect([tapering, tailed].map(runsThin)).toEqual([false, true]);
    const wing = [0, 23, 26, 28, 31, 27, 28, 27, 35, 41, 48, 53, 56, 53, 47, 42, 40, 27, 24, 20, 0];
    const even = [0, ...Array.from({ length: 19 }, () => 20), 0];
    expect([tapering, even, wing].map(likeWing)).toEqual([false, false, true]);
  });
});

test('a stage tells whether there may be wings', () => {
  expect(
    (['mayfly/dun', 'caddis/adult', 'ant/winged', 'midge/emerger'] as const).map((id) =>
      stageRow(id).traits.includes('winged'),
    ),
  ).toEqual([true, true, true, true]);
  expect(
    (['mayfly/nymph', 'caddis/cased-larva', 'midge/pupa', 'ant/worker', 'leech/adult'] as const).map((id) =>
      stageRow(id).traits.includes('winged'),
    ),
  ).toEqual([false, false, false, false, false]);
});

test('a card is never seen sheared or squeezed to half: other marks were taken for its own', () => {
  const card = { size_mm: [85.6, 53.98] as [number, number] };
  const seen = (h: number[]) => lookedAt(h as unknown as Homography, card);
  expect(seen([20, 3, 100, -3, 20, 100, 0, 0, 1])).toBe(true);
  expect(seen([20, 0, 100, 0, 15, 100, 0, 0, 1])).toBe(true);
  expect(seen([20, 14, 100, 0, 14, 100, 0, 0, 1])).toBe(false);
  expect(seen([20, 0, 100, 0, 10, 100, 0, 0, 1])).toBe(false);
});
