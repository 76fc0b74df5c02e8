import { LABEL_ROW } from '../hooks/__tests__/row';
import { sampleOf, SHIPPED } from '../../../tools/test-catalogue';
import { completeModel, type HookRow } from '../hooks';
import { answer, NO_CHOICES, railOf } from './answer';
import { modelsInOrder } from './rank-hooks';
import { insectsToSettle, measuresToSettle } from './settle';

const row = (size: string, more: Partial<HookRow> = {}): HookRow => ({
  ...LABEL_ROW,
  maker: 'own',
  makerName: 'Own',
  model: 'label-only',
  modelName: 'Label only',
  size,
  ...more,
});
const plain = ['10', '12', '14', '16', '18'].map((size) => row(size));
const settleOf = (rows: HookRow[], lengthsMm: number[], method: 'calliper' | 'eye' = 'calliper') => {
  const { ladder } = answer(sampleOf('mayfly/dun', { lengthsMm, method }), NO_CHOICES, {
    ...SHIPPED,
    hooks: completeModel(rows, 'number'),
  });
  return { ladder, settled: measuresToSettle(ladder, 0)! };
};
const many = [7.7, 7.7, 7.8, 7.6, 7.7, 7.7, 7.65, 7.75, 7.7, 7.7, 7.7, 7.72];

describe('how many measurements would settle the match', () => {
  test('near the middle between two sizes, taping decides', () => {
    const edge = many.map((mm) => mm + 0.45);
    const { settled } = settleOf(plain, edge);
    expect(settled.probability).toBeLessThan(0.8);
    expect(settled.measures).toBeGreaterThanOrEqual(1);
    expect(settled.sizes).toHaveLength(settled.measures!);
    expect(settled.after).toBeGreaterThanOrEqual(0.8);
  });
  test('what it promises comes true: those sizes taped as they read now', () => {
    const edge = many.map((mm) => mm + 0.45);
    const { settled, ladder } = settleOf(plain, edge);
    const taped = plain.map((item) => {
      const rung = railOf(ladder, 0).find((hook) => hook.size === item.size)!;
      return settled.sizes.includes(item.size)
        ? {
            ...item,
            taped: {
              shank: { value: rung.shank_mm, sd: rung.shank_mm * 0.0844692 * 0.18, source: 'measured' as const },
            },
          }
        : item;
    });
    expect(settleOf(taped, edge).settled.probability).toBeCloseTo(settled.after, 2);
  });
  test('nothing to tape where it is settled, and none will help where the insect is the doubt', () => {
    expect(
      settleOf(
        plain.map((item) => ({ ...item, shankMm: 7 * 0.919 ** (Number(item.size) - 14), source: 'measured' as const })),
        many,
      ).settled,
    ).toMatchObject({ measures: 0, sizes: [] });
    expect(settleOf(plain, [8.4], 'eye').settled).toMatchObject({ measures: null, sizes: [] });
  });
});

describe('how many insects would settle the match', () => {
  const taped = plain.map((item) => ({
    ...item,
    shankMm: 7 * 0.919 ** (Number(item.size) - 14),
    source: 'measured' as const,
  }));
  const answered = (lengthsMm: number[]) =>
    answer(sampleOf('mayfly/dun', { lengthsMm, method: 'calliper' }), NO_CHOICES, {
      ...SHIPPED,
      hooks: completeModel(taped, 'number'),
    });
  test('none where it is settled, some from one insect, and no number of them half way between two sizes', () => {
    expect(insectsToSettle(answered(many), 0)).toBe(0);
    expect(insectsToSettle(answered([7.9]), 0)).toBeGreaterThan(0);
    const { ladder } = answered([7.7]);
    const [below, above] = railOf(ladder, 0)
      .filter((hook) => ['14', '16'].includes(hook.size))
      .map((hook) => hook.carry_mm) as [number, number];
    expect(insectsToSettle(answered([(7.7 * Math.sqrt(below * above)) / ladder.asked.targetMm]), 0)).toBeNull();
  });
  test('that many insects of that spread do settle it, one fewer does not', () => {
    const one = answered([7.9]);
    const more = insectsToSettle(one, 0)!;
    const chanceOf = (n: number) => {
      const { meanMm, spreadMm, seMm } = one.natural.length;
      const ladder = {
        ...one.ladder,
        asked: { ...one.ladder.asked, relativeSe: Math.sqrt(seMm ** 2 - spreadMm ** 2 + spreadMm ** 2 / n) / meanMm },
      };
      return Math.max(...railOf(ladder, 0).map((hook) => hook.probability!));
    };
    expect(chanceOf(1 + more)).toBeGreaterThanOrEqual(0.8);
    expect(chanceOf(more)).toBeLessThan(0.8);
  });
});

test('the rails of the ladder hold all sizes of a model, their probabilities summing to 1, nearest model first', () => {
  const result = answer(sampleOf('mayfly/dun'), NO_CHOICES, SHIPPED);
  const models = modelsInOrder(result.ladder.columns, result.ladder);
  const first = railOf(result.ladder, models[0]!);
  expect(first.map((hook) => hook.id)).toContain(result.hooks[0]!.id);
  for (const model of models.slice(0, 6))
    expect(railOf(result.ladder, model).reduce((sum, hook) => sum + hook.probability!, 0)).toBeCloseTo(1, 9);
  expect(first.map((hook) => hook.carry_mm)).toEqual([...first.map((hook) => hook.carry_mm)].sort((a, b) => a - b));
});
