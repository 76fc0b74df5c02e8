import { deltaE, labOfHex, type Lab } from '../../colour';
import type { Field } from '../field/rectify';
import type { Tones } from '../field/tones';
import { awayFrom, depthOf } from './distance';
import { caseColour, regionColours } from './region-colours';
import type { Cut } from './separate';

const W = 320;
const H = 200;
const SCALE = 20;
const BODY = labOfHex('#c9b878');
const THORAX = labOfHex('#4a3b2a');
const VEIL: Lab = [70, 0, 0];

/** A straight body from the left, with what a rule paints over it and beside it. */
function scene(wing: (x: number, y: number) => boolean): { cut: Cut; field: Field; tones: Tones; line: [number, number][] } {
  const n = W * H;
  const [L, a, b, off] = [new Float32Array(n).fill(100), new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  const [all, trunk] = [new Uint8Array(n), new Uint8Array(n)];
  for (let y = 0; y < H; y++) for (let x = 0; x < W; x++) {
    const at = y * W + x;
    const on = x >= 20 && x < 300 && Math.abs(y + 0.5 - 100) < 14;
    const over = wing(x, y);
    if (on) trunk[at] = all[at] = 1;
    if (over) all[at] = 1;
    const own: Lab = on ? (x < 120 ? THORAX : BODY) : [100, 0, 0];
    const seen = over ? own.map((value, axis) => (on ? 0.5 * value + 0.5 * VEIL[axis]! : 0.8 * 100 * (axis === 0 ? 1 : 0))) : own;
    [L[at], a[at], b[at]] = seen as Lab;
    off[at] = Math.hypot(100 - L[at]!, a[at]!, b[at]!);
  }
  const blank = new Float32Array(0);
  return {
    cut: { width: W, height: H, all, body: trunk, ink: all, strands: [], guess: null, trunk, line: null, radius: 14, level: 50, touchesEdge: false, depthAll: depthOf(all, W, H), depth: depthOf(trunk, W, H), away: awayFrom(trunk, W, H, 32) },
    field: { width: W, height: H, scale: SCALE, left: 0, top: 0, r: blank, g: blank, b: blank, clipped: 0 },
    tones: { L, a, b, off },
    line: Array.from({ length: 41 }, (_, index): [number, number] => [1 + (14 * index) / 40, 5]),
  };
}
const belly = (wing: (x: number, y: number) => boolean) => {
  const { cut, field, tones, line } = scene(wing);
  return regionColours(cut, line, field, tones, 'belly', 1)['abdomen-belly']!.lab;
};

test('with nothing over it the belly is its own colour', () => expect(deltaE(belly(() => false), BODY)).toBeLessThan(1));

test('a wing over one half leaves the other to tell', () => expect(deltaE(belly((x, y) => x > 100 && x < 290 && y > 40 && y < 100), BODY)).toBeLessThan(2));

test('wings over most of it from both sides leave the end of the abdomen to tell', () => {
  const both = (x: number, y: number) => x > 100 && x < 255 && y > 50 && y < 150;
  expect(deltaE(belly(both), BODY)).toBeLessThan(2.5);
});

test('where all of it is veiled, what is seen is said', () => {
  const lab = belly((x, y) => x > 90 && x < 310 && y > 40 && y < 160);
  expect(deltaE(lab, BODY)).toBeGreaterThan(8);
});

test('a case has one colour, the most of it', () => {
  const { cut, tones } = scene(() => false);
  expect(deltaE(caseColour(cut, tones, 1).case!.lab, BODY)).toBeLessThan(1);
});
