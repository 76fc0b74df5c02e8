import { render, screen } from '@testing-library/react';
import { DRAWN } from '@/core/materials';
import { ShadePlane, type PlanePoint } from './shade-plane';
import { SWATCH, swatchMarks } from './swatch-marks';
import { Swatch } from './swatch';

const point = (id: string, hue: number | null, lightness: number, marked = false): PlanePoint => ({
  id,
  hex: '#8a7f3c',
  hue,
  lightness,
  marked,
});
const circles = (points: PlanePoint[], target: PlanePoint | null = null) => {
  const { container } = render(<ShadePlane label="Shades" points={points} target={target} width={390} />);
  return [...container.querySelectorAll('circle')].map((dot) =>
    ['cx', 'cy', 'r'].map((name) => Number(dot.getAttribute(name))),
  );
};

test('pale lies above dark, red left of olive, olive left of green, greys left of all', () => {
  const [pale, dark, red, olive, green, grey] = circles([
    point('pale', 90, 90),
    point('dark', 90, 20),
    point('red', 30, 50),
    point('olive', 100, 50),
    point('green', 135, 50),
    point('grey', null, 50),
  ]) as [number, number, number][];
  expect(pale![1]).toBeLessThan(dark![1]);
  expect([grey![0], red![0], olive![0], green![0]]).toEqual(
    [grey![0], red![0], olive![0], green![0]].sort((a, b) => a - b),
  );
});
test('what is marked is drawn last and larger; the target is a ring where it stands', () => {
  const dots = circles([point('near', 100, 50, true), point('other', 100, 60)], point('target', 100, 50)) as [
    number,
    number,
    number,
  ][];
  expect(dots.map(([, , r]) => r)).toEqual([dots[0]![2], dots[1]![2], dots[2]![2]].sort((a, b) => a - b));
  expect(dots[2]!.slice(0, 2)).toEqual(dots[1]!.slice(0, 2));
  expect(screen.getByRole('img', { name: 'Shades' })).toBeInTheDocument();
});
test('every hue has a place inside the picture', () => {
  for (const [x] of circles(Array.from({ length: 360 }, (_, hue) => point(String(hue), hue, 50)))) {
    expect(x).toBeGreaterThan(40);
    expect(x).toBeLessThanOrEqual(390);
  }
});

describe('a swatch', () => {
  test.each(DRAWN)('%s is drawn as a thing of its own, inside its box', (shape) => {
    const { strokes, fills } = swatchMarks(shape);
    const paths = [...strokes.map(({ d }) => d), ...fills];
    expect(paths.length).toBeGreaterThan(0);
    expect(paths.join('')).not.toMatch(/NaN|undefined/);
    const others = DRAWN.filter((other) => other !== shape).map((other) => JSON.stringify(swatchMarks(other)));
    expect(others).not.toContain(JSON.stringify(swatchMarks(shape)));
    for (const [, number] of paths.join('').matchAll(/(-?\d+(?:\.\d+)?)/g))
      expect(Math.abs(Number(number))).toBeLessThanOrEqual(SWATCH.width + 4);
  });
  test('is dry above and wet below, and without colours its outline alone', () => {
    const colours = (node: HTMLElement) =>
      [...node.querySelectorAll('path')].flatMap((path) => [path.getAttribute('fill'), path.getAttribute('stroke')]);
    const drawn = colours(render(<Swatch shape="strip" dry="#8a7f3c" wet="#6c6128" />).container);
    expect(drawn.indexOf('#8a7f3c')).toBeGreaterThanOrEqual(0);
    expect(drawn.indexOf('#8a7f3c')).toBeLessThan(drawn.indexOf('#6c6128'));
    const plain = colours(render(<Swatch shape="strip" dry={null} wet={null} />).container);
    expect(plain).not.toContain('#8a7f3c');
    expect(plain.length).toBe(drawn.length);
  });
});
