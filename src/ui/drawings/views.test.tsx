import { render, screen } from '@testing-library/react';
import { Ladder, type Rail } from './ladder';
import { naturalMarks } from './natural-marks';
import { Plate } from './plate';

const rung = (size: string, mm: number, more: Partial<Rail['rungs'][number]> = {}) => ({ id: `m:${size}`, size, mm, lit: false, owned: false, about: false, pinned: false, ...more });
const rail: Rail = { id: 'osmere:lark', maker: 'Osmere', model: 'Lark', rungs: [rung('12', 8.9), rung('14', 7.6, { lit: true }), rung('16', 6.4, { about: true })] };
const ladder = (more: Partial<Parameters<typeof Ladder>[0]> = {}) =>
  render(<Ladder label="one model" width={390} rails={[rail]} band={null} domain={[5, 10]} tick={(mm) => String(mm)} unit="mm" {...more} />).container;
const lines = (root: Element) => [...root.querySelectorAll('line')];

describe('the ladder', () => {
  test('is one image with its finding as its name', () => {
    ladder();
    expect(screen.getByRole('img', { name: 'one model' })).toBeInTheDocument();
  });
  test('rungs lie at their true length on one axis', () => {
    const xs = lines(ladder()).filter((line) => line.getAttribute('x1') === line.getAttribute('x2') && ['2', '3'].includes(line.getAttribute('stroke-width')!)).map((line) => Number(line.getAttribute('x1')));
    const [twelve, fourteen, sixteen] = xs as [number, number, number];
    expect(xs).toHaveLength(3);
    expect((twelve - fourteen) / (fourteen - sixteen)).toBeCloseTo((8.9 - 7.6) / (7.6 - 6.4), 6);
  });
  test('a lit rung is ringed, an owned one filled, an estimated one broken', () => {
    const root = ladder();
    expect(root.querySelectorAll('circle')).toHaveLength(1);
    expect(root.querySelector('circle')!.getAttribute('fill')).toBe('var(--plane)');
    expect(lines(root).filter((line) => line.getAttribute('stroke-dasharray') === '3 3')).toHaveLength(1);
    expect(ladder({ rails: [{ ...rail, rungs: [rung('14', 7.6, { lit: true, owned: true })] }] }).querySelector('circle')!.getAttribute('fill')).toBe('var(--dawn)');
  });
  test('the natural lies across as a band as wide as its ±', () => {
    const band = (half: number) => Number(ladder({ band: { mm: 8, half, digits: '8.0' } }).querySelector('rect[fill="url(#natural-band)"]')!.getAttribute('width'));
    expect(band(0.6) / band(0.3)).toBeCloseTo(2, 6);
  });
  test('without a natural the scale stands above the rails too', () => {
    const ticks = (root: Element) => [...root.querySelectorAll('text')].filter((text) => text.textContent === '8').length;
    expect(ticks(ladder())).toBe(2);
    expect(ticks(ladder({ band: { mm: 8, half: 0.3, digits: '8.0' } }))).toBe(1);
  });
  test('labels that would run into one another give way to the lit one', () => {
    const crowded = { ...rail, rungs: Array.from({ length: 12 }, (_, index) => rung(String(index + 10), 7 + index * 0.05, { lit: index === 6 })) };
    const labels = [...ladder({ rails: [crowded] }).querySelectorAll('text')].map((text) => text.textContent);
    expect(labels).toContain('16');
    expect(labels).not.toContain('15');
    expect(labels).not.toContain('17');
  });
  test('a rung outside the axis is not drawn at its edge', () => {
    expect(ladder({ domain: [7, 8] }).querySelectorAll('rect[fill="transparent"]')).toHaveLength(1);
  });
});

describe('the plate', () => {
  const plate = (mm: number) => render(<Plate label="plate" width={390} natural={naturalMarks('mayfly/dun', mm, {})} measuredMm={mm} fly={null} digits={(value) => value.toFixed(1)} maxHeight={300} />).container;
  test('the dimension over the ticks is as long as the natural, in the scale of the ticks', () => {
    const root = plate(8);
    const measure = lines(root).find((line) => line.getAttribute('stroke-width') === '3')!;
    const length = Math.abs(Number(measure.getAttribute('x2')) - Number(measure.getAttribute('x1')));
    const ticks = lines(root).filter((line) => line.getAttribute('stroke-width') === '1' && line.getAttribute('x1') === line.getAttribute('x2')).map((line) => Number(line.getAttribute('x1'))).sort((a, b) => a - b);
    const step = ticks[1]! - ticks[0]!;
    expect([1, 2, 5].some((mm) => Math.abs(length / step - 8 / mm) < 0.01)).toBe(true);
  });
  test('it says the length in the unit it was given', () => {
    plate(8.2);
    expect(screen.getByText('8.2')).toBeInTheDocument();
  });
});
