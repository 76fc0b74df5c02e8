import { freeSlot, heldBy, leftIn, NO_FLIES, NO_RESULTS, slotsOf, withMove, withResult, type Move } from './ledger';

const move = (count: number, slot: string | null = 'a1', boxId = 'valley', why: Move['why'] = 'tied'): Move => ({
  at: '2033-05-24T04:50',
  boxId,
  slot,
  count,
  why,
});

const tally = (moves: Move[]) => moves.reduce((places, item) => withMove(places, item), NO_FLIES);

describe('the ledger of a fly', () => {
  test('what is left is the sum of its moves, by compartment, most first', () => {
    expect(heldBy(tally([move(3), move(4, 'b2'), move(-1, 'a1', 'valley', 'lost')]))).toEqual([
      { boxId: 'valley', slot: 'b2', left: 4 },
      { boxId: 'valley', slot: 'a1', left: 2 },
    ]);
  });
  test('a fly that has run out still has the place it belongs to', () => {
    expect(heldBy(tally([move(2), move(-2, 'a1', 'valley', 'lost')]))).toEqual([
      { boxId: 'valley', slot: 'a1', left: 0 },
    ]);
    expect(heldBy(NO_FLIES)).toEqual([]);
  });
  test('moving leaves nothing behind', () => {
    expect(heldBy(tally([move(3), move(-3, 'a1', 'valley', 'shifted'), move(3, 'c4', 'valley', 'shifted')]))).toEqual([
      { boxId: 'valley', slot: 'c4', left: 3 },
    ]);
  });
  test('two tabs that each lose the last one leave none, not minus one', () => {
    expect(leftIn(tally([move(1), move(-1), move(-1)]))).toBe(0);
  });
  test('only the boxes asked for count', () => {
    const moves = tally([move(3), move(5, 'a1', 'at-home')]);
    expect([leftIn(moves), leftIn(moves, new Set(['valley'])), leftIn(moves, new Set())]).toEqual([8, 3, 0]);
  });
});

describe('what came of a fly', () => {
  const did = (result: Move['result'], matchId?: string): Move => ({
    ...move(0),
    result,
    ...(matchId ? { matchId } : {}),
  });
  test('is counted in all and for each match, and an entry taken out is counted no more', () => {
    const moves = [did('took', 'm1'), did('refused', 'm1'), did('took', 'm2'), did('took'), move(-1)];
    const results = moves.reduce((sum, item) => withResult(sum, item), NO_RESULTS);
    expect(results).toEqual({
      all: { took: 3, refused: 1 },
      of: { m1: { took: 1, refused: 1 }, m2: { took: 1, refused: 0 } },
    });
    expect(moves.reduce((sum, item) => withResult(sum, item, -1), results).all).toEqual({ took: 0, refused: 0 });
  });
  test('moves no fly', () => {
    const places = tally([move(3)]);
    expect(withMove(places, did('took'))).toEqual(places);
    expect(withMove(NO_FLIES, did('refused'))).toEqual([]);
  });
});

describe('compartments', () => {
  test('are named by row and column', () =>
    expect(slotsOf({ rows: 2, columns: 3 })).toEqual(['a1', 'a2', 'a3', 'b1', 'b2', 'b3']));
  test('the first free one, or none in a full box', () => {
    expect(freeSlot({ rows: 1, columns: 3 }, ['a1', null, 'a2'])).toBe('a3');
    expect(freeSlot({ rows: 1, columns: 1 }, ['a1'])).toBeNull();
  });
});
