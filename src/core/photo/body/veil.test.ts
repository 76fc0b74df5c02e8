import { deltaE, labOfHex, type Lab } from '../../colour';
import type { CardField } from '../field/rectify';
import type { Tones } from '../field/tones';
import { awayFrom, depthOf } from './distance';
import { caseColour, regionColours, withoutContested } from './region-colours';
import type { Cut } from './separate';

const W = 320;
const H = 200;
const SCALE = 20;
const BODY = labOfHex('#c9b878');
const THORAX = labOfHex('#4a3b2a');
const VEIL: Lab = [70, 0, 0];

/** A straight body from the left, with what a rule paints over it and beside it. */
function scene(wing: (x: number, y: number) => boolean): {
  cut: Cut;
  field: CardField;
  tones: Tones;
  line: [number, number][];
} {
  const n = W * H;
  const [L, a, b, off] = [new Float32Array(n).fill(100), new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  const [all, trunk] = [new Uint8Array(n), new Uint8Array(n)];
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const at = y * W + x;
      const on = x >= 20 && x < 300 && Math.abs(y + 0.5 - 100) < 14;
      const over = wing(x, y);
      if (on) trunk[at] = all[at] = 1;
      if (over) all[at] = 1;
      const own: Lab = on ? (x < 120 ? THORAX : BODY) : [100, 0, 0];
      const seen = over
        ? own.map((value, axis) => (on ? 0.5 * value + 0.5 * VEIL[axis]! : 0.8 * 100 * (axis === 0 ? 1 : 0)))
        : own;
      [L[at], a[at], b[at]] = seen as Lab;
      off[at] = Math.hypot(100 - L[at]!, a[at]!, b[at]!);
    }
  const blank = new Float32Array(0);
  return {
    cut: {
      width: W,
      height: H,
      all,
      body: trunk,
      ink: all,
      strands: [],
      guess: null,
      trunk,
      line: null,
      radius: 14,
      level: 50,
      touchesEdge: false,
      depthAll: depthOf(all, W, H),
      depth: depthOf(trunk, W, H),
      away: awayFrom(trunk, W, H, 32),
    },
    field: { width: W, height: H, scale: SCALE, left: 0, top: 0, r: blank, g: blank, b: blank, clipped: 0 },
    tones: { L, a, b, off },
    line: Array.from({ length: 41 }, (_, index): [number, number] => [1 + (14 * index) / 40, 5]),
  };
}
const colours = (wing: (x: number, y: number) => boolean) => {
  const { cut, field, tones, line } = scene(wing);
  return regionColours(cut, line, field, tones, 'belly', 1);
};
const belly = (wing: (x: number, y: number) => boolean) => colours(wing).told['abdomen-belly']!.lab;

test('with nothing over it the belly is its own colour', () =>
  expect(
    deltaE(
      belly(() => false),
      BODY,
    ),
  ).toBeLessThan(1));

test('a wing over one half leaves the other to tell', () =>
  expect(
    deltaE(
      belly((x, y) => x > 100 && x < 290 && y > 40 && y < 100),
      BODY,
    ),
  ).toBeLessThan(2));

test('wings over most of it from both sides leave the end of the abdomen to tell', () => {
  const both = (x: number, y: number) => x > 100 && x < 255 && y > 50 && y < 150;
  expect(deltaE(belly(both), BODY)).toBeLessThan(2.5);
});

test('where all of it may be veiled no colour is told, and the region says so', () => {
  const { told, veiled } = colours((x, y) => x > 90 && x < 310 && y > 40 && y < 160);
  expect([told['abdomen-belly'], veiled]).toEqual([undefined, ['abdomen-belly']]);
  // The thorax before it lies bare.
  expect(deltaE(told['thorax-belly']!.lab, THORAX)).toBeLessThan(1);
});

test("a colour that a rival for the body would give otherwise is not told; a wing's is the same whichever is the body", () => {
  const one = (lab: Lab) => ({ lab, spread: 1, second: null });
  const told = { 'abdomen-belly': one([50, 0, 0]), 'thorax-belly': one([30, 0, 0]), wing: one([80, 0, 0]) };
  const rival = (l: number) => ({
    told: { 'abdomen-belly': one([l, 0, 0] as unknown as Lab), wing: one([20, 0, 0]) },
    veiled: [],
  });
  const far = [53, 56, 58].map((l) => deltaE([50, 0, 0], [l, 0, 0]));
  expect([far[0]! < 5, far[1]! < 6, far[2]! > 6.6]).toEqual([true, true, true]);
  expect(withoutContested({ told, veiled: ['thorax-back'] }, [rival(56)])).toEqual({
    told,
    veiled: ['thorax-back'],
    contested: [],
  });
  const { told: left, contested } = withoutContested({ told, veiled: [] }, [rival(51), rival(58)]);
  expect([Object.keys(left), contested]).toEqual([['thorax-belly', 'wing'], ['abdomen-belly']]);
  const wing = withoutContested({ told, veiled: [] }, [], true);
  expect([Object.keys(wing.told), wing.contested]).toEqual([['wing'], ['abdomen-belly', 'thorax-belly']]);
});

test('a case has one colour, the most of it', () => {
  const { cut, tones } = scene(() => false);
  expect(deltaE(caseColour(cut, tones, 1).told.case!.lab, BODY)).toBeLessThan(1);
});
