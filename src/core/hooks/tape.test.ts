import { glassHalfMm, readsAgainst, tapedOf, type Taping } from './tape';

const ENDS = { gapeMm: 4.3, wireMm: 0.4, eyeMm: 1.4 };
const taping = (more: Partial<Taping>): Taping => ({
  how: 'calliper',
  shankMm: null,
  gapeMm: null,
  overallMm: null,
  wireMm: null,
  ...more,
});
const glass = (shankMm: number) => taping({ how: 'glass', shankMm });

test('a calliper repeats to ±3 %', () => {
  const { shank, gape, wire } = tapedOf([taping({ shankMm: 7.6 })], ENDS);
  expect(shank).toMatchObject({ value: 7.6, source: 'measured' });
  expect((1.96 * shank!.sd!) / 7.6).toBeCloseTo(0.03, 2);
  expect([gape, wire]).toEqual([undefined, undefined]);
});
test('the glass is ±0.3, and ±0.2 from the third time on', () => {
  expect(1.96 * tapedOf([glass(7.6)], ENDS).shank!.sd!).toBeCloseTo(0.3, 9);
  expect(1.96 * tapedOf([glass(7.5), glass(7.7)], ENDS).shank!.sd!).toBeCloseTo(0.3, 9);
  expect(tapedOf([glass(7.5), glass(7.6), glass(7.7)], ENDS).shank).toMatchObject({
    value: expect.closeTo(7.6, 9),
    sd: expect.closeTo(0.2 / 1.96, 9),
  });
  expect([1, 2, 3, 4].map(glassHalfMm)).toEqual([0.3, 0.3, 0.2, 0.2]);
});
test('a calliper outweighs the glass', () =>
  expect(tapedOf([glass(8.0), taping({ shankMm: 7.6 })], ENDS).shank!.value).toBeLessThan(7.85));
test('a length from end to end stands in for a shank that was not read, less eye, half the gape and wire', () => {
  expect(tapedOf([taping({ overallMm: 11 })], ENDS).shank!.value).toBeCloseTo(11 - 1.4 - 2.15 - 0.4, 9);
  expect(tapedOf([taping({ overallMm: 11, gapeMm: 5 })], ENDS).shank!.value).toBeCloseTo(11 - 1.4 - 2.5 - 0.4, 9);
  expect(tapedOf([taping({ overallMm: 3 })], ENDS).shank).toBeUndefined();
  expect(tapedOf([taping({ overallMm: 11 })], null).shank).toBeUndefined();
  expect(tapedOf([taping({ shankMm: 7 })], null).shank!.value).toBe(7);
});
test('wire by micrometer', () =>
  expect(tapedOf([taping({ wireMm: 0.41 }), taping({ wireMm: 0.43 })], ENDS).wire).toMatchObject({
    value: expect.closeTo(0.42, 9),
    sd: expect.closeTo(0.01 / 1.96 / Math.SQRT2, 9),
  }));
test('a reading beside its label', () => {
  expect(readsAgainst('14', 7.6, 4.3)).toMatchObject({
    long: expect.closeTo(13.03, 2),
    wide: expect.closeTo(13.98, 2),
    off: expect.closeTo(0.97, 2),
  });
  expect(readsAgainst('V45', 7, null)).toMatchObject({ wide: null, off: expect.closeTo(-0.64, 1) });
  expect(readsAgainst('small', 7, 4)).toMatchObject({ off: null });
});
