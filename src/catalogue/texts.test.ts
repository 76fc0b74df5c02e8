import { DRESSINGS, GROUPS, MATERIALS, SHADES, shippedIn, shippedTexts, TOOLS } from '.';

/** Latin, and what is no language. */
const NO_WORDS = /\.(scientific|alias|url)\b/;

function unmarked(value: unknown, path: string): string[] {
  if (typeof value === 'string')
    return /\p{L}{2}.*\s/u.test(value) && !value.startsWith('‹') && !NO_WORDS.test(path) ? [`${path}: ${value}`] : [];
  return value && typeof value === 'object'
    ? Object.entries(value).flatMap(([key, item]) => unmarked(item, `${path}.${key}`))
    : [];
}

describe('texts of the shipped lists', () => {
  const texts = shippedTexts();
  const marked = shippedIn(Object.fromEntries(Object.entries(texts).map(([key, text]) => [key, `‹${text}›`])));

  test('every text with a space in it has a key of its own', () => {
    expect(Object.keys(texts).length).toBeGreaterThan(700);
    for (const [name, rows] of Object.entries(marked)) expect(unmarked(rows, name).slice(0, 5)).toEqual([]);
  });

  test('without words of its own a language has the lists as they are written', () => {
    expect(shippedIn(null)).toEqual({
      dressings: DRESSINGS,
      materials: MATERIALS,
      shades: SHADES,
      groups: GROUPS,
      tools: TOOLS,
    });
    expect(shippedIn({})).toEqual(shippedIn(null));
    expect(shippedIn({ 'dressing.first-light-dun.name': 'Erstes Licht' }).dressings).toEqual(
      DRESSINGS.map((row) => (row.id === 'first-light-dun' ? { ...row, name: 'Erstes Licht' } : row)),
    );
  });
});
