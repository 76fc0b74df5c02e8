import { hooksFromRows, demoRows } from '@/catalogue';
import type { Move } from '@/core/box';
import { flySchema, NO_KIND, sameKind } from '@/records';
import { withEvents } from '@/records/__tests__/ledgers';
import { createI18n, createSpeech } from '@/speech';
import hooksCsv from '@/catalogue/hooks.csv';
import { slotName } from './compartments';
import { cellsOf, fliesIn, hookLine, placeName, sizeOf } from './in-box';

const hooks = new Map(hooksFromRows(demoRows(hooksCsv), () => 'number').map((hook) => [hook.id, hook]));
const speech = createSpeech(createI18n(), 'mm');
const move = (count: number, slot: string | null, boxId = 'b', at = '2033-05-24T04:50') => ({
  at,
  boxId,
  slot,
  count,
  why: 'tied' as const,
});
const fly = (fields: object, moves: Record<string, Move>) => withEvents('fly', flySchema.cast(fields), moves);
const dun = fly(
  { dressingId: 'first-light-dun', dressingRev: 1, hookId: 'osmere:lark:14' },
  { m1: move(3, 'b2'), m2: move(2, 'a10') },
);
const other = fly(
  { name: 'bought', stage: 'midge/pupa', lengthMm: 6.5 },
  { m1: move(1, 'a1'), m2: { ...move(-1, 'a1'), why: 'lost' as const } },
);
const home = fly({ dressingId: 'half-out-dun' }, { m1: move(4, 'a1', 'at-home') });

describe('flies of one box', () => {
  const held = fliesIn('b', { dun, other, home });
  test('are those with a move in it, by compartment, with what is left there', () => {
    expect(held.map((item) => [item.id, item.slot, item.left])).toEqual([
      ['other', 'a1', 0],
      ['dun', 'b2', 5],
    ]);
  });
  test('fill their compartments; one that ran out keeps its place', () => {
    const cells = cellsOf(
      'b',
      held,
      hooks,
      speech,
      (fly) => fly.name || 'dun',
      () => undefined,
    );
    expect([...cells].map(([slot, cell]) => [slot, cell.left, cell.size, cell.name, cell.stage])).toEqual([
      ['a1', 0, '7\u202fmm', 'bought', 'midge/pupa'],
      ['b2', 3, '14', 'dun', null],
      ['a10', 2, '14', 'dun', null],
    ]);
  });
  test('a compartment with two kinds shows how many lie in it', () => {
    const both = fliesIn('b', {
      dun,
      more: fly({ dressingId: 'half-out-dun', hookId: 'osmere:lark:12' }, { m: move(4, 'b2') }),
    });
    expect(
      cellsOf(
        'b',
        both,
        hooks,
        speech,
        () => 'x',
        () => undefined,
      ).get('b2')!.left,
    ).toBe(7);
  });
});

describe('how a fly is named', () => {
  test('by its hook, its length, or nothing', () => {
    expect(hookLine(dun, hooks, speech)).toBe('Osmere Lark 14');
    expect(hookLine(other, hooks, speech)).toBe('6.5 mm');
    expect(hookLine(home, hooks, speech)).toBe('');
    expect(sizeOf(other, hooks, createSpeech(createI18n(), 'in-fraction'))).toBe('1/4 in');
  });
  test('by its box and compartment, as far as they are known', () => {
    const box = { demo: false, name: 'Valley box', rows: 4, columns: 6, carried: true };
    expect([
      placeName(box, 'b2', speech),
      placeName(box, null, speech),
      placeName(undefined, null, speech),
      slotName('a10'),
    ]).toEqual(['Valley box, B2', 'Valley box', '', 'A10']);
  });
  test('two of one kind are the same fly, one of another colour is not', () => {
    const kind = { ...NO_KIND, name: 'bought', stage: 'midge/pupa' as const, lengthMm: 6.5 };
    expect(sameKind(other, kind)).toBe(true);
    expect(sameKind(other, { ...kind, shade: 'mid-olive' })).toBe(false);
  });
});
