import { SHIPPED } from '../../../tools/test-catalogue';
import { SUIT } from '../constants';
import { firmHook } from './firm-hook';
import { answer, naturalOf, NO_CHOICES } from './index';

const shown = (id: string, catalogue = SHIPPED) => {
  const dressing = SHIPPED.dressings.find((item) => item.id === id)!;
  return answer(naturalOf(dressing), { ...NO_CHOICES, dressingPin: id }, catalogue);
};

test('a dressing is shown on a hook whose lengths and wire are known, nearly as good as the best', () => {
  const none: string[] = [];
  const worst = SHIPPED.dressings.map(({ id }) => {
    const answered = shown(id);
    const firm = firmHook(answered);
    if (firm === null) {
      none.push(id);
      return 0;
    }
    const hook = answered.hooks.find((item) => item.id === firm)!;
    const { columns } = answered.ladder;
    expect(columns.hooks[columns.at.get(firm)!]!.estimated).not.toEqual(expect.arrayContaining(['wire_mm']));
    return hook.steps! - answered.hooks[0]!.steps!;
  });
  expect(none).toEqual(['stitched-overhang-stone', 'clear-roof-cicada', 'hair-roof-cicada']);
  expect(Math.max(...worst)).toBeLessThanOrEqual(SUIT.bandSteps);
});

test('the first stays where it is known, and of hooks known by a label alone there is none', () => {
  const answered = shown('first-light-dun');
  expect(firmHook(answered)).toBe(answered.hooks[0]!.id);
  const { ladder } = answered;
  const hooks = ladder.columns.hooks.map((hook) => ({ ...hook, estimated: ['wire_mm' as const] }));
  expect(firmHook({ ...answered, ladder: { ...ladder, columns: { ...ladder.columns, hooks } } })).toBeNull();
});
