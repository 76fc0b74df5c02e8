import { modelLaw, ratioLaw } from './model-law';
import { referenceShank } from './scale';

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
    const law = modelLaw(sizes, [{ n: 10, shankMm: 10.4, sdMm: 0.03 }, { n: 18, shankMm: 4.7, sdMm: 0.03 }]);
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
