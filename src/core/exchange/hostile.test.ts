import { KNOWN, labOfShade } from '@/catalogue';
import { SHIPPED } from '../../../tools/test-catalogue';
import { headFault, HEAD_BYTES } from './table';
import { readBoxFile, readDrawerFile, readDressings, readGroupsFile, readHooksFile, readTapings } from './index';

/** Texts that no tier writes: each reader must refuse them or take nothing of them, and neither throw nor change what objects are. */
const HOSTILE: readonly (readonly [name: string, text: string])[] = [
  ['nothing', ''],
  ['a million open brackets', '['.repeat(1_000_000)],
  ['objects in objects', '{"items":'.repeat(100_000)],
  [
    'a key into every object',
    '{"aubade":"dressings","version":1,"items":[{"__proto__":{"polluted":true}}],"tapings":[]}',
  ],
  ['the same by its other name', '{"items":[{"constructor":{"prototype":{"polluted":true}}}]}'],
  ['a million columns', `${'a,'.repeat(1_000_000)}b\n1`],
  ['one line of 5 MB', 'x'.repeat(5_000_000)],
  ['a quote that is never closed', `maker,model,size\n"${'x\n'.repeat(100_000)}`],
  ['null bytes', '\u0000'.repeat(1000)],
  ['text read the wrong way', Buffer.from('{"items":[]}', 'utf16le').toString('latin1')],
  ['items that are none', '{"aubade":"dressings","version":1,"items":[null,1,"x",[],true],"tapings":[null,1]}'],
  ['a number past all numbers', '{"aubade":"dressings","version":1,"items":[{"id":"x","rev":1e400}]}'],
  ['a version from far away', '{"aubade":"dressings","version":1e9,"items":[{}]}'],
];

const READERS: readonly (readonly [name: string, read: (text: string) => number])[] = [
  ['hooks', (text) => readHooksFile(text, KNOWN).rows.length],
  ['tapings', (text) => readTapings(text).length],
  ['drawer', (text) => readDrawerFile(text).rows.length],
  ['groups', (text) => readGroupsFile(text, { ...KNOWN, shade: (shade) => labOfShade(shade) !== null }).groups.length],
  ['dressings', (text) => readDressings(text, KNOWN, SHIPPED).dressings.length],
  [
    'box',
    (text) =>
      readBoxFile(text, { ...KNOWN, shade: (shade: string) => labOfShade(shade) !== null } as never).flies.length,
  ],
];

describe.each(READERS)('the reader of %s', (_, read) => {
  test.each(HOSTILE)('takes nothing of %s', (_name, text) => {
    expect(read(text)).toBe(0);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });
});

test('by its beginning alone a file is told from a table', () => {
  for (const [name, text] of HOSTILE.filter(([name]) => /null bytes/.test(name)))
    expect([name, headFault(text.slice(0, HEAD_BYTES))]).toEqual([
      name,
      expect.objectContaining({ code: expect.any(String) }),
    ]);
});
