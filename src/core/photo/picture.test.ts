import { LINEAR, photographOf, shrunkGrey } from './picture';

/** A picture whose left half is dark and right half light, with one red pixel. */
const picture = (width: number, height: number) => {
  const rgba = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      rgba.set(
        x === 0 && y === 0 ? [255, 0, 0, 255] : x < width / 2 ? [40, 40, 40, 255] : [210, 210, 210, 255],
        (y * width + x) * 4,
      );
  return { width, height, rgba };
};

test('linear light of a byte, by hand', () => {
  expect([LINEAR[0], LINEAR[255]]).toEqual([0, 1]);
  expect(LINEAR[128]).toBeCloseTo(0.2158605, 6);
  expect(LINEAR[10]).toBeCloseTo(10 / 255 / 12.92, 7);
});

test('a large picture is shrunk by a whole factor, and halves keep their tones', () => {
  const grey = shrunkGrey(picture(400, 300), 100);
  expect([grey.width, grey.height, grey.factor]).toEqual([100, 75, 4]);
  expect(grey.values[40 * 100 + 10]).toBeCloseTo(40 / 255, 5);
  expect(grey.values[40 * 100 + 90]).toBeCloseTo(210 / 255, 5);
});

test('a small picture stays as large as it is, its red by its weight', () => {
  const grey = shrunkGrey(picture(40, 30), 100);
  expect([grey.width, grey.factor]).toEqual([40, 1]);
  expect(grey.values[0]).toBeCloseTo(0.3, 5);
});

test('a photograph that lies in memory is read whole', () => {
  const photo = photographOf(picture(40, 30));
  expect(photo.read(5, 5, 10, 10)).toMatchObject({ left: 0, top: 0, width: 40, height: 30 });
  expect(photo.grey(20)).toMatchObject({ width: 20, height: 15, factor: 2 });
});
