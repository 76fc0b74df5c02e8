import { FIELD_CARDS } from '@/catalogue/field-cards';
import { anyScene, takePhoto, type Scene } from './index';
import { chance } from './chance';
import { drawInsect } from './insect';

const SCENE: Scene = {
  ...anyScene(3),
  width: 320,
  height: 240,
  rotation: 0,
  tilt: 0,
  lean: 0,
  fill: 0.8,
  kelvin: 6500,
  uneven: 1,
  exposure: 0.9,
  blurPx: 0,
  noise: 0,
  shade: null,
  insects: [],
};
const pixel = ({ width, rgba }: { width: number; rgba: Uint8ClampedArray }, [x, y]: readonly [number, number]) => [
  ...rgba.subarray((Math.round(y) * width + Math.round(x)) * 4, (Math.round(y) * width + Math.round(x)) * 4 + 3),
];

describe('the simulated camera', () => {
  const { photo, corners } = takePhoto(SCENE, FIELD_CARDS);
  const at = (x: number, y: number): [number, number] => [
    corners[0]![0] + ((corners[1]![0] - corners[0]![0]) * x) / 85.6,
    corners[0]![1] + ((corners[3]![1] - corners[0]![1]) * y) / 53.98,
  ];
  test('shows the card where it says: paper, patches and marks', () => {
    const [paper, black, mark] = [pixel(photo, at(42.8, 27)), pixel(photo, at(5.6, 39)), pixel(photo, at(5, 5))];
    expect(Math.min(...paper)).toBeGreaterThan(200);
    expect(Math.max(...black)).toBeLessThan(60);
    expect(Math.max(...mark)).toBeLessThan(120);
    expect(corners[1]![0] - corners[0]![0]).toBeCloseTo(0.8 * 320, 0);
  });
  test('takes the same picture of the same scene, and another of another seed', () => {
    const noisy = { ...SCENE, noise: 3 };
    const [one, same, other] = [
      takePhoto(noisy, FIELD_CARDS),
      takePhoto(noisy, FIELD_CARDS),
      takePhoto({ ...noisy, seed: SCENE.seed + 1 }, FIELD_CARDS),
    ];
    expect(Buffer.compare(Buffer.from(one.photo.rgba), Buffer.from(same.photo.rgba))).toBe(0);
    expect(Buffer.compare(Buffer.from(one.photo.rgba), Buffer.from(other.photo.rgba))).not.toBe(0);
  });
  test('lamp light is redder than the sky', () => {
    const [lamp, sky] = [2800, 8500].map(
      (kelvin) => pixel(takePhoto({ ...SCENE, kelvin }, FIELD_CARDS).photo, at(42.8, 27)) as [number, number, number],
    ) as [[number, number, number], [number, number, number]];
    expect(lamp[2] / lamp[0]).toBeLessThan(0.8 * (sky[2] / sky[0]));
  });
  test('keeps the whole card in the picture in every scene of the benchmark', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const scene = anyScene(seed);
      const small = { ...scene, insects: [], width: 200, height: 150, blurPx: 0, noise: 0 };
      for (const [x, y] of takePhoto(small, FIELD_CARDS).corners) {
        expect(x).toBeGreaterThan(-4);
        expect(x).toBeLessThan(204);
        expect(y).toBeGreaterThan(-4);
        expect(y).toBeLessThan(154);
      }
    }
  });
});

test('an insect covers its own length and no more along its line', () => {
  const plan = {
    stage: 'midge/larva' as const,
    bodyMm: 6,
    curl: 0,
    at: [0, 0] as const,
    angle: 0,
    abdomen: '#8a4c2a',
    thorax: '#8a4c2a',
    glare: 0,
  };
  const { sheet, truth } = drawInsect(plan, chance(1), 30);
  const row = Math.round((0 - sheet.top) * sheet.scale);
  let covered = 0;
  for (let x = 0; x < sheet.width; x++) covered += sheet.data[(row * sheet.width + x) * 4 + 3]!;
  expect(covered / sheet.scale).toBeCloseTo(6, 0);
  expect(truth).toMatchObject({ bodyMm: 6, colours: { abdomen: '#8a4c2a' } });
});

test('chance repeats by its seed and is even', () => {
  const [a, b] = [chance(9), chance(9)];
  const values = Array.from({ length: 2000 }, () => a.next());
  expect(Array.from({ length: 2000 }, () => b.next())).toEqual(values);
  expect(values.reduce((sum, value) => sum + value, 0) / 2000).toBeCloseTo(0.5, 1);
  const normal = Array.from({ length: 2000 }, () => a.normal());
  expect(Math.sqrt(normal.reduce((sum, value) => sum + value * value, 0) / 2000)).toBeCloseTo(1, 1);
});
