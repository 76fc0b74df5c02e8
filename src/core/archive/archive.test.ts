import { strToU8, zipSync } from 'fflate';
import { depthOf, isPlainPath, JSON_LIMITS, openZip, Packer, readJson, ZIP_LIMITS } from '.';

const bytesOf = (parts: readonly Uint8Array[]) => new Uint8Array(Buffer.concat(parts));
const codeOf = (read: { ok: true } | { ok: false; fault: { code: string } }) => (read.ok ? 'taken' : read.fault.code);

function pack(files: Record<string, string>): Uint8Array {
  const packer = new Packer();
  for (const [path, text] of Object.entries(files)) packer.add(path, strToU8(text), { packed: path.endsWith('.jpg') });
  return bytesOf(packer.end());
}

describe('JSON of a stranger', () => {
  test('a good text is parsed, with a byte-order mark too', () => {
    expect(readJson('\uFEFF{"a":[1,"]"]}')).toEqual({ ok: true, value: { a: [1, ']'] } });
  });
  test('depth is counted outside of quotes, and left as soon as it is too deep', () => {
    expect(depthOf('{"a":[{"b":"[[[[\\"[["}]}', 60)).toBe(3);
    expect(depthOf('['.repeat(1_000_000), 60)).toBe(61);
  });
  test.each([
    ['deeper than it may be', `${'['.repeat(JSON_LIMITS.depth + 1)}${']'.repeat(JSON_LIMITS.depth + 1)}`, 'file-deep'],
    ['as deep as it may be', `${'['.repeat(JSON_LIMITS.depth)}${']'.repeat(JSON_LIMITS.depth)}`, 'taken'],
    ['a million open brackets', '['.repeat(1_000_000), 'file-deep'],
    ['a key that reaches into objects', '{"items":[{"__proto__":{"demo":true}}]}', 'file-keys'],
    ['the same by its other name', '{"constructor":{"prototype":{"demo":true}}}', 'file-keys'],
    ['no JSON', 'maker,model', 'file-no-json'],
    ['cut short', '{"aubade":"records","items":[', 'file-no-json'],
  ])('%s', (_, text, code) => expect(codeOf(readJson(text))).toBe(code));
  test('one that is too long is refused before it is looked at', () => {
    const long = { length: JSON_LIMITS.chars + 1 } as string;
    expect(codeOf(readJson(long))).toBe('too-large');
  });
});

describe('an archive', () => {
  const files = { 'manifest.json': '{"a":1}', 'records/sample.json': 'x'.repeat(200_000), 'photos/p1.jpg': 'bytes' };
  test('what is packed comes out the same, and packed twice is the same bytes', () => {
    const read = openZip(pack(files));
    expect(
      read.ok && Object.fromEntries([...read.files].map(([path, bytes]) => [path, Buffer.from(bytes).toString()])),
    ).toEqual(files);
    expect(pack(files)).toEqual(pack(files));
    expect(pack(files).length).toBeLessThan(2_000);
  });
  test('only what is wanted is unpacked', () => {
    const read = openZip(pack(files), { wanted: (path) => path.startsWith('records/') });
    expect(read.ok && [...read.files.keys()]).toEqual(['records/sample.json']);
  });
  test('one of another hand is read as well, with its folders', () => {
    const read = openZip(zipSync({ folder: { 'a.txt': strToU8('a') }, 'b.txt': [strToU8('b'), { level: 0 }] }));
    expect(read.ok && [...read.files.keys()].sort()).toEqual(['b.txt', 'folder/a.txt']);
  });
  test.each([
    ['no archive', strToU8('aubade'), 'zip-other'],
    ['nothing', new Uint8Array(), 'zip-other'],
    ['cut short', pack(files).subarray(0, 400), 'zip-broken'],
    ['damaged', pack(files).map((byte, at) => (at > 120 && at < 160 ? 255 - byte : byte)), 'zip-broken'],
    ['a way out', zipSync({ '../evil.txt': strToU8('x') }), 'zip-path'],
    ['a name of another system', zipSync({ 'C:\\evil.txt': strToU8('x') }), 'zip-path'],
    ['from the root', zipSync({ '/etc/evil': strToU8('x') }), 'zip-path'],
    ['a name that reads backwards', zipSync({ 'a\u202egpj.exe': strToU8('x') }), 'zip-path'],
    ['one name twice', zipSync({ 'a.txt': strToU8('x'), 'A.txt': strToU8('y') }), 'zip-twice'],
  ])('%s is refused', (_, bytes, code) => expect(codeOf(openZip(bytes))).toBe(code));
  test('one that unpacks to more than it may is left at once, whatever it says of its size', () => {
    const bomb = zipSync({ 'a.json': new Uint8Array(30_000_000) });
    expect(bomb.length).toBeLessThan(40_000);
    // The size that the local header gives.
    bomb.set([1, 0, 0, 0], 22);
    expect(codeOf(openZip(bomb, { limits: { ...ZIP_LIMITS, unpacked: 1_000_000 } }))).toBe('too-large');
    expect(codeOf(openZip(bomb, { limits: { ...ZIP_LIMITS, packed: 1_000 } }))).toBe('too-large');
    // Under the limit of all, and a thousand times itself: nobody wrote that.
    expect(codeOf(openZip(bomb))).toBe('taken');
    expect(codeOf(openZip(zipSync({ 'a.json': new Uint8Array(60_000_000) })))).toBe('too-large');
    expect(codeOf(openZip(pack(files), { limits: { ...ZIP_LIMITS, files: 2 } }))).toBe('too-large');
    expect(codeOf(openZip(pack(files), { limits: { ...ZIP_LIMITS, files: 3 } }))).toBe('taken');
  });
  test.each([
    ['records/sample.json', true],
    ['a', true],
    ['', false],
    ['a//b', false],
    ['./a', false],
    ['a/..', false],
    ['a\u0007b', false],
    ['x'.repeat(201), false],
    ['x'.repeat(200), true],
  ])('%j is plain: %s', (path, plain) => expect(isPlainPath(path)).toBe(plain));
});
