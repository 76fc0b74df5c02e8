import { saidOver, says } from './said';

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

test('what is left empty never erases, and what is said does; twice is once', () => {
  const known = { name: 'A', note: 'seen', months: [5], case: { mm: 12 as number | null } };
  const once = saidOver(known, { name: 'B', note: '', months: [], case: { mm: null } });
  expect(once).toEqual({ name: 'B', note: 'seen', months: [5], case: { mm: 12 } });
  expect(saidOver(once, { name: 'B', note: '' })).toEqual(once);
  expect(known.name).toBe('A');
});
