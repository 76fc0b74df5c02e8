import { foundBy } from './found-by';

test.each([
  ['', true],
  ['  ', true],
  ['weir DUN', true],
  ['dun  weir', true],
  ['wei', true],
  ['weir pupa', false],
])('%j finds "Pale dun · Top weir": %s', (search, found) => expect(foundBy('Pale dun · Top weir', search)).toBe(found));
