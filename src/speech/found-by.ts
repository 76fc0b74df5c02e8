/** Whether every word of a search stands in a text, in any order, as letters go; a search without words finds everything. */
export function foundBy(text: string, search: string): boolean {
  const among = text.toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => among.includes(word));
}
