import { fireEvent, render, screen } from '@testing-library/react';
import { Ladder, type Rail } from './ladder';
import { naturalMarks } from './natural-marks';
import { apart, Plate } from './plate';

const rung = (size: string, mm: number, more: Partial<Rail['rungs'][number]> = {}) => ({
  id: `m:${size}`,
  size,
  mm,
  half: null,
  chance: null,
  lit: false,
  owned: false,
  pinned: false,
  ...more,
});
const rail: Rail = {
  id: 'osmere:lark',
  maker: 'Osmere',
  model: 'Lark',
  rungs: [rung('12', 8.9), rung('14', 7.6, { lit: true, chance: '77 %' }), rung('16', 6.4, { half: 0.4 })],
};
const ladder = (more: Partial<Parameters<typeof Ladder>[0]> = {}, rails: readonly Rail[] = [rail]) =>
  render(
    <Ladder
      railLabel={({ maker, model, open }, sizes) => [maker, model, ...sizes, open?.said].join(' ')}
      label="one model"
      hint=""
      width={390}
      count={rails.length}
      railAt={(index) => rails[index]!}
      band={null}
      domain={[5, 10]}
      tick={(mm) => String(mm)}
      unit="mm"
      {...more}
    />,
  ).container;
const lines = (root: Element) => [...root.querySelectorAll('line')];
/** Where the rungs stand: upright strokes of two pixels. */
const rungsOf = (root: Element) =>
  lines(root)
    .filter(
      (line) =>
        line.getAttribute('x1') === line.getAttribute('x2') && ['2', '3'].includes(line.getAttribute('stroke-width')!),
    )
    .map((line) => Number(line.getAttribute('x1')));

describe('the ladder', () => {
  test('is one image with its finding as its name', () => {
    ladder();
    expect(screen.getByRole('img', { name: 'one model' })).toBeInTheDocument();
  });
  test('rungs lie at their true length on one axis', () => {
    const xs = rungsOf(ladder());
    const [twelve, fourteen, sixteen] = xs as [number, number, number];
    expect(xs).toHaveLength(3);
    expect((twelve - fourteen) / (fourteen - sixteen)).toBeCloseTo((8.9 - 7.6) / (7.6 - 6.4), 6);
  });
  test('what is still to be measured stands beside the chance, and in the name of the rail', () => {
    ladder({}, [{ ...rail, open: { short: 'tape 2', said: 'taping 2 would settle it' } }]);
    expect(screen.getByText('tape 2')).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'Osmere Lark 12 14 16 taping 2 would settle it' })).toBeInTheDocument();
  });
  test('a lit rung is ringed and says its chance, an owned one filled, an estimated one broken with its ± beside it', () => {
    const root = ladder();
    expect(root.querySelectorAll('circle')).toHaveLength(1);
    expect(root.querySelector('circle')!.getAttribute('fill')).toBe('var(--plane)');
    expect(screen.getByText(/^\s*77 %$/)).toBeInTheDocument();
    expect(lines(root).filter((line) => line.getAttribute('stroke-dasharray') === '3 3')).toHaveLength(1);
    const bar = lines(root).find((line) => line.getAttribute('stroke-linecap') === 'round')!;
    const [twelve, , sixteen] = rungsOf(root) as [number, number, number];
    expect((Number(bar.getAttribute('x2')) - Number(bar.getAttribute('x1'))) / (twelve - sixteen)).toBeCloseTo(
      0.8 / (8.9 - 6.4),
      6,
    );
    expect(
      ladder({}, [{ ...rail, rungs: [rung('14', 7.6, { lit: true, owned: true })] }])
        .querySelector('circle')!
        .getAttribute('fill'),
    ).toBe('var(--dawn)');
    expect(
      ladder({}, [{ ...rail, rungs: [rung('14', 7.6, { owned: true })] }])
        .querySelector('circle')!
        .getAttribute('fill'),
    ).toBe('var(--ink)');
  });
  test('the natural lies across as a band as wide as its ±', () => {
    const band = (half: number) =>
      Number(
        ladder({ band: { mm: 8, half, digits: '8.0' } })
          .querySelector('rect[fill^="url(#natural-band"]')!
          .getAttribute('width'),
      );
    expect(band(0.6) / band(0.3)).toBeCloseTo(2, 6);
  });
  test('of thousands of rails no more than 40 are drawn', () => {
    const asked: number[] = [];
    const root = ladder({ count: 4000, railAt: (index) => (asked.push(index), { ...rail, id: `m:${index}` }) });
    expect(root.querySelectorAll('svg').length).toBeLessThanOrEqual(41);
    expect(asked.length).toBeGreaterThan(5);
  });
  test('keys zoom about the middle, pan and go back to the whole', () => {
    const root = ladder();
    const gap = () => rungsOf(root)[0]! - rungsOf(root)[1]!;
    const [before, first] = [gap(), rungsOf(root)[0]!];
    const press = (key: string) => fireEvent.keyDown(screen.getByRole('group'), { key });
    press('+');
    expect(gap() / before).toBeCloseTo(1.35, 2);
    press('ArrowLeft');
    const panned = rungsOf(root)[0]!;
    press('0');
    expect(rungsOf(root)[0]).toBeCloseTo(first, 6);
    expect(panned).not.toBeCloseTo(first, 0);
  });
  test('two fingers zoom, one finger across pans', () => {
    const root = ladder();
    const gap = () => rungsOf(root)[0]! - rungsOf(root)[1]!;
    const group = screen.getByRole('group');
    const before = gap();
    fireEvent.pointerDown(group, { pointerId: 1, clientX: 150 });
    fireEvent.pointerDown(group, { pointerId: 2, clientX: 250 });
    fireEvent.pointerMove(group, { pointerId: 2, clientX: 300 });
    expect(gap() / before).toBeCloseTo(1.5, 1);
    fireEvent.pointerUp(group, { pointerId: 1 });
    fireEvent.pointerUp(group, { pointerId: 2 });
    const [first] = rungsOf(root) as [number];
    fireEvent.pointerDown(group, { pointerId: 1, clientX: 200 });
    fireEvent.pointerMove(group, { pointerId: 1, clientX: 202 });
    expect(rungsOf(root)[0]).toBeCloseTo(first, 6);
    fireEvent.pointerMove(group, { pointerId: 1, clientX: 190 });
    expect(rungsOf(root)[0]).toBeCloseTo(first - 10, 0);
    fireEvent.pointerUp(group, { pointerId: 1 });
  });
  test('the wheel zooms with Ctrl and leaves the page its scroll without', () => {
    const root = ladder();
    const before = rungsOf(root)[0]! - rungsOf(root)[1]!;
    const wheel = (init: WheelEventInit) => fireEvent.wheel(screen.getByRole('group'), { clientX: 195, ...init });
    expect(wheel({ deltaY: -100 })).toBe(true);
    expect(wheel({ deltaY: -100, ctrlKey: true })).toBe(false);
    expect((rungsOf(root)[0]! - rungsOf(root)[1]!) / before).toBeCloseTo(1.35, 2);
  });
  test('labels that would run into one another give way to the lit one', () => {
    const crowded = {
      ...rail,
      rungs: Array.from({ length: 12 }, (_, index) => rung(String(index + 10), 7 + index * 0.05, { lit: index === 6 })),
    };
    const labels = [...ladder({}, [crowded]).querySelectorAll('text')].map((text) => text.textContent);
    expect(labels).toContain('16');
    expect(labels).not.toContain('15');
    expect(labels).not.toContain('17');
  });
  test('a rung outside the axis is not drawn at its edge', () => {
    expect(ladder({ domain: [7, 8.6] }).querySelectorAll('rect[fill="transparent"]')).toHaveLength(1);
  });
});

describe('the plate', () => {
  const plate = (mm: number) =>
    render(
      <Plate
        label="plate"
        width={390}
        natural={naturalMarks('mayfly/dun', mm, {})}
        measuredMm={mm}
        fly={null}
        digits={(value) => value.toFixed(1)}
        maxHeight={300}
      />,
    ).container;
  test('the dimension over the ticks is as long as the natural, in the scale of the ticks', () => {
    const root = plate(8);
    const measure = lines(root).find((line) => line.getAttribute('stroke-width') === '3')!;
    const length = Math.abs(Number(measure.getAttribute('x2')) - Number(measure.getAttribute('x1')));
    const ticks = lines(root)
      .filter(
        (line) => line.getAttribute('stroke-width') === '1' && line.getAttribute('x1') === line.getAttribute('x2'),
      )
      .map((line) => Number(line.getAttribute('x1')))
      .sort((a, b) => a - b);
    const step = ticks[1]! - ticks[0]!;
    expect([1, 2, 5].some((mm) => Math.abs(length / step - 8 / mm) < 0.01)).toBe(true);
  });
  test('it says the length in the unit it was given', () => {
    plate(8.2);
    expect(screen.getByText('8.2')).toBeInTheDocument();
  });
});

describe('labels of one row', () => {
  const at = (labels: [number, number][], width = 390) =>
    [
      ...apart(
        labels.map(([x, half], index) => ({ id: String(index), x, half })),
        width,
      ),
    ].map(([, x]) => x);
  test('stand where they belong while they have room', () =>
    expect(
      at([
        [80, 30],
        [200, 40],
      ]),
    ).toEqual([80, 200]));
  test('give way by half each, and never lie over one another or off the drawing', () => {
    expect(
      at([
        [190, 30],
        [210, 50],
      ]),
    ).toEqual([155, 245]);
    for (const [labels, width] of [
      [
        [
          [10, 40],
          [30, 60],
        ],
        390,
      ],
      [
        [
          [370, 40],
          [380, 60],
        ],
        390,
      ],
      [
        [
          [180, 60],
          [190, 60],
          [200, 60],
        ],
        390,
      ],
      [
        [
          [350, 60],
          [360, 60],
          [380, 60],
        ],
        390,
      ],
    ] as [[number, number][], number][]) {
      const x = at(labels, width);
      x.forEach((centre, index) => {
        const half = labels[index]![1];
        expect(centre - half).toBeGreaterThanOrEqual(-1e-9);
        expect(centre + half).toBeLessThanOrEqual(width + 1e-9);
        if (index > 0) expect(centre - half).toBeGreaterThanOrEqual(x[index - 1]! + labels[index - 1]![1] + 10 - 1e-9);
      });
    }
  });
});
