import { onPlane } from './plane';

test.each([
  [[50, 40, 0], 50, 0],
  [[60, 0, 40], 60, 90],
  [[20, -30, 0], 20, 180],
  [[70, 0, -30], 70, 270],
] as const)('%j stands at lightness %d and hue %d', (lab, lightness, hue) => {
  expect(onPlane([...lab])).toEqual({ lightness, hue: expect.closeTo(hue, 9) });
});
test('a grey has no hue, up to a chroma of eight', () => {
  expect(onPlane([50, 5.6, 5.6]).hue).toBeNull();
  expect(onPlane([50, 5.7, 5.7]).hue).toBeCloseTo(45, 9);
});
