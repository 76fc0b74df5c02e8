import fc from 'fast-check';
import { tuned, tunedBy, type Tried } from '.';

const drop = (more: Partial<Tried> = {}): Tried => ({ what: 'drop', seconds: [2], modelS: 1, same: true, ...more });

test('without a test the model stands, sure to a factor of 1.91 both ways', () => {
  const none = tunedBy('drop', []);
  // exp(1.96 · 0.33)
  expect([none.times, none.tests]).toEqual([1, 0]);
  expect(none.high).toBeCloseTo(1.909, 3);
  expect(none.low).toBeCloseTo(1 / 1.909, 3);
});

test('one drop that took twice as long, by hand', () => {
  // Precisions 1/0.33² = 9.183 and 1/0.12² = 69.44; the speed is a factor exp(−ln 2 · 69.44/78.63) = 0.542.
  const one = tunedBy('drop', [drop()]);
  expect(one.times).toBeCloseTo(Math.exp((-Math.LN2 * 69.444) / 78.627), 4);
  expect(one.high / one.times).toBeCloseTo(Math.exp(1.96 / Math.sqrt(78.627)), 4);
  // Of another size 0.16² is added: 1/0.04 = 25.
  expect(tunedBy('drop', [drop({ same: false })]).times).toBeCloseTo(Math.exp((-Math.LN2 * 25) / 34.183), 4);
  // A cup that held it twice as long doubles, a test of the other sort says nothing.
  expect(tunedBy('cup', [drop({ what: 'cup' })]).times).toBeCloseTo(1 / one.times, 9);
  expect(tunedBy('cup', [drop()]).tests).toBe(0);
  expect(tunedBy('drop', [drop({ seconds: [] }), drop({ modelS: 0 })]).tests).toBe(0);
});

test('more timings make it surer, and a test moves it the way it says', () => {
  const seconds = fc.array(fc.double({ min: 0.1, max: 60, noNaN: true }), { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(seconds, fc.double({ min: 0.1, max: 20, noNaN: true }), fc.boolean(), (all, modelS, same) => {
      const wide = ({ low, high }: { low: number; high: number }) => Math.log(high / low);
      const one = tunedBy('drop', [drop({ seconds: all, modelS, same })]);
      expect(wide(tunedBy('drop', [drop({ seconds: [...all, ...all], modelS, same })]))).toBeLessThan(wide(one));
      expect(wide(one)).toBeLessThan(wide(tunedBy('drop', [])));
      const mean = all.reduce((sum, own) => sum + Math.log(own / modelS), 0) / all.length;
      if (Math.abs(mean) > 1e-6) expect(Math.sign(Math.log(one.times))).toBe(-Math.sign(mean));
      expect(one.low < one.times && one.times < one.high).toBe(true);
    }),
    { seed: 5 },
  );
});

test('a ride by its tests: what sinks sinks so much quicker, what floats so much longer, the rest as it was', () => {
  const [sink, float] = [
    { times: 2, low: 1, high: 3, tests: 1 },
    { times: 3, low: 2, high: 4, tests: 1 },
  ];
  expect(tuned({ sinkMmS: 100, floatS: null }, sink, float)).toEqual({ sinkMmS: 200, floatS: null });
  expect(tuned({ sinkMmS: null, floatS: 60 }, sink, float)).toEqual({ sinkMmS: null, floatS: 180 });
});
