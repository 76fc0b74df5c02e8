import { freeSlot, heldBy, leftIn, NO_FLIES, slotsOf, withMove, type Move } from './ledger';

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

describe('compartments', () => {
  test('are named by row and column', () =>
    expect(slotsOf({ rows: 2, columns: 3 })).toEqual(['a1', 'a2', 'a3', 'b1', 'b2', 'b3']));
  test('the first free one, or none in a full box', () => {
    expect(freeSlot({ rows: 1, columns: 3 }, ['a1', null, 'a2'])).toBe('a3');
    expect(freeSlot({ rows: 1, columns: 1 }, ['a1'])).toBeNull();
  });
});
