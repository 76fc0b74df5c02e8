import { folded, foldAll, LEDGERS, type EventOp, type Tallies } from './ledger';

const at = (n: number) =>
  `2033-05-${String(10 + Math.floor(n / 24)).padStart(2, '0')}T${String(n % 24).padStart(2, '0')}:00`;
const guess = (n: number) => ({ guessMm: 8 + n / 100, trueMm: 8, at: at(n) });
const move = (n: number, count = 1) => ({ at: at(n), boxId: 'b', slot: 'a1', count, why: 'tied' as const });
const many = <E>(count: number, of: (n: number) => E) =>
  Object.fromEntries(Array.from({ length: count }, (_, n) => [`e${String(n).padStart(3, '0')}`, of(n)]));

describe('what a ledger comes to', () => {
  test('an eye is judged by its forty latest guesses, the newest first', () => {
    const { latest } = foldAll('eye', many(50, guess)) as Tallies['eye'];
    expect([latest.length, latest[0]!.event.at, latest.at(-1)!.event.at]).toEqual([40, at(49), at(10)]);
  });
  test('of moves the eight latest are shown, and all are counted', () => {
    const fly = foldAll(
      'fly',
      many(20, (n) => move(n)),
    ) as Tallies['fly'];
    expect([fly.places, fly.latest.length, fly.latest[0]!.id]).toEqual([
      [{ boxId: 'b', slot: 'a1', count: 20, at: at(19) }],
      8,
      'e019',
    ]);
    const packet = foldAll(
      'packet',
      many(20, (n) => ({ at: at(n), count: -1, why: 'tied' as const })),
    ) as Tallies['packet'];
    expect([packet.count, packet.latest.length]).toEqual([-20, 8]);
  });
  test('comes to the same in whatever order the entries came, and goes on from what was there before', () => {
    const events = many(12, (n) => move(n, n % 3 ? -1 : 2));
    const backwards = Object.entries(events)
      .reverse()
      .reduce(
        (tally, [id, event]) => folded(tally, { kind: 'fly', owner: 'f', id, on: true, event }),
        LEDGERS.fly.none as Tallies['fly'] as ReturnType<typeof folded>,
      );
    expect(backwards).toEqual(foldAll('fly', events));
    const [first, rest] = [
      Object.fromEntries(Object.entries(events).slice(0, 5)),
      Object.fromEntries(Object.entries(events).slice(5)),
    ];
    expect(foldAll('fly', rest, foldAll('fly', first))).toEqual(foldAll('fly', events));
  });
  test('an entry put in and taken out again leaves the count as it was', () => {
    const op: EventOp = { kind: 'packet', owner: 'p', id: 'x', on: true, event: { at: at(1), count: 25, why: 'got' } };
    expect(folded(folded(LEDGERS.packet.none, op), { ...op, on: false })).toEqual(LEDGERS.packet.none);
  });
  test('a model keeps every hook that was taped', () => {
    const taping = (n: number) => ({
      at: at(n),
      size: '12',
      how: 'glass' as const,
      shankMm: 9,
      gapeMm: null,
      overallMm: null,
      wireMm: null,
    });
    expect(Object.keys(foldAll('model', many(60, taping)))).toHaveLength(60);
  });
});
