import { LABEL_ROW } from './__tests__/row';
import { NUMBER_STEP } from '../constants';
import { betweenSizes, completeModel, lawTable } from './complete-model';
import type { Hook, HookRow } from './hook';
import { modelLaw, ratioLaw } from './model-law';
import { referenceGape, referenceShank, referenceWire } from './scale';

const sizes = [10, 12, 14, 16, 18].map((n) => ({ n, labelShankMm: referenceShank(n) }));
const at = (law: ReturnType<typeof modelLaw>, n: number) => law.find((item) => item.n === n)!;

describe('tape one, know the packet', () => {
  test('nothing measured gives the labels back', () => {
    for (const item of modelLaw(sizes, [])) expect(item.shankMm).toBeCloseTo(referenceShank(item.n), 9);
  });
  test('one long hook lengthens its whole model and shrinks every ±', () => {
    const before = modelLaw(sizes, []);
    const after = modelLaw(sizes, [{ n: 14, shankMm: 7.6, sdMm: 0.03 }]);
    expect(at(after, 14).shankMm).toBeCloseTo(7.6, 1);
    expect(at(after, 18).shankMm).toBeGreaterThan(referenceShank(18));
    for (const { n } of sizes) expect(at(after, n).sdMm).toBeLessThan(at(before, n).sdMm);
  });
  test('two measured ends settle the slope', () => {
    const law = modelLaw(sizes, [
      { n: 10, shankMm: 10.4, sdMm: 0.03 },
      { n: 18, shankMm: 4.7, sdMm: 0.03 },
    ]);
    expect(at(law, 14).shankMm).toBeCloseTo(Math.sqrt(10.4 * 4.7), 0);
    expect(at(law, 10).shankMm).toBeCloseTo(10.4, 1);
  });
});

test('a ratio leans on what was measured', () => {
  expect(ratioLaw([]).ratio).toBe(1);
  const one = ratioLaw([{ labelMm: 4, measuredMm: 4.4, sdShare: 0.01 }]);
  expect(one.ratio).toBeCloseTo(1.1, 1);
  expect(one.sd).toBeLessThan(0.011);
});

describe('a model completed from what is known of it', () => {
  const row = (size: string, more: Partial<HookRow> = {}): HookRow => ({ ...LABEL_ROW, size, ...more });
  const taped = (mm: number) => ({ shank: { value: mm, sd: mm * 0.015, source: 'measured' as const } });
  const plain = ['10', '12', '14', '16', '18'].map((size) => row(size));
  const sdSteps = (hook: Hook) => hook.shank.sd! / hook.shank.value / NUMBER_STEP;

  test('nothing measured: every size as its label says, half a step unsure', () => {
    for (const hook of completeModel(plain, 'number')) {
      expect(hook.shank).toMatchObject({ value: referenceShank(Number(hook.size)), source: 'label' });
      expect(sdSteps(hook)).toBeCloseTo(0.5, 9);
    }
  });
  test('one taped: it stands as measured, the others follow it and are less unsure, nearest least', () => {
    const hooks = completeModel(
      plain.map((item) => (item.size === '14' ? { ...item, taped: taped(7.7) } : item)),
      'number',
    );
    const of = (size: string) => hooks.find((hook) => hook.size === size)!;
    expect(of('14').shank).toMatchObject({ value: 7.7, source: 'measured' });
    expect(of('14').estimated).not.toContain('shank_mm');
    expect(of('12').shank.source).toBe('model');
    expect(of('12').shank.value).toBeGreaterThan(referenceShank(12) * 1.05);
    expect(sdSteps(of('12'))).toBeLessThan(0.32);
    expect(sdSteps(of('12'))).toBeLessThan(sdSteps(of('18')));
    expect(of('12').estimated).toContain('shank_mm');
  });
  test('a second taped shrinks the ± of the rest again', () => {
    const one = completeModel(
      plain.map((item) => (item.size === '14' ? { ...item, taped: taped(7.7) } : item)),
      'number',
    );
    const two = completeModel(
      plain.map((item) =>
        item.size === '14'
          ? { ...item, taped: taped(7.7) }
          : item.size === '18'
            ? { ...item, taped: taped(5.5) }
            : item,
      ),
      'number',
    );
    expect(sdSteps(two[0]!)).toBeLessThan(sdSteps(one[0]!));
  });
  test('a value in the catalogue is not moved by the law', () => {
    const hooks = completeModel([row('12', { shankMm: 8.1 }), row('14', { taped: taped(7.7) })], 'number');
    expect(hooks[0]!.shank).toMatchObject({ value: 8.1, source: 'typed' });
  });
  test('gape and wire follow as ratios', () => {
    const hooks = completeModel(
      [
        row('12'),
        row('14', {
          taped: {
            gape: { value: 4.8, sd: 0.02, source: 'measured' },
            wire: { value: 0.36, sd: 0.003, source: 'measured' },
          },
        }),
      ],
      'number',
    );
    expect(hooks[0]!.gape).toMatchObject({ source: 'model' });
    expect(hooks[0]!.gape.value / referenceGape(referenceShank(12))).toBeCloseTo(4.8 / 4.294, 2);
    expect(hooks[0]!.wireDiameter.value).toBeLessThan(referenceWire(referenceShank(12)) * 0.92);
  });
  test('numbers that grow with the hook say no length until one is taped', () => {
    const growing = ['1', '2', '3'].map((size) => row(size, { labels: 'bigger-bigger' }));
    expect(completeModel(growing, 'number')).toEqual([]);
    const hooks = completeModel(
      growing.map((item) => (item.size === '2' ? { ...item, taped: taped(9) } : item)),
      'number',
    );
    expect(hooks).toHaveLength(3);
    expect(hooks.map((hook) => hook.shank.value)).toEqual(
      [...hooks.map((hook) => hook.shank.value)].sort((a, b) => a - b),
    );
    expect(hooks[1]!.shank.value).toBe(9);
  });
  test('a label in free text is read from the iron', () => {
    const [hook] = completeModel([row('small', { shankMm: 7 })], 'number');
    expect(hook!.gape).toMatchObject({ source: 'estimated' });
    expect(hook!.gape.value).toBeCloseTo(referenceGape(7), 9);
    expect(completeModel([row('small')], 'number')).toEqual([]);
  });
  test('a size between two labels lies along the line of its neighbours', () => {
    const hook = betweenSizes(
      [row('12', { shankMm: 9, source: 'measured' }), row('14', { shankMm: 7, source: 'measured' })],
      '13',
      'number',
    )!;
    expect(hook.shank).toMatchObject({ value: expect.closeTo(Math.sqrt(63), 6), source: 'model' });
    expect(hook.estimated).toContain('shank_mm');
    expect(betweenSizes(plain, '20', 'number')).toBeNull();
    expect(betweenSizes(plain, 'small', 'number')).toBeNull();
  });
  test('the table of a model without a measurement carries the doubt of its slope too', () => {
    const table = lawTable(plain, 'number');
    const steps = table.map(({ shank }) => shank.sd! / shank.value / NUMBER_STEP);
    expect(steps[2]).toBeCloseTo(0.5, 9);
    expect(steps[0]).toBeCloseTo(Math.hypot(0.5, 0.12 * 4), 9);
    expect(table.map(({ shank }) => shank.source)).toEqual(Array.from({ length: 5 }, () => 'label'));
  });
});
