import { DRESSINGS } from '@/catalogue';
import { cardOn14 } from '../../../tools/test-catalogue';
import { guessedMinutes, learnt, planSession, type SessionCard, type SessionMode } from '.';

const WAITS = DRESSINGS.map(({ id }) => id).filter((id) => cardOn14(id).steps.some(({ wait_s: wait }) => wait));
const step = (n: number, wait_s: number | null = null, verb = 'other') => ({ n, do: verb, part: null, wait_s });
const simple = (minutes: number | null, ...steps: ReturnType<typeof step>[]): SessionCard => ({
  dressing: { id: 'a' },
  minutes,
  parts: [],
  steps,
});
const modes: SessionMode[] = ['fly', 'step'];

test('a fly takes its minutes, half as long again among the first six, less after two dozen', () => {
  expect([0, 5, 6, 23, 24, 90].map(learnt)).toEqual([1.5, 1.5, 1, 1, 0.8, 0.8]);
  const one = (made: number) => planSession([{ card: simple(10, step(1)), count: 1, made }], 'fly').minutes.mean;
  expect([one(0), one(6), one(24)]).toEqual([15.25, 10.25, 8.25]);
});

test('where nobody said how long, it follows from how many materials there are', () => {
  const of = (count: number) =>
    guessedMinutes({ parts: Array.from({ length: count }, (_, at) => ({ material: { id: String(at) } })) });
  expect([of(1), of(3), of(4), of(6), of(7)]).toEqual([5, 5, 8.5, 8.5, 16]);
  expect(guessedMinutes({ parts: [{ material: { id: 'a' } }, { material: { id: 'a' } }, { material: null }] })).toBe(5);
});

test('acts share a fly’s minutes by how long each takes beside another', () => {
  const { order } = planSession(
    [{ card: simple(10, step(1, null, 'dub'), step(2), step(3)), count: 1, made: 6 }],
    'fly',
  );
  const [first, second, third] = order.map(({ at_min }) => at_min) as [number, number, number];
  expect(second - first).toBeCloseTo((10 * 4) / 6, 9);
  expect(third - second).toBeCloseTo(10 / 6, 9);
});

test('while one dries another is tied: sooner than with every wait sat out', () => {
  const card = simple(5, step(1, 600), step(2));
  const { minutes, one_by_one_minutes, proven, ends } = planSession([{ card, count: 4, made: 6 }], 'fly');
  expect(proven).toBe(true);
  // Four first halves take as long as the first needs to dry; then the second halves.
  expect(minutes.mean).toBeLessThan(one_by_one_minutes - 25);
  expect(one_by_one_minutes).toBeCloseTo(4 * (0.25 + 5 + 10), 6);
  expect(Math.max(...ends.map(({ at_min }) => at_min))).toBeCloseTo(minutes.mean, 9);
});

test.each(modes)('%s by %s: every step of every fly once, none before what it stands on', (mode) => {
  for (const id of [...WAITS.slice(0, 6), 'first-light-dun']) {
    const card = cardOn14(id);
    const plan = planSession([{ card, count: 3 }], mode);
    expect(plan.flies).toBe(3);
    expect(plan.order).toHaveLength(3 * card.steps.length);
    for (let fly = 1; fly <= 3; fly++) {
      const own = plan.order.filter((one) => one.fly === fly);
      expect(own.map(({ step: n }) => n)).toEqual(card.steps.map(({ n }) => n));
      own.slice(1).forEach((one, at) => {
        expect(one.at_min).toBeGreaterThanOrEqual(own[at]!.at_min + (own[at]!.wait_s ?? 0) / 60);
      });
    }
    expect(plan.minutes.low).toBeLessThanOrEqual(plan.minutes.mean);
    expect(plan.minutes.high).toBeGreaterThanOrEqual(plan.minutes.mean);
    expect(plan.minutes.mean).toBeLessThanOrEqual(plan.one_by_one_minutes + (mode === 'step' ? Infinity : 1e-9));
  }
});

test('step by step each step is done on all before the next, and reaching for the same material again is saved', () => {
  const card = simple(10, step(1), step(2));
  const plan = planSession([{ card, count: 3, made: 6 }], 'step');
  expect(plan.order.map(({ fly, step: n }) => `${fly}.${n}`)).toEqual(['1.1', '2.1', '3.1', '1.2', '2.2', '3.2']);
  const [first, second, third] = plan.order.map(({ at_min }) => at_min) as [number, number, number];
  expect(second - first).toBeCloseTo(5 + 0.25, 9);
  expect(third - second).toBeCloseTo(5 - 8 / 60 + 0.25, 9);
  // Of a short step no more than a quarter.
  const quick = planSession([{ card: simple(0.5, step(1), step(2)), count: 3, made: 6 }], 'step').order;
  expect(quick[2]!.at_min - quick[1]!.at_min).toBeCloseTo(0.25 * 0.75 + 0.25, 9);
});

test('flies of several cards are numbered one after the other; none take no time', () => {
  const plan = planSession(
    [
      { card: simple(4, step(1)), count: 2 },
      { card: simple(6, step(1)), count: 1 },
    ],
    'fly',
  );
  expect(plan.ends.map(({ fly }) => fly)).toEqual([1, 2, 3]);
  expect(planSession([], 'fly')).toMatchObject({ flies: 0, order: [], minutes: { mean: 0 }, one_by_one_minutes: 0 });
});

test.each([
  ['wind', 3],
  ['dub', 4],
  ['loop', 4],
  ['post', 3],
  ['divide', 3],
  ['bind', 2],
  ['catch-in', 2],
  ['fold', 2],
  ['finish', 2],
  ['lay-weight', 2],
  ['seat-bead', 1.5],
  ['coat', 1.5],
  ['check', 0.5],
  ['cut', 1],
])('%s takes %f times what any other act takes', (verb, times) => {
  const { order } = planSession([{ card: simple(10, step(1, null, verb), step(2)), count: 1, made: 6 }], 'fly');
  const first = order[1]!.at_min - order[0]!.at_min;
  expect(first / (10 - first)).toBeCloseTo(times, 9);
});

test('quick hands take four fifths, slow ones five quarters; waits stay', () => {
  const { low, high } = planSession([{ card: simple(10, step(1, 600), step(2)), count: 1, made: 6 }], 'fly').minutes;
  expect([low, high]).toEqual([expect.closeTo(0.25 + 8 + 10, 9), expect.closeTo(0.25 + 12.5 + 10, 9)]);
});
