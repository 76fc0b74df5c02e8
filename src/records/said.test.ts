import { says } from './said';

test.each<[unknown, boolean]>([
  [null, false],
  [undefined, false],
  ['', false],
  [[], false],
  [{}, false],
  [{ mm: null, typed: null }, false],
  [[{ mm: null }], false],
  [0, true],
  [false, true],
  ['x', true],
  [['x'], true],
  [{ mm: null, typed: 'long' }, true],
])('%j says something: %s', (value, told) => expect(says(value)).toBe(told));
