import { parseLength } from '@/core/units';
import { calliper } from './index';

const mm = (text: string, unit: 'mm' | 'in' = 'mm') => {
  const read = parseLength(text, unit);
  return read.ok ? read.mm : NaN;
};

test('it shows hundredths of what it closes on, and the same seed closes the same way', () => {
  const [one, two] = [calliper(7), calliper(7)];
  const shown = [8.2, 8.6, 7.9].map((length) => one.close(length));
  expect(shown).toEqual([8.2, 8.6, 7.9].map((length) => two.close(length)));
  for (const text of shown) expect(text).toMatch(/^\d+\.\d\d$/);
});

test('over many closings it reads true, as well as formulas §2 say of a calliper', () => {
  const own = calliper(3);
  const offs = Array.from({ length: 400 }, () => mm(own.close(8.2)) - 8.2);
  const mean = offs.reduce((sum, off) => sum + off, 0) / offs.length;
  const sd = Math.sqrt(offs.reduce((sum, off) => sum + (off - mean) ** 2, 0) / (offs.length - 1));
  expect(Math.abs(mean)).toBeLessThan(0.006);
  expect(1.96 * sd).toBeGreaterThan(0.04);
  expect(1.96 * sd).toBeLessThan(0.08);
});

test('in inches it shows as many digits as one that reads them', () =>
  expect(mm(calliper(1, 'in').close(8.2), 'in')).toBeCloseTo(8.2, 0));
