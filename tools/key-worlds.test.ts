import { simulatedTiers, stoppingTiers, type Said } from '../benchmarks/accuracy';
import { AS_WRITTEN, naturals } from '../benchmarks/worlds';
import { KEY } from '../src/catalogue/key';

/** By how much what was said lies under what was right, where it is neither plain nor lost. */
const modest = ({ bins }: Said) => {
  const middle = bins.filter(({ said }) => said > 0.5 && said < 0.9);
  return (
    middle.reduce((sum, { said, was, n }) => sum + n * (was - said), 0) / middle.reduce((sum, { n }) => sum + n, 0)
  );
};

/** The same insects every time. */
const COUNT = 800;
const plain = simulatedTiers(COUNT);

test('in a world drawn from the written weights the key is right as often as it says, and often enough', () => {
  expect(Math.abs(modest(plain))).toBeLessThan(0.035);
  expect(plain.first).toBeGreaterThan(0.84);
  expect(plain.inTwo).toBeGreaterThan(0.94);
  expect(plain.sureWrong).toBeLessThan(0.03);
});

test('of the same insects, signs that are tempered say too little', () => {
  const tempered = simulatedTiers(COUNT, AS_WRITTEN, { ...KEY, data: { ...KEY.data, temper: 0.8 } });
  expect(modest(tempered) - modest(plain)).toBeGreaterThan(0.015);
});

test('stopped at certain it is right about as often as it says, and no answer is asked for that cannot be seen', () => {
  const { certain, answers } = stoppingTiers(300);
  const said = certain.bins.reduce((sum, bin) => sum + bin.said * bin.n, 0) / certain.n;
  expect(certain.first).toBeGreaterThan(said - 0.05);
  expect(answers).toBeLessThanOrEqual(5);
  const meet = naturals(AS_WRITTEN, 3);
  for (let i = 0; i < 300; i++)
    expect(meet().signs).toEqual(
      expect.objectContaining({ wings: expect.any(String), tails: expect.any(String), found: expect.any(String) }),
    );
});
