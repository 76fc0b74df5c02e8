import type { ColourWord } from '@/catalogue/ids';

/** Up to which CIEDE2000 difference each word holds. Source: ids, Words of judgement. */
const LIMITS: readonly (readonly [limit: number, word: ColourWord])[] = [
  [1, 'same'],
  [2, 'hard-to-tell'],
  [5, 'close'],
  [10, 'related'],
  [Infinity, 'off'],
];

/** A colour difference in a word. */
export function colourWord(deltaE: number): ColourWord {
  return LIMITS.find(([limit]) => deltaE <= limit)![1];
}
