import { distance } from 'fastest-levenshtein';

/** So many words are named in full; of more the nearest. */
const IN_FULL = 24;
const NEAREST = 3;

/** What is said of a word that is none of those allowed: all of them, or those most like it where they are many. */
export function notOneOf(
  got: string,
  allowed: readonly string[],
): { code: 'cell-not-one-of' | 'cell-unlike'; allowed: string[] } {
  if (allowed.length <= IN_FULL) return { code: 'cell-not-one-of', allowed: [...allowed] };
  const word = got.trim().toLowerCase();
  return {
    code: 'cell-unlike',
    allowed: [...allowed].sort((a, b) => distance(word, a) - distance(word, b) || a.localeCompare(b)).slice(0, NEAREST),
  };
}
