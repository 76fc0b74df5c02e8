import { DRESSINGS, KNOWN, WORKS } from '@/catalogue';
import { createI18n, createSpeech } from '@/speech';
import { cardMarkdown, cardSheet } from '@/speech/card';
import { cardOn14 } from '../../../tools/test-catalogue';
import { MOST_DRESSINGS, readDressings, writeDressings } from './dressings-file';

const speech = createSpeech(createI18n(), 'mm');
test('the whole library goes out and comes back the same', () => {
  const read = readDressings(writeDressings(DRESSINGS, WORKS), KNOWN, WORKS);
  expect(read).toMatchObject({ problems: [], fault: null, count: DRESSINGS.length });
  expect(read.dressings).toEqual(DRESSINGS);
});

test('one, a list, and the envelope are read; a byte-order mark is passed over', () => {
  const one = JSON.stringify(DRESSINGS[0]);
  for (const text of [one, `[${one}]`, `\uFEFF{"aubade":"dressings","version":2,"items":[${one}]}`])
    expect(readDressings(text, KNOWN, WORKS).dressings).toEqual([DRESSINGS[0]]);
});

test('a Markdown card reads back by its JSON block', () => {
  const dressing = DRESSINGS.find((item) => item.id === 'ellanmere-long-dun')!;
  const text = cardMarkdown(cardSheet(cardOn14(dressing.id), speech), writeDressings([dressing], WORKS));
  expect(text).toMatch(/^# Ellanmere long-bodied dun\n/);
  expect(text).toContain('## Stitched body × 1');
  expect(text).toMatch(/Local rules and licensed practice come first\./);
  expect(readDressings(text, KNOWN, WORKS).dressings).toEqual([dressing]);
});

test('version 1 is read: what was optional becomes a switch', () => {
  const { switches: _switches, ...old } = structuredClone(DRESSINGS.find((item) => item.id === 'cheeked-quill-nymph')!);
  const read = readDressings(JSON.stringify({ aubade: 'dressings', version: 1, items: [old] }), KNOWN, WORKS);
  expect(read.dressings[0]!.switches).toEqual([expect.objectContaining({ parts: ['cheeks'], on: true })]);
});

test('good records are kept, bad ones are named with the place and what is wrong', () => {
  const bad = { ...structuredClone(DRESSINGS[1]!), stages: ['mayfly/queen'], length_mm: [9, 3] };
  const read = readDressings(JSON.stringify([DRESSINGS[0], bad, { id: 'half' }, 7]), KNOWN, WORKS);
  expect([read.dressings.length, read.count]).toEqual([1, 4]);
  expect(new Set(read.problems.map((problem) => problem.record))).toEqual(new Set([DRESSINGS[1]!.id, 'half', '#4']));
  expect(read.problems.filter((problem) => problem.record === DRESSINGS[1]!.id).map((problem) => problem.path)).toEqual(
    expect.arrayContaining(['stages[0]', 'length_mm']),
  );
});

test.each([
  ['', 'file-unread'],
  ['not json', 'file-unread'],
  ['3', 'file-unread'],
  ['null', 'file-unread'],
  ['{"a":1}', 'file-unread'],
  ['[]', 'file-empty'],
  ['{"aubade":"hooks","version":1,"items":[]}', 'file-unread'],
  ['{"aubade":"dressings","version":4,"items":[{}]}', 'file-newer'],
])('%j is refused: %s', (text, fault) =>
  expect(readDressings(text, KNOWN, WORKS)).toMatchObject({ fault, dressings: [] }),
);

describe('a card on paper', () => {
  const sheet = cardSheet(cardOn14('first-light-dun'), speech);
  test('its sections name parts in millimetres, thread, steps and tools', () => {
    expect(sheet.sections.map((section) => section.title)).toEqual([
      'Parts',
      'To take and cut',
      'Thread',
      'Hackle',
      'What is seen',
      'Order of work',
      'Care',
      'Tools',
    ]);
    expect(sheet.sections[0]!.lines[0]).toMatch(/^Tail: 7\.0.mm \(/);
    expect(sheet.sections[7]!.lines).toContain('bobbin holder');
  });
});

test('a dressing of ways is written as lines, one whose steps a hand changed with its steps; both come back the same', () => {
  const plain = DRESSINGS[0]!;
  const changed = { ...structuredClone(plain), id: 'own', name: 'Own' };
  changed.steps[3]!.check = 'as the light falls on it';
  const text = writeDressings([plain, changed], WORKS);
  const items = JSON.parse(text).items as { parts: unknown[]; steps?: unknown[] }[];
  expect(items.map((item) => [typeof item.parts[0], item.steps !== undefined])).toEqual([
    ['string', false],
    ['object', true],
  ]);
  expect(readDressings(text, KNOWN, WORKS).dressings).toEqual([plain, changed]);
});

test('a line that cannot be read is named with its record, and nothing of it is taken', () => {
  const item = JSON.parse(writeDressings([DRESSINGS[0]!], WORKS)).items[0] as { parts: string[] };
  item.parts[0] = 'tail split-tail';
  item.parts[1] = item.parts[1]!.replace('noodle', 'braid');
  const read = readDressings(JSON.stringify([item]), KNOWN, WORKS);
  expect(read.dressings).toEqual([]);
  expect(read.problems.map(({ record, message }) => [record, message.split(' ')[0]])).toEqual(
    expect.arrayContaining([
      ['first-light-dun', 'line-short'],
      ['first-light-dun', 'way-unknown'],
    ]),
  );
});

test('more dressings than are worked out at once are refused before any of them is', () => {
  const items = Array.from({ length: MOST_DRESSINGS + 1 }, () => ({}));
  expect(readDressings(JSON.stringify(items), KNOWN, WORKS)).toMatchObject({
    fault: 'file-many',
    problems: [],
    count: 501,
  });
  expect(readDressings(JSON.stringify(items.slice(1)), KNOWN, WORKS)).toMatchObject({ fault: null, dressings: [] });
});
