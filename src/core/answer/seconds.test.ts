import { sampleOf, SHIPPED } from '../../../tools/test-catalogue';
import { answer, NO_CHOICES, secondsTo, type Choices } from '.';

const ask = (stage: Parameters<typeof sampleOf>[0], intent: Choices['offset']['intent'], catalogue = SHIPPED) =>
  answer(sampleOf(stage, { lengthsMm: [9] }), { ...NO_CHOICES, offset: { sizes: 0, intent } }, catalogue);
const codes = (result: ReturnType<typeof answer>) => result.dressing!.why.map((why) => why.code);

test('a neighbour fills the list but is no second', () => {
  const result = ask('mayfly/dun', 'exact');
  expect(result.alternatives.some((item) => item.stage_match === 'neighbour')).toBe(true);
  expect(secondsTo(result).length).toBeGreaterThan(1);
  expect(secondsTo(result).every((item) => item.stage_match === 'same')).toBe(true);
  expect(codes(result)).not.toContain('no-second-fly');
});
test('where another stage is wanted, its flies are seconds, and nobody says that there is none', () => {
  for (const intent of ['easier-prey', 'different-after-refusal'] as const) {
    const result = ask('mayfly/dun', intent);
    expect(secondsTo(result)).toEqual(result.alternatives);
    expect(codes(result)).not.toContain('no-second-fly');
    expect(codes(result).some((code) => code.startsWith('before-second-'))).toBe(true);
  }
});
test('a stage with one fly says that it has no second', () => {
  const [kept] = SHIPPED.dressings.filter((dressing) => dressing.stages.includes('leech/adult'));
  const result = ask('leech/adult', 'exact', {
    ...SHIPPED,
    dressings: SHIPPED.dressings.filter((dressing) => dressing === kept || !dressing.stages.includes('leech/adult')),
  });
  expect(secondsTo(result)).toEqual([]);
  expect(codes(result)).toContain('no-second-fly');
});
