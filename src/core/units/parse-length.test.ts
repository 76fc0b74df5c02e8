import { parseLength } from './parse-length';

const mm = (text: string, unit: 'mm' | 'in' = 'mm') => {
  const parsed = parseLength(text, unit);
  return parsed.ok ? parsed.mm : parsed.fault.code;
};

describe('reading a typed length', () => {
  test.each([
    ['8', 8],
    ['8.2', 8.2],
    ['8,2', 8.2],
    ['8.2mm', 8.2],
    ['0.82 cm', 8.2],
    ['0,82cm', 8.2],
    ['.9', 0.9],
  ])('%s is millimetres', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 10));

  test.each([
    ['0.32 in', 8.128],
    ['0.32"', 8.128],
    ['5/16"', 7.9375],
    ['1 1/4"', 31.75],
    ['5/16 in', 7.9375],
  ])('%s is inches', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 10));

  test('a bare number takes the unit that is set', () => {
    expect(mm('0.32', 'in')).toBeCloseTo(8.128, 10);
    expect(mm('5/16', 'in')).toBeCloseTo(7.9375, 10);
    expect(mm('5/16', 'mm')).toBe('length-unread');
  });

  test.each(['', ' '])('nothing typed is said apart', (text) => expect(mm(text)).toBe('length-empty'));

  test.each(['1,2,3', '8.2.1', '1.234,5', 'eight', '8 x', '1e1', '5/0"', '8 2', 'Infinity'])(
    '%s is not guessed at',
    (text) => expect(mm(text)).toBe('length-unread'),
  );

  test.each(['0', '0.49', '120.01', '-3', '13 cm', '5"'])('%s is outside the range', (text) =>
    expect(mm(text)).toBe('length-range'),
  );

  test('the ends of the range are accepted', () => {
    expect(mm('0.5')).toBe(0.5);
    expect(mm('120')).toBe(120);
  });

  test('a fault keeps what was typed and says the range', () => {
    const parsed = parseLength('-3');
    expect(parsed).toMatchObject({ ok: false, fault: { params: { got: '-3', low: { mm: 0.5 }, high: { mm: 120 } } } });
  });
});
