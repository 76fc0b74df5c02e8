import also from './en-also.json';

/** Words of the trade that mean what the house calls otherwise. */
const ALSO: Readonly<Record<string, readonly string[]>> = also;

/** Whether a word of a search stands in a text as letters go, without the s of many, or by what else it is called: that as a whole word, or an ant would be found in a giant. */
function stands(word: string, text: string): boolean {
  const one = word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word;
  return text.includes(one) || (ALSO[word] ?? ALSO[one] ?? []).some((name) => new RegExp(`\\b${name}s?\\b`).test(text));
}

/** Whether every word of a search stands in a text, in any order, by its own name or another of the trade; a search without words finds everything. */
export function foundBy(text: string, search: string): boolean {
  const among = text.toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => stands(word, among));
}
