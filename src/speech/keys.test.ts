import { FLY_RESULTS } from '@/core/box';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ids from '@/catalogue/ids.json';
import * as records from '@/records';
import type { Command } from '@/records';
import { createI18n } from './speech';

const ROOT = join(__dirname, '../..');

function sources(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name))
    .map((entry) => readFileSync(join(entry.parentPath, entry.name), 'utf8'));
}

const instance = createI18n();
const has = (key: string) => instance.exists(key) || instance.exists(key, { count: 2 });

/** Keys written out in the code: `words('a.b')` of the interface, `t('a.b')` of speech. */
function keysOf(texts: readonly string[], call: RegExp): string[] {
  return [...new Set(texts.flatMap((text) => [...text.matchAll(call)].map((match) => match[1]!)))];
}

const screens = [...sources('src/features'), ...sources('app')];

test('messages stand one key a line, so that a change of one is one line', () => {
  for (const file of ['en.json', 'en-ui.json', 'en-say.json']) {
    const text = readFileSync(join(__dirname, file), 'utf8');
    expect([file, text]).toEqual([file, `${JSON.stringify(JSON.parse(text), null, 1)}\n`]);
  }
});

test('every message a screen asks for by its key is in the catalogue', () => {
  const keys = keysOf(screens, /\bwords\('([\w.-]+)'/g);
  expect(keys.length).toBeGreaterThan(120);
  expect(keys.filter((key) => !has(`ui.${key}`))).toEqual([]);
});

test('every message that speech and the command line ask for is in the catalogue', () => {
  const keys = keysOf([...screens, ...sources('src/speech'), ...sources('cli')], /\bt\('([\w.-]+)'/g);
  expect(keys.length).toBeGreaterThan(20);
  expect(keys.filter((key) => !has(key))).toEqual([]);
});

test('every change that can be undone has a name for the undo bar', () => {
  const commands = Object.values(records).filter(
    (item): item is Command<Record<string, unknown>, unknown> =>
      typeof item === 'object' && item !== null && 'run' in item && 'label' in item,
  );
  // What a label follows from: a field that is set, why a fly was moved, something pinned or not.
  const fields = [
    ...Object.keys(records.settingsSchema.fields),
    'water',
    'rough',
    'rise',
    'method',
    'surface',
    'sex',
    'preserved',
    'kept',
    'place',
    'when',
  ];
  const inputs = [
    ...fields.map((field) => ({ [field]: null })),
    ...ids.moves.map((move) => ({ why: move.id })),
    ...FLY_RESULTS.map((result) => ({ result })),
    { hookId: 'x', dressingId: 'x' },
    { hookId: null, dressingId: null },
  ];
  const labels = new Set(
    commands
      .filter((item) => !item.here)
      .flatMap((item) =>
        inputs
          .map((input) => item.label(input))
          .filter((label) => label !== undefined && !label.endsWith('-undefined')),
      ),
  );
  expect(commands.length).toBeGreaterThan(60);
  expect(labels.size).toBeGreaterThan(50);
  expect([...labels].filter((label) => !has(`ui.change.${label}`))).toEqual([]);
});

test('every kind of record and every field of one has a name for what a file would change', () => {
  const kinds = Object.entries(records.KINDS).filter(([kind]) => kind !== 'device');
  const fields = new Set(
    kinds
      .flatMap(([, { schema }]) => Object.keys((schema as unknown as { fields: object }).fields))
      .filter((field) => field !== 'demo' && field !== 'base' && field !== 'id'),
  );
  expect(kinds.map(([kind]) => kind).filter((kind) => !has(`ui.reading.kind.${kind}`))).toEqual([]);
  expect([...fields].filter((field) => !has(`ui.reading.field.${field}`))).toEqual([]);
  expect(
    kinds
      .map(([kind]) => kind)
      .filter((kind) => kind !== 'settings' && !has(`ui.data.kind.${kind}_one`) && !has(`ui.data.kind.${kind}`)),
  ).toEqual([]);
});

test('a count stands before its noun by the rule of plurals alone', () => {
  const nouns = Object.keys(instance.getResource('en', 'translation', 'n') as object)
    .filter((key) => key.endsWith('_other'))
    .map((key) => String(instance.t(`n.${key.replace('_other', '')}`, { count: 2 })).slice(2));
  const texts = (value: unknown, path: string): [string, string][] =>
    typeof value === 'string'
      ? [[path, value]]
      : Object.entries(value as object).flatMap(([key, item]) => texts(item, `${path}.${key}`));
  const loose = texts(instance.getResourceBundle('en', 'translation'), '').filter(
    ([key, text]) => !/_(one|other)$/.test(key) && new RegExp(`}} (${nouns.join('|')})\\b`).test(text),
  );
  expect(loose.map(([key]) => key)).toEqual([]);
  expect(nouns).toEqual(expect.arrayContaining(['sizes', 'flies', 'beads', 'turns']));
});

test('of one it is one, of two they are two', () => {
  const of = (code: string, params: Record<string, number>) =>
    instance.t(`reason.${code}`, { ...params, water: 'fast', fly: 'dun' });
  expect(of('size-larger-water', { sizes: 1 })).toContain('1 size larger');
  expect(of('size-larger-water', { sizes: 2 })).toContain('2 sizes larger');
  expect(of('box-nearest-long', { packets: 1 })).toContain('1 size large');
  expect(of('prepare-beads', { count: 1 })).toContain('1 bead on');
});

test('every reason, fault, warning and check that core can return has words', () => {
  const codes = keysOf(sources('src/core'), /\b(?:reason|fault)\(\s*'([\w-]+)'/g);
  expect(codes.length).toBeGreaterThan(25);
  expect(codes.filter((code) => !['reason', 'fault', 'check'].some((group) => has(`${group}.${code}`)))).toEqual([]);
});
