import fc from 'fast-check';
import { blobsOf } from '../blobs';
import { depthOf, opened, widened } from './distance';
import { toEnds } from './ends';
import { turnOf } from './measure-body';
import { lengthOf, midlineOf, reachIn, sharpestTurn, spaced, tangentAt } from './midline';
import { colourOfPixels } from './region-colours';
import type { Lab } from '../../colour';
import type { ImagePoint } from '../card';

const W = 120;
const H = 90;

/** A mask where a rule holds, by pixel middles. */
function mask(rule: (x: number, y: number) => boolean): Uint8Array {
  return Uint8Array.from({ length: W * H }, (_, at) => (rule((at % W) + 0.5, Math.floor(at / W) + 0.5) ? 1 : 0));
}
const count = (values: Uint8Array) => values.reduce((sum, value) => sum + value, 0);
const bar = (x0: number, x1: number, half: number, y = 45) =>
  mask((px, py) => px > x0 && px < x1 && Math.abs(py - y) < half);

describe('patches of a mask', () => {
  test('corners touch, gaps part; area, bounds and middle are told', () => {
    const { blobs } = blobsOf(
      mask(
        (x, y) =>
          (x > 10 && x < 20 && y > 10 && y < 20) ||
          (x > 20 && x < 30 && y > 20 && y < 30) ||
          (x > 60 && x < 70 && y > 60 && y < 64),
      ),
      W,
      H,
    );
    expect(blobs.map((blob) => blob.area).sort((a, b) => a - b)).toEqual([40, 200]);
    expect(blobs.find((blob) => blob.area === 40)).toMatchObject({
      left: 60,
      right: 69,
      top: 60,
      bottom: 63,
      x: 64.5,
      y: 61.5,
    });
  });
  test('a U is one patch, however late its arms meet', () => {
    expect(
      blobsOf(
        mask(
          (x, y) =>
            (y > 40 && y < 80 && ((x > 20 && x < 30) || (x > 60 && x < 70))) || (y > 70 && y < 80 && x > 20 && x < 70),
        ),
        W,
        H,
      ).blobs,
    ).toHaveLength(1);
  });
  test('an empty mask has none', () => expect(blobsOf(new Uint8Array(W * H), W, H).blobs).toEqual([]));
});

describe('depth', () => {
  test('the middle of a bar is half of it deep, its rim half a pixel', () => {
    const depth = depthOf(bar(10, 110, 10), W, H);
    expect(depth[45 * W + 60]).toBeCloseTo(9.5, 0);
    expect(depth[35 * W + 60]).toBeCloseTo(0.5, 5);
    expect(depth[10 * W + 60]).toBe(0);
  });
  test('it is within 3 % of the true distance from a point', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: W - 6 }), fc.integer({ min: 5, max: H - 6 }), (x, y) => {
        const away = depthOf(
          mask((px, py) => !(Math.floor(px) === 60 && Math.floor(py) === 45)),
          W,
          H,
        );
        const edge = Math.min(x + 1, y + 1, W - x, H - y);
        const true_ = Math.min(Math.hypot(x - 60, y - 45), edge);
        expect(Math.abs(away[y * W + x]! + 0.5 - true_)).toBeLessThan(0.03 * true_ + 0.51);
      }),
      { numRuns: 12 },
    );
  });
  test('opening takes thin parts and leaves thick ones as they are', () => {
    const body = mask(
      (x, y) => (x > 20 && x < 90 && Math.abs(y - 45) < 12) || (x >= 90 && x < 115 && Math.abs(y - 45) < 1.5),
    );
    const trunk = opened(body, W, H, 3);
    expect(trunk[45 * W + 110]).toBe(0);
    expect(trunk[45 * W + 50]).toBe(1);
    expect(count(trunk)).toBeGreaterThan(0.97 * 70 * 24);
  });
  test('widening adds a rim of its radius', () =>
    expect(count(widened(bar(40, 80, 10), W, H, 4))).toBeGreaterThan(48 * 28 - 40));
});

describe('the midline', () => {
  const view = (trunk: Uint8Array, radius: number) => ({
    trunk,
    width: W,
    height: H,
    radius,
    off: Float32Array.from(trunk, (value) => value * 50),
  });
  test('a straight body is as long as it is', () => {
    const trunk = bar(15, 105, 9);
    const line = toEnds(midlineOf(trunk, W, H, 9, depthOf(trunk, W, H))!, view(trunk, 9));
    expect(lengthOf(line)).toBeCloseTo(90, 0);
    for (const [, y] of line) expect(y).toBeCloseTo(45, 0);
  });
  test('a curled one is measured along its curve, not across it', () => {
    const [cx, cy, r] = [60, 75, 45];
    const trunk = mask((x, y) => {
      const [d, angle] = [Math.hypot(x - cx, y - cy), Math.atan2(y - cy, x - cx)];
      return Math.abs(d - r) < 6 && angle < -0.6 && angle > -Math.PI + 0.6;
    });
    const line = toEnds(midlineOf(trunk, W, H, 6, depthOf(trunk, W, H))!, view(trunk, 6));
    const along = r * (Math.PI - 1.2);
    expect(Math.abs(lengthOf(line) - along) / along).toBeLessThan(0.03);
    const chord = Math.hypot(line[0]![0] - line[line.length - 1]![0], line[0]![1] - line[line.length - 1]![1]);
    expect(lengthOf(line)).toBeGreaterThan(1.08 * chord);
  });
  test('roots of tails at its end do not carry the body on, and a rounded end is not cut short', () => {
    const body = bar(15, 85, 9);
    // Two tails leave the middle of the end; their roots are left on the trunk.
    const tails = (px: number, py: number) =>
      px >= 85 && px < 112 && Math.abs(Math.abs(py - 45) - 1.6 - 0.2 * (px - 85)) < 1.1;
    const seen = mask((px, py) => body[Math.floor(py) * W + Math.floor(px)] === 1 || tails(px, py));
    const off = Float32Array.from(seen, (value) => value * 50);
    const stub = mask((px, py) => body[Math.floor(py) * W + Math.floor(px)] === 1 || (tails(px, py) && px < 90));
    const line = toEnds(midlineOf(body, W, H, 9, depthOf(body, W, H))!, {
      trunk: stub,
      width: W,
      height: H,
      radius: 9,
      off,
    });
    const xs = line.map(([px]) => px);
    expect(Math.max(...xs)).toBeLessThan(87.5);
    expect(Math.max(...xs)).toBeGreaterThan(84);
    const round = mask((px, py) => ((px - 60) / 45) ** 2 + ((py - 45) / 9) ** 2 < 1);
    const rounded = toEnds(midlineOf(round, W, H, 9, depthOf(round, W, H))!, view(round, 9));
    expect(lengthOf(rounded)).toBeGreaterThan(87);
    expect(lengthOf(rounded)).toBeLessThan(91);
  });
  test('the most that a line turns over three radii: nothing when straight, its corner when it has one', () => {
    const straight = Array.from({ length: 40 }, (_, index): ImagePoint => [index, 5]);
    expect(sharpestTurn(straight, 5)).toBeCloseTo(0, 9);
    const corner = [...straight.slice(0, 20), ...Array.from({ length: 20 }, (_, index): ImagePoint => [19, 6 + index])];
    expect(sharpestTurn(corner, 5)).toBeGreaterThan(1.3);
    expect(sharpestTurn(corner, 5)).toBeLessThan(1.7);
  });
  test('a bend to one side turns and does not wander; to and fro it does both', () => {
    const wave = (bend: (u: number) => number) =>
      Array.from({ length: 61 }, (_, index): ImagePoint => [index, bend(index / 60)]);
    const arc = turnOf(wave((u) => 12 * u * u));
    expect(arc.turn).toBeGreaterThan(0.3);
    expect(arc.wander).toBeLessThan(0.02);
    const wavy = turnOf(wave((u) => 3 * Math.sin(4 * Math.PI * u)));
    expect(wavy.wander).toBeGreaterThan(0.6 * wavy.turn);
    expect(wavy.turn).toBeGreaterThan(1.5);
  });
  test('what leaves its side does not lead it astray, though it is longer than the head', () => {
    const withLeg = mask(
      (px, py) => (px > 15 && px < 105 && Math.abs(py - 60) < 10) || (Math.abs(px - 30) < 2.4 && py > 2 && py <= 52),
    );
    const line = midlineOf(withLeg, W, H, 10, depthOf(withLeg, W, H))!;
    expect(Math.min(...line.map(([, py]) => py))).toBeGreaterThan(52);
  });
  test('an empty trunk has none', () =>
    expect(midlineOf(new Uint8Array(W * H), W, H, 5, new Float32Array(W * H))).toBeNull());
  test('points are spaced evenly and keep both ends', () => {
    const line = spaced(
      [
        [0, 0],
        [10, 0],
        [10, 10],
      ],
      4,
    );
    expect([line[0], line[line.length - 1]]).toEqual([
      [0, 0],
      [10, 10],
    ]);
    const steps = line.slice(1).map((point, index) => lengthOf([line[index]!, point]));
    expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(1.3);
  });
  test('tangents look along the line, reach stops at the rim', () => {
    expect(
      tangentAt(
        [
          [0, 0],
          [1, 1],
          [2, 2],
        ] as ImagePoint[],
        1,
      ),
    ).toEqual([expect.closeTo(Math.SQRT1_2, 6), expect.closeTo(Math.SQRT1_2, 6)]);
    expect(reachIn(bar(20, 100, 10), W, H, [60, 45], [0, 1], 50)).toBeCloseTo(10, 0);
    expect(reachIn(bar(20, 100, 10), W, H, [60, 45], [1, 0], 15)).toBe(15);
  });
});

describe('the colour of a region', () => {
  const around = ([l, a, b]: Lab, n: number, spread = 1): Lab[] =>
    Array.from({ length: n }, (_, index): Lab => [
      l + spread * Math.sin(index * 1.7),
      a + spread * Math.cos(index * 2.3),
      b + spread * Math.sin(index * 0.9),
    ]);
  test('is its middle, with how far half of it lies', () => {
    const colour = colourOfPixels(around([45, 4, 24], 200))!;
    for (const [index, value] of [45, 4, 24].entries()) expect(colour.lab[index]).toBeCloseTo(value, 0);
    expect(colour.second).toBeNull();
    expect(colour.spread).toBeLessThan(1.5);
  });
  test('leaves wet glare out', () => {
    const colour = colourOfPixels([...around([40, 4, 24], 150), ...around([96, 0, 1], 60)])!;
    expect(colour.lab[0]).toBeCloseTo(40, 0);
    expect(colour.second).toBeNull();
  });
  test('tells two tones apart where both are large', () => {
    const colour = colourOfPixels([...around([25, 6, 10], 120), ...around([62, 4, 32], 80)])!;
    expect(colour.lab[0]).toBeCloseTo(25, 0);
    expect(colour.second).toMatchObject({ share: expect.closeTo(0.4, 1) });
    expect(colour.second!.lab[0]).toBeCloseTo(62, 0);
    expect(colourOfPixels([...around([25, 6, 10], 190), ...around([62, 4, 32], 10)])!.second).toBeNull();
  });
  test('a handful of pixels is no colour', () => expect(colourOfPixels(around([45, 4, 24], 8))).toBeNull());
});
