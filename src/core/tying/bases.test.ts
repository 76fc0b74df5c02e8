import type { BaseSpec } from '../dressings';
import { baseLength, type BaseLengths } from './bases';

const LENGTHS: BaseLengths = {
  shank: 8,
  'hook-length': 11,
  overall: 12.5,
  gape: 4.8,
  eye: 1.5,
  abdomen: 5,
  fly: 8.2,
  natural: 9,
  bead: 2.4,
  girth: 1.3,
  tool: 1,
  landmarks: {
    'behind-eye': 0,
    'one-eye': 1.5,
    'two-eyes': 3,
    'one-third': 2.7,
    'mid-shank': 4,
    'two-thirds': 5.3,
    'hook-point': 6,
    barb: 7.6,
    'bend-start': 8,
    'into-bend': 8.2,
    'behind-bead': 2.4,
  } as BaseLengths['landmarks'],
};
const of = (base: string, scaled = false) => baseLength(base as BaseSpec, LENGTHS, new Map([['tail', 7.4]]), scaled);

test.each([
  ['shank', 8],
  ['hook-length', 11],
  ['overall', 12.5],
  ['gape', 4.8],
  ['eye', 1.5],
  ['abdomen', 5],
  ['fly', 8.2],
  ['natural', 9],
  ['bead', 2.4],
  ['girth', 1.3],
  ['tool', 1],
] as const)('%s is %s mm', (base, mm) => expect(of(base)).toBe(mm));
test('millimetres are plain, or of a reference 14 whose shank is 7', () =>
  expect([of('mm'), of('mm', true)]).toEqual([1, 8 / 7]));
test('another part’s length; one that is not laid yet has none', () =>
  expect([of('part:tail'), of('part:wing')]).toEqual([7.4, null]));
test('between two landmarks, whichever is named first', () =>
  expect([of('landmark:hook-point..bend-start'), of('landmark:bend-start..hook-point')]).toEqual([2, 2]));
test.each(['count', 'eye-judged', 'rest'])('%s is no length', (base) => expect(of(base)).toBeNull());
