import { DRESSINGS, MATERIALS } from '@/catalogue';
import { neededBy } from './stand-in';
import { shoppingList } from './shopping';

const fly = (id: string) => DRESSINGS.find((own) => own.id === id)!;
const dun = fly('first-light-dun');
const all = (...ids: string[]) => new Set(ids.flatMap((id) => neededBy(fly(id)).map(({ material }) => material)));
const without = (have: ReadonlySet<string>, ...ids: string[]) => new Set([...have].filter((id) => !ids.includes(id)));
const list = (
  ...of: Parameters<typeof shoppingList> extends [infer A, infer B, infer C, ...unknown[]] ? [A, B, C] : never
) => shoppingList(...of, MATERIALS).map(({ id, short, instead, low }) => [id, short, instead, low]);

test('with all of it there nothing is to be bought', () => expect(list([dun], all(dun.id), [])).toEqual([]));
test('what nothing stands in for is told by the flies it is short for, what something does stand in for apart', () => {
  const nymph = fly('flat-stone-nymph');
  const have = without(all(nymph.id, dun.id), 'rubber-legs', 'thread-olive-70');
  expect(list([dun, nymph], have, [])).toEqual([
    ['rubber-legs', [nymph.name], [], false],
    // The nymph's brown thread would do.
    ['thread-olive-70', [], [dun.name], false],
  ]);
});
test('each once, whichever flies ask for it, and what runs low with them', () => {
  const twice = [dun, { ...dun, id: 'other', name: 'Other' }];
  expect(
    list(twice, without(all(dun.id), 'cock-hackle-grey'), ['cock-hackle-grey', 'head-varnish', 'moonlight']),
  ).toEqual([
    ['cock-hackle-grey', [dun.name, 'Other'], [], true],
    ['head-varnish', [], [], true],
  ]);
});
