import { SHIPPED } from '../../../tools/test-catalogue';
import { caseFrom } from '../naturals';
import type { Card } from '../tying';
import { answer, endOf, lookAgain, naturalOf, NO_CHOICES } from './index';

const dressing = (id: string) => SHIPPED.dressings.find((item) => item.id === id)!;
const cardAt = (id: string, mm?: number) =>
  answer(naturalOf(dressing(id), mm), { ...NO_CHOICES, dressingPin: id }, { ...SHIPPED, dressings: [dressing(id)] })
    .card!;

test('a case follows the body at each end, so that each end has its own hook', () => {
  const [low, high] = dressing('stick-house-larva').length_mm;
  expect([
    naturalOf(dressing('stick-house-larva'), low).caseMm,
    naturalOf(dressing('stick-house-larva'), high).caseMm,
  ]).toEqual([caseFrom(null, low), caseFrom(null, high)]);
  const [small, middle, large] = [low, undefined, high].map((mm) => cardAt('stick-house-larva', mm).hook.shank_mm);
  expect(small).toBeLessThan(0.8 * middle!);
  expect(large).toBeGreaterThan(1.05 * middle!);
});

test('a gauge over 1 is a number too, and the hardest to find is named', () => {
  const card = (gauge: string | null): Card => ({
    ...cardAt('first-light-dun'),
    hackles: [{ ...cardAt('first-light-dun').hackles[0]!, gauge }],
  });
  expect([
    endOf(card('14'), 9).gauge,
    endOf(card('1/0'), 9).gauge,
    endOf(card('2/0'), 9).gauge,
    endOf(card(null), 9).gauge,
  ]).toEqual([14, 0, -1, null]);
});

test('what each end asks is read from its card', () => {
  const card = cardAt('herl-bead-nymph');
  const bead = card.weights.find((weight) => weight.kind === 'bead')!;
  expect(endOf(card, 11)).toMatchObject({
    lengthMm: 11,
    shankMm: card.hook.shank_mm,
    hookWireMm: card.hook.wire_mm,
    beadMm: bead.diameter_mm,
    beadRangeMm: bead.range_mm,
    headTurns: null,
    weightWireMm: null,
  });
  expect(endOf(cardAt('gravel-house'), 12).weightWireMm).toBe(cardAt('gravel-house').weights[0]!.wire_mm);
  expect(endOf(null, 5)).toEqual({
    lengthMm: 5,
    shankMm: 0,
    beadMm: null,
    beadRangeMm: null,
    headTurns: null,
    headBudget: null,
    gauge: null,
    weightWireMm: null,
    hookWireMm: 0,
  });
});

test('a dressing stretched far over what can be had says where', () => {
  const own = { ...dressing('first-light-dun'), id: 'mine', length_mm: [9, 60] as [number, number] };
  const said = lookAgain(own, dressing('first-light-dun'), SHIPPED).map(({ code }) => code);
  expect(said).toContain('recheck-gauge');
  expect(said).toContain('recheck-count');
  expect(lookAgain(dressing('first-light-dun'), undefined, SHIPPED).map(({ code }) => code)).not.toContain(
    'recheck-count',
  );
});
