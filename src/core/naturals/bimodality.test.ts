import { femaleOverMale } from './sex-ratio';
import { bimodality } from './bimodality';

test('males and females of one hatch are two heaps, by their indices', () => {
  expect(bimodality([9.3, 8.0, 9.2, 8.1, 7.9, 9.4], 0.1)).toMatchObject({
    shorter: [4, 1, 3],
    longer: [2, 0, 5],
    shorterMm: expect.closeTo(8, 5),
    longerMm: expect.closeTo(9.3, 5),
  });
});
test('one hatch is one heap, and few insects say nothing', () => {
  expect(bimodality([8.0, 8.2, 8.4, 8.5, 8.7, 8.9], 0.1)).toBeNull();
  expect(bimodality([8.0, 8.1, 9.3, 9.4], 0.1)).toBeNull();
});
test('a coarse reading does not part what it cannot see', () => {
  expect(bimodality([8.0, 8.0, 8.0, 8.5, 8.5, 8.5], 0.25)).toBeNull();
});
test('one far insect is no heap of its own', () => {
  const found = bimodality([8.0, 8.1, 8.2, 8.0, 8.1, 12], 0.1);
  expect(found === null || found.longer.length >= 2).toBe(true);
});

test('females are the longer sex, but for midges; an order nobody measured says nothing', () => {
  expect(femaleOverMale('mayfly')).toBeGreaterThan(1);
  expect(femaleOverMale('midge')).toBeLessThan(1);
  expect(femaleOverMale('beetle')).toBeNull();
});
