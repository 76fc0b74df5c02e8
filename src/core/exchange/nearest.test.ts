import { STAGES } from '@/catalogue';
import { notOneOf } from './nearest';

test('a few are named in full, of many the three most alike, whatever the case', () => {
  expect(notOneOf('x', ['fast', 'slow', 'still'])).toEqual({
    code: 'cell-not-one-of',
    allowed: ['fast', 'slow', 'still'],
  });
  const { code, allowed } = notOneOf(
    ' Caddis/pupae ',
    STAGES.map((stage) => stage.id),
  );
  expect([code, allowed[0], allowed.length]).toEqual(['cell-unlike', 'caddis/pupa', 3]);
  expect(
    notOneOf(
      'x',
      Array.from({ length: 24 }, (_, n) => `w${n}`),
    ).code,
  ).toBe('cell-not-one-of');
  expect(
    notOneOf(
      'x',
      Array.from({ length: 25 }, (_, n) => `w${n}`),
    ).code,
  ).toBe('cell-unlike');
});
