import fc from 'fast-check';
import { chanceShort, fliesToCarry, HOURS_MOST, RATE_MOST } from './flies-to-carry';

test.each([
  [7.2, 0.1, 12],
  [1.5, 0.05, 5],
  [25, 0.01, 38],
  [0.1, 0.2, 1],
])('%f flies lost as a rule, a risk of %f: %i', (mean, risk, flies) => {
  expect(fliesToCarry({ hours: mean, rate: 1, risk })).toBe(flies);
  expect(fliesToCarry({ hours: mean / 3, rate: 3, risk })).toBe(flies);
});

/** The chance summed term by term: e^−m·m^k/k! of k = 0 … n − 1, away from 1. */
function summed(flies: number, mean: number): number {
  let [term, all] = [Math.exp(-mean), 0];
  for (let k = 0; k < flies; k++) {
    all += term;
    term *= mean / (k + 1);
  }
  return 1 - all;
}

test('the chance is what its terms come to, and the fewest flies are just enough', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 60, noNaN: true }), fc.integer({ min: 1, max: 120 }), (mean, flies) => {
      expect(Math.abs(chanceShort(flies, mean) - summed(flies, mean))).toBeLessThan(1e-9);
    }),
    { seed: 20 },
  );
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.double({ min: 0.0001, max: 0.9999, noNaN: true }),
      (mean, risk) => {
        const flies = fliesToCarry({ hours: mean, rate: 1, risk });
        expect(chanceShort(flies, mean)).toBeLessThanOrEqual(risk);
        expect(chanceShort(flies - 1, mean)).toBeGreaterThan(risk);
        expect(fliesToCarry({ hours: mean + 1, rate: 1, risk })).toBeGreaterThanOrEqual(flies);
      },
    ),
    { seed: 20 },
  );
});

test('of the longest season a number is found, and without any loss one fly is enough', () => {
  const most = fliesToCarry({ hours: HOURS_MOST, rate: RATE_MOST, risk: 0.0001 });
  expect(most).toBeGreaterThan(HOURS_MOST * RATE_MOST);
  expect(most).toBeLessThan(HOURS_MOST * RATE_MOST + 5 * Math.sqrt(HOURS_MOST * RATE_MOST));
  expect(fliesToCarry({ hours: 3, rate: 0, risk: 0.05 })).toBe(1);
});
