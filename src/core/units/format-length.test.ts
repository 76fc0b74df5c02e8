import { formatLength, formatSpread, type LengthUnit } from './format-length';
import { parseLength } from './parse-length';
import { roundAll, roundSignificant } from './round-significant';

describe('writing a length', () => {
  test.each([
    [8.128, 'mm', '8.1'],
    [8.128, 'in-decimal', '0.320'],
    [7.9375, 'in-fraction', '5/16'],
    [31.75, 'in-fraction', '1 1/4'],
    [25.4, 'in-fraction', '1'],
    [-0.8, 'mm', '−0.8'],
    [0.1, 'in-fraction', '0'],
  ] as const)('%s mm as %s is %s', (mm, unit, digits) => expect(formatLength(mm, unit).digits).toBe(digits));

  test('a fine value keeps another figure, and is not lost to 1/32 inch', () => {
    expect(formatLength(0.4051, 'mm', true).digits).toBe('0.41');
    expect(formatLength(0.4051, 'in-fraction', true).digits).toBe('0.0159');
  });

  test('1/32 inch reads back to itself', () => {
    for (let n = 1; n <= 128; n++) {
      const text = `${formatLength((n * 25.4) / 32, 'in-fraction').digits}"`;
      const read = parseLength(text);
      expect(read.ok && read.mm).toBeCloseTo((n * 25.4) / 32, 9);
    }
  });
});

describe('six significant figures', () => {
  test('round numbers through a tree and leave the rest', () => {
    expect(roundAll({ a: 1.23456789, b: [9876543.21, null], c: 'x' })).toEqual({
      a: 1.23457,
      b: [9876540, null],
      c: 'x',
    });
    expect(roundSignificant(NaN)).toBeNull();
  });
});

describe('the ± of a length', () => {
  const spread = (mm: number, unit: LengthUnit, fine = false) => formatSpread(mm, unit, fine).digits;
  test.each([
    [0.3, '1/64'],
    [0.39, '1/64'],
    [0.41, '1/32'],
    [0.9, '3/64'],
    [12.7, '1/2'],
    [26, '1 1/32'],
    [0, '0'],
  ])('of %f mm in fractions is %s: never less than it is', (mm, digits) =>
    expect(spread(mm, 'in-fraction')).toBe(digits),
  );
  test('in millimetres and decimals it is as any length', () =>
    expect([
      spread(0.34, 'mm'),
      spread(0.34, 'mm', true),
      spread(0.34, 'in-decimal'),
      spread(0.34, 'in-fraction', true),
    ]).toEqual(['0.3', '0.34', '0.013', '0.0134']));
});
