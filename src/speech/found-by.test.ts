import also from './en-also.json';
import { foundBy } from './found-by';

test.each([
  ['', true],
  ['  ', true],
  ['weir DUN', true],
  ['dun  weir', true],
  ['duns', true],
  ['wei', true],
  ['weir pupa', false],
  ['upwing', false],
])('%j finds "Pale dun · Top weir": %s', (search, found) => expect(foundBy('Pale dun · Top weir', search)).toBe(found));

test.each([
  ['First-light post dun', 'parachute'],
  ['Caddis adult', 'sedges'],
  ['Midge pupa', 'buzzer'],
  ['Shrimp', 'pale scuds'],
  ['Ellanmere tuft emerger', 'hatching'],
])('%s is found by what others call it: %s', (text, search) => expect(foundBy(`${text} pale`, search)).toBe(true));

test.each([
  ['Giant slant nymph', 'terrestrial'],
  ['Goalpost larva', 'parachute'],
])('%s is not found where %s is only within a word', (text, search) => expect(foundBy(text, search)).toBe(false));

test('words of the trade are in small letters, sorted, and lead away from themselves', () => {
  expect(Object.keys(also)).toEqual(
    Object.keys(also)
      .map((word) => word.toLowerCase())
      .sort(),
  );
  for (const [word, others] of Object.entries(also)) expect([word, others.includes(word)]).toEqual([word, false]);
});
