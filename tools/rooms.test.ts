import { execSync } from 'node:child_process';

/**
 * What a stranger asks of this code, in the words of the trade, and the room that answers it. Only folder and file names are looked at: a room is found when
 * more of the asked words stand in its name than in the name of all but a few others.
 */
const ASKED: readonly { ask: string; room: RegExp }[] = [
  { ask: 'carry of a hook', room: /^src\/core\/hooks\/carry\.ts$/ },
  { ask: "a hackle's gauge", room: /^src\/core\/tying\/card-hackles\.ts$/ },
  { ask: "a stage's likelihoods", room: /^src\/catalogue\/likelihoods\.json$/ },
  { ask: "an import's duplicate rule", room: /^src\/records\/import-duplicate\.ts$/ },
  { ask: 'undo', room: /^src\/state\/undo\.ts$/ },
  { ask: 'the box ranks flies', room: /^src\/core\/box\/rank-flies\.ts$/ },
  { ask: 'a school changes tail length', room: /^src\/core\/tying\/(in-school|schools)\.ts$/ },
  { ask: 'a caution is attached', room: /^src\/core\/tying\/card-cautions\.ts$/ },
];
const FEW = 4;
const SMALL = new Set(
  'the a of on in how with that is are here what where its get gets and for change changes'.split(' '),
);

const stem = (word: string) => word.replace(/(ies|y)$/, 'i').replace(/s$/, '');
const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word && !SMALL.has(word))
    .map(stem);

const files = execSync('git ls-files src', { encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.(ts|tsx|json|csv)$/.test(file) && !/\.test\.|__tests__/.test(file));

/** How many of the asked words stand in a path; of two with as many, the one with fewer words beside them comes first. */
function found(ask: string): string[] {
  const asked = new Set(wordsOf(ask));
  return files
    .map((file) => {
      const named = wordsOf(file.replace(/\.\w+$/, ''));
      const hits = new Set(named.filter((word) => asked.has(word))).size;
      return { file, hits, other: named.length - hits };
    })
    .filter(({ hits }) => hits > 0)
    .sort((one, two) => two.hits - one.hits || one.other - two.other)
    .map(({ file }) => file);
}

test('of eight questions folder and file names alone answer all', () => {
  const led = ASKED.filter(({ ask, room }) =>
    found(ask)
      .slice(0, FEW)
      .some((file) => room.test(file)),
  );
  expect(led.map(({ ask }) => ask)).toEqual(ASKED.map(({ ask }) => ask));
});

test('a name that says nothing of the question does not lead to its room', () => {
  expect(found('the price of a boat')).toEqual([]);
});
