import {
  confidenceOf,
  holdingRivals,
  lengthError,
  likelyRivals,
  sdOfError,
  unsureOf,
  type MeasuredLength,
} from './length-error';

const BODY: MeasuredLength = {
  bodyMm: 10,
  mmPerPx: 0.05,
  edgePx: 2,
  radiusPx: 20,
  turn: 0.5,
  wander: 0.2,
  sharp: false,
  residualMm: 0.15,
  raisedMm: 0.6,
  cameraMm: 200,
  cameraSd: 0.2,
  stretch: 0.02,
  rootPx: 3,
  wingPx: 2,
};
const error = (more: Partial<MeasuredLength> = {}) => lengthError({ ...BODY, ...more });

describe('what a ± is made of, worked by hand', () => {
  // All but a soft body's stretch and the root of its tails are narrowed by 0.88: docs/accuracy.md.
  test.each([
    ['ends', 0.82 * Math.SQRT2 * Math.hypot(0.46, 0.035 * 20) * 0.05],
    ['blur', 0.82 * Math.SQRT2 * 0.25 * 2 * 0.05],
    ['posture', 0.82 * 10 * (0.0025 + 0.004 * 0.5 + 0.004 * 0.2)],
    ['card', (0.82 * 10 * 0.15) / 75],
    ['height', 0.82 * 10 * (0.6 / 200) * Math.hypot(0.45, 0.2)],
    ['stretch', 0.02 * 10],
    ['root', 3 * 0.05],
  ] as const)('%s', (part, mm) => expect(error()[part]).toBeCloseTo(mm, 9));
  test('turns to and fro put 0.4 % in for each radian', () =>
    expect(error({ wander: 1.2 }).posture - error().posture).toBeCloseTo(0.82 * 10 * 0.004, 9));
  test('a turn too sharp to follow puts 9 % of the length in', () =>
    expect(error({ sharp: true }).posture - error().posture).toBeCloseTo(0.82 * 10 * 0.09, 9));
  test('together they are the ±: none can be dropped unseen', () => {
    const parts = error();
    const all = sdOfError(parts);
    expect(all ** 2).toBeCloseTo(
      Object.values(parts).reduce((sum, sd) => sum + sd ** 2, 0),
      12,
    );
    for (const part of Object.keys(parts) as (keyof typeof parts)[])
      expect([part, sdOfError({ ...parts, [part]: 0 }) < all - 1e-6]).toEqual([part, true]);
  });
  test.each([
    ['blur', { edgePx: 4 }],
    ['posture', { turn: 1 }],
    ['card', { residualMm: 0.3 }],
    ['height', { raisedMm: 1.2 }],
    ['stretch', { stretch: 0.04 }],
    ['root', { rootPx: 6 }],
    ['wing', { wingPx: 4 }],
    ['ends', { radiusPx: 40 }],
  ] as [keyof ReturnType<typeof error>, Partial<MeasuredLength>][])(
    '%s grows with its cause, the rest stays',
    (part, more) => {
      const [one, two] = [error(), error(more)];
      expect(two[part]).toBeGreaterThan(one[part] * 1.2);
      for (const other of Object.keys(one) as (typeof part)[])
        if (other !== part) expect(two[other]).toBeCloseTo(one[other], 12);
    },
  );
});

test('confidence falls as the ± leaves 4 % of the length', () => {
  expect(confidenceOf(10, 0.1)).toBe(1);
  expect(confidenceOf(10, (0.04 * 10) / 1.96)).toBeCloseTo(1, 9);
  expect(confidenceOf(10, (0.08 * 10) / 1.96)).toBeCloseTo(0.5, 9);
});

test('an end, or a line, that may be out by more than 4 % of the length at 95 % is asked for', () => {
  const [just, over] = [0.4 / 1.96 - 1e-6, 0.4 / 1.96 + 1e-6];
  expect([
    unsureOf(10, { root: just, posture: just }),
    unsureOf(10, { root: over, posture: 0 }),
    unsureOf(10, { root: 0, posture: over }),
    unsureOf(10, { root: 0.8 * over, wing: 0.61 * over, posture: 0 }),
    unsureOf(10, { root: over, posture: over }),
  ]).toEqual([
    [],
    ['photo-end-unsure'],
    ['photo-line-unsure'],
    ['photo-end-unsure'],
    ['photo-end-unsure', 'photo-line-unsure'],
  ]);
});

describe('a rival length', () => {
  const root = (rivals: { mm: number; odds: number }[]) =>
    holdingRivals(
      { ...error(), wing: 0.1 },
      10,
      likelyRivals(rivals).map(({ mm }) => mm),
    ).wing;
  test('that is likely enough is held by the ±, longer or shorter, the farthest of them', () => {
    expect(root([{ mm: 11.7, odds: 0.5 }])).toBeCloseTo(1, 9);
    expect(
      root([
        { mm: 11.7, odds: 0.5 },
        { mm: 6.6, odds: 0.3 },
      ]),
    ).toBeCloseTo(2, 9);
  });
  test('that is unlikely is not, nor is one nearer than what is out already; the other parts stay', () => {
    expect(root([{ mm: 17, odds: 0.05 }])).toBe(0.1);
    expect(root([{ mm: 17, odds: 0.07 }])).toBeGreaterThan(4);
    expect(root([{ mm: 10.05, odds: 1 }])).toBe(0.1);
    expect(holdingRivals(error(), 10, [17])).toMatchObject({ ends: error().ends, blur: error().blur });
  });
});
