import fc from 'fast-check';
import {
  countedSeconds,
  flyKey,
  freshFly,
  handsOn,
  paceOf,
  restOf,
  tallyOf,
  withoutStep,
  withStep,
  type Running,
  type RunningFly,
  type SessionCard,
} from '.';

const step = (n: number, wait_s: number | null = null) => ({ n, do: 'other', part: null, wait_s });
const card = (minutes: number, ...waits: (number | null)[]): SessionCard => ({
  dressing: { id: 'a' },
  minutes,
  parts: [],
  steps: waits.map((wait, at) => step(at + 1, wait)),
});
const fly = (more: Partial<RunningFly> & { n: number }): RunningFly => ({ ...freshFly('i1', more.n), ...more });
const session = (count: number, of: SessionCard, flies: RunningFly[] = [], more: Partial<Running> = {}): Running => ({
  mode: 'fly',
  items: [{ id: 'i1', card: of, count, made: 6 }],
  flies: Object.fromEntries(flies.map((own) => [flyKey(own.item, own.n), own])),
  at: null,
  ...more,
});
const NOW = 1_000_000;

test('what is made, begun, spoiled and open: a spoiled fly is tied again', () => {
  const running = session(4, card(10, null), [
    fly({ n: 1, state: 'made', done: 1 }),
    fly({ n: 2, state: 'spoiled' }),
    fly({ n: 3 }),
  ]);
  expect(tallyOf(running, running.items[0]!)).toEqual({ wanted: 4, made: 1, begun: 1, spoiled: 1, open: 2 });
  // Those to come are numbered on from the last.
  expect(restOf(running, NOW).flies.map(({ n }) => n)).toEqual([3, 4, 5]);
});

test('a step is noted with its time, what needs a wait lies until then, and after the last step the fly is made', () => {
  const of = card(10, 600, null, 60);
  const first = withStep(fly({ n: 1 }), of, { now: NOW, tookS: 30 });
  expect(first).toMatchObject({ done: 1, state: 'begun', wetUntil: NOW + 600_000, spent: { 1: 30 } });
  const second = withStep(first, of, { now: NOW, tookS: 10 });
  expect(second).toMatchObject({ done: 2, wetUntil: null });
  const third = withStep(second, of, { now: NOW, tookS: 5 });
  expect(third).toMatchObject({ done: 3, state: 'made', wetUntil: NOW + 60_000 });
  expect(withStep(third, of, { now: NOW, tookS: 5 })).toBe(third);
  // Taken back it is to be done again, and its time stays.
  expect(withoutStep(third)).toMatchObject({ done: 2, state: 'begun', wetUntil: null, spent: { 3: 5 } });
  expect(withStep(withoutStep(third), of, { now: NOW, tookS: 7 }).spent).toMatchObject({ 3: 12 });
  expect(withoutStep(fly({ n: 1 })).done).toBe(0);
  expect(withoutStep(fly({ n: 1, done: 2, state: 'spoiled' })).done).toBe(2);
});

test('nothing wet is touched: another fly comes next, and where none is left it is waited for', () => {
  const of = card(10, 600, null);
  const wet = fly({ n: 1, done: 1, wetUntil: NOW + 600_000 });
  expect(restOf(session(2, of, [wet], { at: 'i1-1' }), NOW).next).toMatchObject({ n: 2, step: 1, waitS: 0 });
  expect(restOf(session(1, of, [wet], { at: 'i1-1' }), NOW).next).toMatchObject({ n: 1, step: 2, waitS: 600 });
  expect(restOf(session(1, of, [wet]), NOW + 601_000).next).toMatchObject({ waitS: 0 });
  expect(restOf(session(1, of, [fly({ n: 1, done: 2, state: 'made' })]), NOW)).toMatchObject({ next: null, lastS: 0 });
});

test('a fly that was left in the middle is gone on with first; one taken up by choice is, wherever it stands', () => {
  const of = card(10, 600, null, null, null);
  const amid = fly({ n: 2, done: 2 });
  const dry = fly({ n: 1, done: 1, wetUntil: NOW - 1 });
  expect(restOf(session(3, of, [dry, amid], { at: 'i1-2' }), NOW).next).toMatchObject({ n: 2, step: 3 });
  for (const mode of ['fly', 'step'] as const) {
    const chosen = session(3, of, [dry, amid], { at: 'i1-1', chosen: true, mode });
    expect(restOf(chosen, NOW).next).toMatchObject({ n: 1, step: 2 });
    // What is wet is not, whoever chose it.
    const wet = session(3, of, [{ ...dry, wetUntil: NOW + 60_000 }, amid], { at: 'i1-1', chosen: true, mode });
    expect(restOf(wet, NOW).next!.n).not.toBe(1);
  }
});

test('a fly that was left in the middle and is wet, whatever it waits for, keeps no other waiting', () => {
  const of = card(10, null, null, null);
  const wet = fly({ n: 1, done: 1, wetUntil: NOW + 600_000 });
  expect(restOf(session(2, of, [wet], { at: 'i1-1' }), NOW).next).toMatchObject({ n: 2, waitS: 0 });
});

test('step by step the next step is the first that any fly has open', () => {
  const of = card(10, null, null);
  const running = session(3, of, [fly({ n: 1, done: 1 }), fly({ n: 2, done: 1 })], { mode: 'step', at: 'i1-2' });
  expect(restOf(running, NOW).plan.order.map(({ fly: at, step: n }) => `${at}.${n}`)).toEqual([
    '3.1',
    '1.2',
    '2.2',
    '3.2',
  ]);
});

test('slow hands make the rest slower, by as much as was seen of them; what was left alone or tapped on does not', () => {
  const of = card(10, null, null);
  const [usual] = handsOn(of, 6) as [number];
  const after = (took: number) => paceOf(session(2, of, [fly({ n: 1, done: 1, spent: { 1: took } })]));
  expect(paceOf(session(2, of))).toBe(1);
  // Eight usual minutes weigh with the five that were seen.
  expect(after(2 * usual)).toBeCloseTo((480 + 600) / (480 + 300), 9);
  expect(after(usual / 2)).toBeCloseTo((480 + 150) / (480 + 300), 9);
  expect(after(100 * usual)).toBe(1);
  expect(after(1)).toBe(1);
  const slow = restOf(session(2, of, [fly({ n: 1, done: 1, spent: { 1: 2 * usual } })]), NOW);
  const even = restOf(session(2, of, [fly({ n: 1, done: 1, spent: { 1: usual } })]), NOW);
  expect(slow.lastS / even.lastS).toBeGreaterThan(1.25);
});

test.each([
  [100, 100, 100],
  [499, 100, 499],
  [501, 100, 100],
  [240, 20, 240],
  [241, 20, 20],
  [9, 100, 100],
  [10, 100, 10],
])('%f s at a step that usually takes %f count as %f', (took, usual, counted) => {
  expect(countedSeconds(took, usual)).toBe(counted);
});

test('the pace of one evening never runs away', () => {
  const of = card(0.5, ...Array.from({ length: 40 }, () => null));
  const all = (took: number) => Object.fromEntries(of.steps.map(({ n }) => [n, took]));
  const many = (took: number) =>
    paceOf(
      session(
        60,
        of,
        Array.from({ length: 60 }, (_, n) => fly({ n: n + 1, done: 40, spent: all(took) })),
      ),
    );
  expect(many(200)).toBe(3);
  expect(many(0.08)).toBe(0.4);
});

test('laws: however a session is worked through, each step is done once and in order, nothing wet is touched, and all flies are made', () => {
  const cards = fc.array(fc.constantFrom(null, null, 20, 600), { minLength: 1, maxLength: 5 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(cards, fc.integer({ min: 1, max: 3 })), { minLength: 1, maxLength: 3 }),
      fc.constantFrom('fly' as const, 'step' as const),
      fc.array(fc.integer({ min: 0, max: 99 }), { minLength: 60, maxLength: 60 }),
      (made, mode, chance) => {
        let running: Running = {
          mode,
          items: made.map(([waits, count], at) => ({ id: `i${at}`, card: card(5, ...waits), count, made: 0 })),
          flies: {},
          at: null,
        };
        let now = NOW;
        for (let turn = 0; ; turn++) {
          const { next, lastS } = restOf(running, now);
          if (!next) break;
          expect(lastS).toBeGreaterThan(0);
          const known = running.flies[next.key] ?? freshFly(next.item, next.n);
          const item = running.items.find(({ id }) => id === next.item)!;
          expect(item.card.steps[known.done]!.n).toBe(next.step);
          if (known.wetUntil !== null && known.wetUntil > now) now = known.wetUntil;
          now += 1000 * (10 + chance[turn % 60]!);
          // Now and then one is spoiled.
          const after: RunningFly =
            chance[turn % 60] === 7 && turn < 40
              ? { ...known, state: 'spoiled', spoiledAt: next.step, why: 'thread' }
              : withStep(known, item.card, { now, tookS: 10 });
          // Left and opened again it is the same session.
          running = JSON.parse(
            JSON.stringify({ ...running, flies: { ...running.flies, [next.key]: after }, at: next.key }),
          );
          expect(turn).toBeLessThan(400);
        }
        for (const item of running.items) {
          const tally = tallyOf(running, item);
          expect(tally).toMatchObject({ made: item.count, begun: 0, open: 0 });
          expect(Object.values(running.flies).filter((own) => own.item === item.id)).toHaveLength(
            item.count + tally.spoiled,
          );
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('what is left takes no longer when more was done, and a plan from the middle is never better than the whole was', () => {
  const of = card(10, null, 600, null, null);
  const whole = restOf(session(3, of), NOW).lastS;
  const begun = fly({ n: 1, done: 1, spent: { 1: handsOn(of, 6)[0]! } });
  const rest = restOf(session(3, of, [begun], { at: 'i1-1' }), NOW).lastS;
  expect(rest).toBeLessThan(whole);
  expect(rest + handsOn(of, 6)[0]!).toBeGreaterThanOrEqual(whole - 15 - 1e-6);
});
