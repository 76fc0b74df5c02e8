import { GROUPS } from '@/catalogue';
import { tailsAt, tailsFor, tailsOfNatural } from '.';

const [two, three, odd] = [
  { id: 'two', adult_tails: [2], stages: [{ stage: 'mayfly/dun' }, { stage: 'mayfly/nymph' }] },
  { id: 'three', adult_tails: [3], stages: [{ stage: 'mayfly/dun' }, { stage: 'mayfly/spinner' }] },
  { id: 'odd', adult_tails: null, young_tails: [2], stages: [{ stage: 'mayfly/nymph' }, { stage: 'caddis/pupa' }] },
] as const;
const groups = [two, three, odd];

test.each([
  [two, 'mayfly/dun', [2]],
  [two, 'mayfly/nymph', [3]],
  [odd, 'mayfly/nymph', [2]],
  [odd, 'mayfly/dun', []],
  [odd, 'caddis/pupa', []],
  [odd, 'stonefly/nymph', [2]],
] as const)('a group at a stage', (group, stage, tails) => expect(tailsAt(group, stage)).toEqual(tails));

describe('one natural', () => {
  const ask = (more: Partial<Parameters<typeof tailsOfNatural>[0]>) =>
    tailsOfNatural({ stage: 'mayfly/dun', counted: [], fits: [], groups, ...more });
  test('counted tails stand before the groups', () => expect(ask({ counted: [3], fits: ['two'] })).toEqual([3]));
  test('the groups it can be, each number once, least first', () => {
    expect(ask({ fits: ['two'] })).toEqual([2]);
    expect(ask({ fits: ['three', 'two', 'odd'] })).toEqual([2, 3]);
  });
  test('without a group all of its stage', () => expect(ask({})).toEqual([2, 3]));
  test('a stage without tails has none', () => expect(ask({ stage: 'caddis/pupa' })).toEqual([]));
});

test('for a fly of several stages, each natural by itself; only those it is made for where it is made for some', () => {
  expect(tailsFor(['mayfly/dun', 'mayfly/nymph'], [], groups)).toEqual([[2], [3], [3], [2]]);
  expect(tailsFor(['mayfly/dun'], ['three'], groups)).toEqual([[3]]);
});

test('every shipped mayfly with known tails has two or three', () => {
  for (const group of GROUPS.filter((item) => item.order === 'mayfly' && item.adult_tails !== null))
    expect(group.adult_tails!.every((count) => count === 2 || count === 3)).toBe(true);
});
