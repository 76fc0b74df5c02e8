import { crc32 } from 'node:zlib';
import { Zip, ZipDeflate, ZipPassThrough, strToU8, zlibSync } from 'fflate';
import sharp from 'sharp';

/** One file that is handed to every reader: what it is, and whether anything of it may be taken. */
export interface Specimen {
  name: string;
  bytes: Uint8Array;
  /** A good file: it may be taken. Of all others nothing may be, but where cells are neutralised. */
  good?: boolean;
}

function zipOf(files: Readonly<Record<string, Uint8Array | { zeros: number }>>): Uint8Array {
  const parts: Uint8Array[] = [];
  const zip = new Zip((error, part) => {
    if (error) throw error;
    parts.push(part);
  });
  for (const [path, content] of Object.entries(files)) {
    if (content instanceof Uint8Array) {
      const file = new ZipPassThrough(path);
      zip.add(file);
      file.push(content, true);
    } else {
      const file = new ZipDeflate(path, { level: 9 });
      zip.add(file);
      const piece = new Uint8Array(10_000_000);
      for (let left = content.zeros; left > 0; left -= piece.length) file.push(piece, left <= piece.length);
    }
  }
  zip.end();
  return new Uint8Array(Buffer.concat(parts));
}

const text = (said: string) => strToU8(said);
/** A text of about so many bytes out of rows. */
function rows(head: string, row: (index: number) => string, bytes: number, between = ''): Uint8Array {
  const parts: string[] = [head];
  for (let size = head.length, index = 0; size < bytes; index++) {
    const one = (index > 0 ? between : '') + row(index);
    parts.push(one);
    size += one.length;
  }
  return Buffer.from(parts.join(''));
}
const MB = 1_000_000;
const sample = (index: number, insects: number) =>
  JSON.stringify({
    kind: 'sample',
    id: `s${index}`,
    v: 5,
    data: {
      when: '2033-05-24T04:50',
      place: `Fenbeck ${index}`,
      specimens: Array.from({ length: insects }, (_, at) => ({
        id: `i${at}`,
        body: { mm: 8.1 + at / 10, typed: null },
        sex: null,
        out: null,
        halfMm: 0.2,
      })),
      extra: {},
    },
  });
const joined = (bytes: Uint8Array, end: string) => new Uint8Array(Buffer.concat([bytes, Buffer.from(end)]));
const records = (bytes: number, insects = 1) =>
  joined(
    rows('{"aubade":"records","version":2,"items":[', (index) => sample(index, insects), bytes, ','),
    ']}',
  );
const hooks = (count: number) =>
  Buffer.from(
    `maker,model,size,bend,shank_mm\n${Array.from({ length: count }, (_, at) => `osmere,m${at >> 3},${8 + (at & 7)},round,${20 - (at & 7)}\n`).join('')}`,
  );
const samples = (bytes: number) =>
  rows('when,place,lengths_mm\n', (index) => `2033-05-24T04:50,Fenbeck ${index},8.1 8.4\n`, bytes);

/** A PNG that says it is so large, with hardly a byte behind it. */
function absurdPng(side: number): Uint8Array {
  const chunk = (type: string, data: Uint8Array) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', zlibSync(new Uint8Array(1000))),
    chunk('IEND', new Uint8Array()),
  ]);
}

/** Files that are handed over as photographs. */
export async function pictures(): Promise<Specimen[]> {
  const good = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#7b6a3c' } })
    .jpeg()
    .toBuffer();
  return [
    { name: 'picture of 60,000 by 60,000', bytes: absurdPng(60_000) },
    { name: 'picture cut short', bytes: good.subarray(0, 300) },
    { name: 'text for a picture', bytes: text('not a picture') },
    {
      name: 'SVG with a script for a picture',
      bytes: text(
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>window.polluted=1</script><image href="http://x/y"/></svg>',
      ),
    },
    {
      name: '30 MB of noise for a picture',
      bytes: Buffer.concat([good.subarray(0, 300), new Uint8Array(30 * MB).map((_, at) => (at * 37) & 255)]),
    },
    {
      name: 'good picture of 50 megapixels',
      bytes: await sharp({ create: { width: 8660, height: 5773, channels: 3, background: '#cfd4c8' } })
        .jpeg()
        .toBuffer(),
      good: true,
    },
  ];
}

/** Files that no tier writes, and good ones that are very large; `dressing` is a good dressing as JSON, `backup` a good backup. */
export async function corpus(dressing: string, backup: Uint8Array): Promise<Specimen[]> {
  return [...(await odd(backup)), ...large(dressing)];
}

/** Those of it that are none of ours or broken. */
export async function odd(backup: Uint8Array, bombBytes = 2_000 * MB): Promise<Specimen[]> {
  return [
    { name: 'zip bomb, 2 GB of noughts', bytes: zipOf({ 'manifest.json': { zeros: bombBytes } }) },
    { name: 'ZIP with a way out', bytes: zipOf({ 'manifest.json': text('{}'), '../../escape.json': text('{}') }) },
    { name: 'ZIP with a Windows way out', bytes: zipOf({ '..\\escape.json': text('{}') }) },
    {
      name: 'ZIP of 30,000 files',
      bytes: zipOf(Object.fromEntries(Array.from({ length: 30_000 }, (_, at) => [`f${at}`, text('')]))),
    },
    { name: 'backup cut short', bytes: backup.subarray(0, Math.floor(backup.length * 0.6)) },
    {
      name: 'backup with bytes changed',
      bytes: backup.map((byte, at) => (at > 200 && at % 97 === 0 ? byte ^ 255 : byte)),
    },
    { name: 'JSON a million deep', bytes: text('['.repeat(MB)) },
    {
      name: '__proto__ in a dressing',
      bytes: text('{"aubade":"dressings","version":3,"items":[{"__proto__":{"polluted":1}}]}'),
    },
    { name: '__proto__ in a table', bytes: text('__proto__,when,constructor\nx,2033-05-24,y\n'), good: true },
    { name: 'a million columns', bytes: text(`${'a,'.repeat(MB)}b\n1`) },
    {
      name: 'formulas in cells',
      bytes: text('when,place\n2033-05-24,=HYPERLINK("http://x")\n2033-05-24,@SUM(A1)\n'),
      good: true,
    },
    { name: 'control and bidi characters', bytes: text('when,place\n2033-05-24,Fen\u202ekceb\u0007\n'), good: true },
    {
      name: 'SVG with a script',
      bytes: text('<svg xmlns="http://www.w3.org/2000/svg"><script>window.polluted=1</script></svg>'),
    },
    { name: 'HTML with a script', bytes: text('<html><script>window.polluted=1</script></html>') },
    {
      name: 'JPEG for a table',
      bytes: await sharp({ create: { width: 60, height: 40, channels: 3, background: '#7b6a3c' } })
        .jpeg()
        .toBuffer(),
    },
    { name: 'text read the wrong way', bytes: Buffer.from('{"aubade":"records","version":2,"items":[]}', 'utf16le') },
    { name: 'Latin letters in another encoding', bytes: Buffer.from('when,place\n2033-05-24,Überbeck\n', 'latin1') },
    { name: 'a newer version', bytes: text('{"aubade":"records","version":99,"items":[]}') },
  ];
}

/** Good ones of a size that no tier has, and nonsense as large. */
function large(dressing: string): Specimen[] {
  const many = (bytes: number) =>
    joined(
      rows(
        '{"aubade":"dressings","version":3,"items":[',
        (index) => dressing.replace(/"id": ?"[^"]+"/, `"id":"d-${index}"`),
        bytes,
        ',',
      ),
      ']}',
    );
  return [
    { name: '100 MB of open brackets', bytes: new Uint8Array(100 * MB).fill(0x5b) },
    { name: 'good table of 4,700 samples', bytes: samples(4_700 * 39), good: true },
    { name: 'good table of 20,000 hooks', bytes: hooks(20_000), good: true },
    { name: 'good records, 10 MB of 9,000 samples', bytes: records(10 * MB, 12), good: true },
    { name: 'good dressings, 450 of them', bytes: many(450 * dressing.length), good: true },
    { name: 'good dressings, 3.9 MB', bytes: many(3.9 * MB) },
    { name: 'good table of samples, 10 MB', bytes: samples(10 * MB), good: true },
    { name: 'good table of samples, 100 MB', bytes: samples(100 * MB) },
    { name: 'good records, 10 MB', bytes: records(10 * MB), good: true },
    { name: 'good records, 100 MB', bytes: records(100 * MB), good: true },
    { name: 'good dressings, 10 MB', bytes: many(10 * MB) },
    { name: 'good dressings, 100 MB', bytes: many(100 * MB) },
  ];
}
