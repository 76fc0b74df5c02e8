import { isDark } from './is-dark';

test.each([
  ['2033-05-24T04:50', true],
  ['2033-05-24T06:59', true],
  ['2033-05-24T07:00', false],
  ['2033-05-24T15:59', false],
  ['2033-05-24T16:00', true],
  ['2033-05-24T23:10', true],
  ['2033-05-24', true],
])('%s: dark %s', (at, dark) => expect(isDark(at)).toBe(dark));
