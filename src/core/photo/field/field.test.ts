import { deltaE, labOfHex } from '../../colour';
import { LINEAR, shrunkGrey } from '../picture';
import { balancedCrop } from './balanced';
import { boxed, lightOf, lightWithin, refineLight } from './light';
import type { CardField } from './rectify';
import { tonesOf } from './tones';

const W = 240;
const H = 160;

/** A field of 30 by 20 mm under a slanting light of one tint, with something on it. */
function fieldOf(
  paint: (x: number, y: number) => readonly [number, number, number] | null,
  tint = [1, 0.86, 0.7],
  slant = 0.5,
): CardField {
  const planes = [0, 1, 2].map(() => new Float32Array(W * H));
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const light = 0.7 * Math.exp(-slant * (x / W));
      const what = paint(x, y) ?? [1, 1, 1];
      for (let channel = 0; channel < 3; channel++)
        planes[channel]![y * W + x] = light * tint[channel]! * what[channel]!;
    }
  return { width: W, height: H, scale: 8, left: 13, top: 10, r: planes[0]!, g: planes[1]!, b: planes[2]!, clipped: 0 };
}
const linear = (hex: string): [number, number, number] =>
  [1, 3, 5].map((at) => LINEAR[parseInt(hex.slice(at, at + 2), 16)]!) as [number, number, number];
const inside = (x: number, y: number) => Math.abs(x - 120) < 40 && Math.abs(y - 80) < 14;

describe('light on the paper', () => {
  test('a slanting, tinted light is found under an insect as beside it', () => {
    const field = fieldOf((x, y) => (inside(x, y) ? linear('#5a3a22') : null));
    const light = lightOf(field);
    for (const [x, y] of [
      [5, 5],
      [120, 80],
      [230, 150],
    ] as const)
      expect(light.g[y * W + x]! / (0.7 * 0.86 * Math.exp(-0.5 * (x / W)))).toBeCloseTo(1, 1);
    expect(light.unevenness).toBeCloseTo(Math.exp(0.5), 1);
    expect(light.white[2] / light.white[0]).toBeCloseTo(0.7, 1);
  });
  test('colours come out as they are, whatever the light', () => {
    for (const tint of [
      [1, 0.8, 0.5],
      [0.8, 0.9, 1],
    ]) {
      const field = fieldOf((x, y) => (inside(x, y) ? linear('#7f7238') : null), tint);
      const tones = tonesOf(field, lightOf(field));
      const at = 80 * W + 120;
      expect(deltaE([tones.L[at]!, tones.a[at]!, tones.b[at]!], labOfHex('#7f7238'))).toBeLessThan(1.5);
      expect(tones.off[at]!).toBeGreaterThan(40);
      expect(tones.off[5 * W + 5]!).toBeLessThan(3);
    }
  });
  test('soft shade over the paper becomes light, and what is taken does not count', () => {
    const field = fieldOf(
      (x, y) => (inside(x, y) ? [0.1, 0.1, 0.1] : x > 180 ? [0.75, 0.75, 0.75] : null),
      [1, 1, 1],
      0,
    );
    const first = lightOf(field);
    const taken = Uint8Array.from({ length: W * H }, (_, at) => (inside(at % W, Math.floor(at / W)) ? 1 : 0));
    const light = refineLight(field, first, taken, 1.5);
    expect(light.g[20 * W + 225]! / (0.7 * 0.75)).toBeCloseTo(1, 1);
    expect(light.g[80 * W + 120]! / 0.7).toBeGreaterThan(0.85);
  });
  test('the mean over a square, by hand', () => {
    const values = Float32Array.from([0, 0, 0, 0, 9, 0, 0, 0, 0]);
    expect(boxed(values, 3, 3, 1)[4]).toBeCloseTo(1, 6);
    expect(
      boxed(
        Float32Array.from({ length: 25 }, () => 4),
        5,
        5,
        1,
      )[12],
    ).toBeCloseTo(4, 6);
  });
});

test('a window seen more finely has the light of the field, and as a picture it is balanced on its paper', () => {
  const field = fieldOf((x, y) => (inside(x, y) ? linear('#8a4c2a') : null));
  const light = lightOf(field);
  // A quarter of the field, twice as fine: what rectify would give of the same card.
  const [w, h] = [200, 120];
  const at = (channel: 'r' | 'g' | 'b') =>
    Float32Array.from(
      { length: w * h },
      (_, index) =>
        field[channel][(40 + Math.floor(Math.floor(index / w) / 2)) * W + 80 + Math.floor((index % w) / 2)]!,
    );
  const window: CardField = {
    width: w,
    height: h,
    scale: 16,
    left: field.left + 10,
    top: field.top + 5,
    r: at('r'),
    g: at('g'),
    b: at('b'),
    clipped: 0,
  };
  const lit = lightWithin(light, field, window);
  for (const [x, y] of [
    [0, 0],
    [100, 60],
    [199, 119],
  ] as const)
    expect(lit.g[y * w + x]! / light.g[(40 + Math.floor(y / 2)) * W + 80 + Math.floor(x / 2)]!).toBeCloseTo(1, 2);
  const crop = balancedCrop(window, lit);
  expect(crop).toMatchObject({ leftMm: field.left + 10, topMm: field.top + 5, widthMm: 12.5, heightMm: 7.5 });
  const hex = (x: number, y: number) =>
    `#${[...crop.rgba.subarray((y * w + x) * 4, (y * w + x) * 4 + 3)].map((value) => value.toString(16).padStart(2, '0')).join('')}`;
  expect(deltaE(labOfHex(hex(80, 80)), labOfHex('#8a4c2a'))).toBeLessThan(2.5);
  expect(labOfHex(hex(4, 4))[0]).toBeGreaterThan(97);
});

test('a picture is shrunk by whole blocks, keeping its mean', () => {
  const rgba = new Uint8ClampedArray(64 * 48 * 4).map((_, at) => (at % 4 === 3 ? 255 : (at >> 2) % 2 === 0 ? 0 : 200));
  const grey = shrunkGrey({ width: 64, height: 48, rgba }, 32);
  expect([grey.width, grey.height, grey.factor]).toEqual([32, 24, 2]);
  expect(grey.values[0]).toBeCloseTo(100 / 255, 5);
});
