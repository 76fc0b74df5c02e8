import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
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
  const labels = keysOf(screens, /\bchange\('([\w-]+)'/g);
  expect(labels.length).toBeGreaterThan(10);
  expect(labels.filter((label) => !has(`ui.change.${label}`))).toEqual([]);
});

test('every reason, fault, warning and check that core can return has words', () => {
  const codes = keysOf(sources('src/core'), /\b(?:reason|fault)\(\s*'([\w-]+)'/g);
  expect(codes.length).toBeGreaterThan(25);
  expect(codes.filter((code) => !['reason', 'fault', 'check'].some((group) => has(`${group}.${code}`)))).toEqual([]);
});
