import { SHIPPED, sampleOf } from '../../../tools/test-catalogue';
import { answer, NO_CHOICES } from '../answer';
import { NUMBER_STEP } from '../constants';
import { lookFor, sizesToLookFor } from './look-for';

const answered = answer(sampleOf('mayfly/dun', { lengthsMm: [8.1] }), NO_CHOICES, SHIPPED);

test('a body one number either way, and of each maker only sizes that carry one such, largest first', () => {
  const look = lookFor(answered)!;
  expect(Math.log(look.high_mm / answered.target_mm)).toBeCloseTo(NUMBER_STEP, 9);
  expect(Math.log(answered.target_mm / look.low_mm)).toBeCloseTo(NUMBER_STEP, 9);
  expect(look.makers.length).toBeGreaterThan(0);
  for (const { maker, model, sizes } of look.makers) {
    const carried = sizes.map(
      (size) =>
        answered.hooks.find((hook) => hook.maker_name === maker && hook.model_name === model && hook.size === size)!
          .carry_mm,
    );
    expect(carried).toEqual([...carried].sort((one, other) => other - one));
    for (const mm of carried) expect(mm >= look.low_mm && mm <= look.high_mm).toBe(true);
  }
  expect(look.ride).toBe(answered.style.ride);
  const { colour } = answered.card!.parts.find(({ part }) => part === 'abdomen')!;
  expect([look.shade, look.hex]).toEqual([colour!.shade, colour!.hex]);
});

test('where no fly can be tied there is nothing to look for', () => {
  expect(lookFor({ ...answered, card: null })).toBeNull();
});

test('sizes of all makers make one span by their number; a label that is none is left out', () => {
  const of = (...sizes: string[][]) =>
    sizesToLookFor({ makers: sizes.map((list) => ({ maker: 'm', model: 'x', sizes: list })) });
  expect(of(['14', '16'], ['12', 'V47'])).toEqual({ largest: '12', smallest: '16' });
  expect(of(['2', '1/0'])).toEqual({ largest: '1/0', smallest: '2' });
  expect(of(['V47'], ['small'])).toBeNull();
});
