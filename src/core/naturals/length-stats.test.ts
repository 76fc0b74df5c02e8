import fc from 'fast-check';
import { bodyFrom, caseFrom } from './known-lengths';
import { stageRow } from '@/catalogue';
import { lengthStats, postureCv } from './length-stats';

describe('the length of a sample: golden figures of formulas §2', () => {
  test('three typed', () => {
    const stats = lengthStats([8.1, 8.4, 7.9], 'typed', 0.02);
    expect(stats.meanMm).toBeCloseTo(8.13333, 5);
    expect(stats.sdMm).toBeCloseTo(0.251661, 6);
    expect(stats.ci95Mm[0]).toBeCloseTo(7.50817, 5);
    expect(stats.ci95Mm[1]).toBeCloseTo(8.75849, 5);
    expect(stats.spreadMm).toBeCloseTo(0.504822, 6);
    expect(stats.seMm).toBeCloseTo(0.308805, 6);
    expect(stats.hatchSdMm).toBeCloseTo(0.582918, 6);
  });

  test('one typed', () => {
    const stats = lengthStats([8.1], 'typed', 0.02);
    expect(stats.seMm).toBeCloseTo(0.598452, 6);
    expect(stats.sdMm).toBeNull();
    expect(stats.ci95Mm).toEqual([expect.closeTo(7.9, 9), expect.closeTo(8.3, 9)]);
  });

  test('four soft larvae by ruler', () => {
    const stats = lengthStats([12, 13, 12.5, 14], 'ruler', 0.07);
    expect(stats.seMm).toBeCloseTo(0.612596, 6);
    expect(stats.hatchSdMm).toBeCloseTo(1.24539, 5);
  });
});

test('posture: soft larvae, pupae and the rest; a case is rigid', () => {
  expect(postureCv(stageRow('caddis/free-larva'))).toBe(0.07);
  expect(postureCv(stageRow('leech/adult'))).toBe(0.07);
  expect(postureCv(stageRow('caddis/emerging-pupa'))).toBe(0.03);
  expect(postureCv(stageRow('caddis/cased-larva'))).toBe(0.02);
  expect(postureCv(stageRow('beetle/larva'))).toBe(0.02);
});

describe('outliers', () => {
  test('one far length of five is flagged and kept', () => {
    const stats = lengthStats([8, 8.1, 8.2, 7.9, 14], 'typed', 0.02);
    expect(stats.outliers).toEqual([4]);
    expect(stats.n).toBe(5);
  });
  test('four are too few to say', () => expect(lengthStats([8, 8.1, 8.2, 14], 'typed', 0.02).outliers).toEqual([]));
  test('five equal lengths have none, though their spread is 0', () =>
    expect(lengthStats([8, 8, 8, 8, 8.3], 'typed', 0.02).outliers).toEqual([]));
});

test('more of the same length is never less certain', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 60, noNaN: true }), fc.integer({ min: 1, max: 40 }), (length, n) => {
      const some = lengthStats(Array<number>(n).fill(length), 'typed', 0.02);
      const more = lengthStats(Array<number>(n + 1).fill(length), 'typed', 0.02);
      expect(more.seMm).toBeLessThanOrEqual(some.seMm + 1e-12);
    }),
  );
});

describe('a body from another length', () => {
  test('its own measure goes first', () =>
    expect(bodyFrom({ bodyMm: 9, caseMm: 13, overallMm: 20 }, 'caddis')).toEqual({
      mm: 9,
      source: 'typed',
      from: 'body',
    }));
  test('a case is a fifth longer than its larva', () =>
    expect(bodyFrom({ bodyMm: null, caseMm: 12, overallMm: null }, 'caddis')!.mm).toBeCloseTo(10));
  test('overall by order', () => {
    expect(bodyFrom({ bodyMm: null, caseMm: null, overallMm: 13.3 }, 'alderfly')!.mm).toBeCloseTo(10);
    expect(bodyFrom({ bodyMm: null, caseMm: null, overallMm: 13 }, 'stonefly')).toMatchObject({
      mm: 10,
      source: 'estimated',
    });
  });
  test('nothing known is nothing', () =>
    expect(bodyFrom({ bodyMm: null, caseMm: null, overallMm: null }, 'caddis')).toBeNull());
  test('a case not measured follows the body', () => expect(caseFrom(null, 10)).toBe(12));
});
