import { within, zoomed } from './use-zoom';

describe('a stretch of an axis', () => {
  test('zooms about a place that stays where it is', () => {
    const [low, high] = zoomed([4, 12], 6, 2);
    expect([low, high]).toEqual([5, 9]);
    expect((6 - low) / (high - low)).toBeCloseTo((6 - 4) / 8, 9);
  });
  test('stays inside the whole and no shorter than the least', () => {
    expect(within([2, 6], [4, 12], 1)).toEqual([4, 8]);
    expect(within([10, 14], [4, 12], 1)).toEqual([8, 12]);
    expect(within([7, 7.1], [4, 12], 1)).toEqual([6.55, 7.55]);
    expect(within([0, 100], [4, 12], 1)).toEqual([4, 12]);
    expect(within([5, 5.5], [5, 5.8], 2)).toEqual([5, 5.8]);
  });
});
