import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import type { Entities } from '../kinds';
import { noEntities } from '../kinds';
import type { EventOp } from '../ledger';
import { sampleSchema, specimen } from '../sample/schema';
import { matchSchema } from '../match/schema';
import { boxSchema } from '../box/schema';
import { flySchema } from '../fly/schema';
import { photoSchema } from '../photo/schema';
import { csvOf, packBackup, picturesIn, planBackup, readBackup, TABLE_NAMES, TABLES, type Manifest } from '.';
import { around } from '../__tests__/around';
import type { Command } from '../command';
import { readRecords } from '../file';
import { mergeBackup, opsToReplace, replaceByBackup } from './restore';

const PICTURE = `data:image/jpeg;base64,${Buffer.from('picture').toString('base64')}`;
const move = (owner: string, id: string, count: number): EventOp => ({
  kind: 'fly',
  owner,
  id,
  on: true,
  event: { at: '2033-05-24T04:50', boxId: 'b', slot: 'a1', count, why: 'tied' },
});

const ENTITIES: Entities = {
  ...noEntities(),
  sample: {
    s: sampleSchema.cast({
      when: '2033-05-24T04:50',
      place: 'Fenbeck weir',
      specimens: [specimen('i1', 8.1), specimen('i2', 8.4), { ...specimen('i3', 11), out: 'another kind' }],
      colours: { 'abdomen-belly': '#8a7b3c' },
      photos: ['p', 'q'],
    }),
  },
  match: {
    m: matchSchema.cast({
      title: '=Dawn',
      opened: '2033-05-24T04:50',
      sampleId: 's',
      answers: [{ id: 'a', stage: 'mayfly/dun' }],
      leading: 'a',
    }),
  },
  photo: {
    p: photoSchema.cast({ sampleId: 's', type: 'image/jpeg', bytes: 7, taken: '2033-05-24T04:50' }),
    q: photoSchema.cast({ sampleId: 's', type: 'image/png', bytes: 7, taken: '2033-05-24T04:51' }),
  },
  box: { b: boxSchema.cast({ name: 'Chest box', rows: 2, columns: 3 }) },
  fly: {
    f: {
      ...flySchema.cast({ dressingId: 'first-light-dun', hookId: 'osmere:lark:14' }),
      tally: { places: [{ boxId: 'b', slot: 'a1', count: 2, at: '2033-05-24T04:50' }], latest: [] },
    },
  },
};
const KEYS = ['sample/s', 'match/m', 'photo/p', 'photo/q', 'box/b', 'fly/f'];
const EVENTS = [move('f', 'e1', 3), move('f', 'e2', -1), move('other', 'e3', 5)];
const PLAN = planBackup({
  entities: ENTITIES,
  clocks: new Map([['sample/s', { '': 1 }]]),
  keys: KEYS,
  events: EVENTS,
  made: '2033-06-01T20:00',
  app: '0.1.0',
});

async function packed(): Promise<Uint8Array> {
  const { parts, missing } = await packBackup(PLAN, async (id) => (id === 'p' ? PICTURE : null));
  expect(missing).toEqual(['q']);
  return new Uint8Array(Buffer.concat(parts));
}
const files = async () => unzipSync(await packed());
const textOf = (bytes: Uint8Array) => Buffer.from(bytes).toString();
const codeOf = (bytes: Uint8Array) => {
  const read = readBackup(bytes);
  return read.ok ? 'taken' : [read.fault.code, read.fault.params.what ?? read.fault.params.version ?? null];
};
/** The backup with its manifest or another file changed; sums are made anew unless they are what is wrong. */
async function changed(change: (files: Record<string, Uint8Array>, manifest: Manifest) => void): Promise<Uint8Array> {
  const all = await files();
  const manifest = JSON.parse(textOf(all['manifest.json']!)) as Manifest;
  change(all, manifest);
  return zipSync({ ...all, 'manifest.json': strToU8(JSON.stringify(manifest)) });
}

test('it holds a file of records a kind, tables beside, the pictures there are, and what it is for who has not the app', async () => {
  const all = await files();
  expect(Object.keys(all).sort()).toEqual([
    'README.txt',
    'manifest.json',
    'photos/p.jpg',
    'records/box.json',
    'records/fly.json',
    'records/match.json',
    'records/photo.json',
    'records/sample.json',
    'tables/boxes.csv',
    'tables/flies.csv',
    'tables/fly-moves.csv',
    'tables/matches.csv',
    'tables/samples.csv',
  ]);
  expect(textOf(all['photos/p.jpg']!)).toBe('picture');
  const manifest = JSON.parse(textOf(all['manifest.json']!)) as Manifest;
  expect(manifest).toMatchObject({
    aubade: 'backup',
    version: 1,
    made: '2033-06-01T20:00',
    app: '0.1.0',
    kinds: { sample: { version: 6, count: 1 }, photo: { version: 2, count: 2 }, fly: { version: 4, count: 1 } },
    missing: ['q'],
  });
  expect(manifest.files.map(({ path }) => path).sort()).toEqual(
    Object.keys(all)
      .filter((path) => path !== 'manifest.json')
      .sort(),
  );
});

test('the example of docs/formats is read, and written again it is the same to the byte', async () => {
  const at = join(__dirname, '../../../docs/formats/examples/backup.zip');
  // A kind that got another version is written anew with WRITE_GOLDEN=1.
  if (process.env.WRITE_GOLDEN) writeFileSync(at, await packed());
  const example = readFileSync(at);
  expect(codeOf(example)).toBe('taken');
  expect(Buffer.compare(example, Buffer.from(await packed()))).toBe(0);
});

test('it comes back whole: records with their clocks, the ledgers of those in it, and which pictures it has', async () => {
  const read = readBackup(await packed());
  if (!read.ok) throw new Error(read.fault.code);
  const { carried, pictures } = read.backup;
  expect(carried.records.map(({ kind, id }) => `${kind}/${id}`).sort()).toEqual([...KEYS].sort());
  expect(carried.records.find(({ kind }) => kind === 'sample')).toMatchObject({
    clocks: { '': 1 },
    data: ENTITIES.sample.s,
  });
  expect(carried.events.map(({ id }) => id)).toEqual(['e1', 'e2']);
  expect(pictures).toEqual({ p: 'photos/p.jpg' });
  const taken: Record<string, string> = {};
  await picturesIn(
    await packed(),
    [
      { id: 'p', path: 'photos/p.jpg', type: 'image/jpeg' },
      { id: 'q', path: 'photos/q.png', type: 'image/png' },
    ],
    async (id, url) => void (taken[id] = url),
  );
  expect(taken).toEqual({ p: PICTURE });
});

test('what is no picture by its record is not handed on as one', async () => {
  const taken: string[] = [];
  await picturesIn(
    await packed(),
    [{ id: 'p', path: 'photos/p.jpg', type: 'text/html' }],
    async (id) => void taken.push(id),
  );
  expect(taken).toEqual([]);
});

test('an id that a file brought makes no path out of it', () => {
  const plan = planBackup({
    entities: { ...noEntities(), photo: { '../../x': ENTITIES.photo.p! } },
    clocks: new Map(),
    keys: ['photo/../../x'],
    events: [],
    made: '2033-06-01T20:00',
    app: '0.1.0',
  });
  expect(plan.photos).toEqual([{ id: '../../x', path: 'photos/..%2F..%2Fx.jpg' }]);
});

describe('one that cannot be trusted is refused whole, with its reason', () => {
  test('no backup at all', async () => {
    expect(codeOf(strToU8('maker,model'))).toEqual(['backup-other', null]);
    expect(codeOf(zipSync({ 'a.txt': strToU8('x') }))).toEqual(['backup-other', null]);
    expect(codeOf(zipSync({ 'manifest.json': strToU8('[') }))).toEqual(['backup-other', null]);
    expect(codeOf(zipSync({ 'manifest.json': strToU8('{"aubade":"hooks"}') }))).toEqual(['backup-other', null]);
  });
  test('a newer version, and newer records', async () => {
    expect(codeOf(await changed((_, manifest) => void (manifest.version = 2)))).toEqual(['file-newer', 2]);
    const newer = await changedRecord('records/sample.json', (item) => void (item.v = 99));
    expect(codeOf(newer)).toEqual(['file-newer', 99]);
  });
  test('a manifest that is not one', async () =>
    expect(codeOf(await changed((_, manifest) => void (manifest.files = 'all' as never)))).toEqual([
      'backup-broken',
      'manifest.json',
    ]));
  test('a file that is gone, changed by a letter, longer than it says, or not named', async () => {
    expect(codeOf(await changed((all) => void delete all['photos/p.jpg']))).toEqual(['backup-broken', 'photos/p.jpg']);
    expect(codeOf(await changed((all) => void (all['photos/p.jpg'] = strToU8('Picture'))))).toEqual([
      'backup-broken',
      'photos/p.jpg',
    ]);
    expect(codeOf(await changed((all) => void (all['photos/p.jpg'] = strToU8('pictures'))))).toEqual([
      'backup-broken',
      'photos/p.jpg',
    ]);
    expect(codeOf(await changed((all) => void (all['photos/evil.jpg'] = strToU8('x'))))).toEqual([
      'backup-stranger',
      'photos/evil.jpg',
    ]);
  });
  test('records that are none', async () => {
    const broken = await changedRecord('records/sample.json', (item) => void (item.data = {}));
    expect(codeOf(broken)).toEqual(['bundle-broken', 's']);
  });
});

/** The backup with its first record of a file changed, sums made anew. */
async function changedRecord(path: string, change: (item: { v: number; data: unknown }) => void): Promise<Uint8Array> {
  const { createHash } = jest.requireActual<typeof import('node:crypto')>('node:crypto');
  return changed((all, manifest) => {
    const file = JSON.parse(textOf(all[path]!)) as { items: { v: number; data: unknown }[] };
    change(file.items[0]!);
    all[path] = strToU8(JSON.stringify(file));
    const named = manifest.files.find((item) => item.path === path)!;
    named.bytes = all[path].length;
    named.sha256 = createHash('sha256').update(all[path]).digest('hex');
  });
}

describe('tables', () => {
  test('a sample says its lengths that count and the stage of its match; a cell that a spreadsheet would run is guarded', () => {
    expect(csvOf(TABLES.matches(ENTITIES)).split('\r\n')[1]).toMatch(/^m,'=Dawn,2033-05-24T04:50,s,a,yes,mayfly\/dun,/);
    const csv = csvOf(TABLES.samples(ENTITIES)).split('\r\n');
    expect(csv[0]).toMatch(/^sample,when,place,water,stage,/);
    expect(csv[1]).toBe(
      's,2033-05-24T04:50,Fenbeck weir,,mayfly/dun,dry,typed,,2,8.25,8.1 8.4,,,,abdomen-belly=#8a7b3c,,,,,,,2',
    );
  });
  test('a fly says where it lies and how many are left; moves of others are left out with their flies', () => {
    expect(TABLES.flies(ENTITIES).rows).toEqual([
      expect.objectContaining({ fly: 'f', box: 'Chest box', compartment: 'a1', left: 2 }),
    ]);
    expect(TABLES['fly-moves'](ENTITIES, EVENTS).rows.map(({ count }) => count)).toEqual([3, -1, 5]);
  });
  test('docs/formats/backup.md names every table with its headings in their order', () => {
    const doc = readFileSync(join(__dirname, '../../../docs/formats/backup.md'), 'utf8');
    for (const name of TABLE_NAMES) {
      const line = doc.split('\n').find((row) => row.startsWith(`| \`${name}\` |`));
      expect([name, /`([^`]+)`[^`]*(?:`stage`[^`]*)?\|$/.exec(line ?? '')?.[1]]).toEqual([
        name,
        TABLES[name](ENTITIES, EVENTS).headings.join(' '),
      ]);
    }
  });
  test('every row of every table has its headings and no others', () => {
    for (const name of TABLE_NAMES) {
      const { headings, rows } = TABLES[name](ENTITIES, EVENTS);
      for (const row of rows) expect([name, Object.keys(row)]).toEqual([name, [...headings]]);
    }
  });
});

test('ledgers are replaced by what they were: what is missing goes in, what came since goes out, others stay', () => {
  const carried = {
    records: [{ kind: 'fly' as const, id: 'f', data: {}, clocks: null }],
    events: [move('f', 'e1', 3), move('f', 'e2', -1)],
  };
  const here = [move('f', 'e2', -1), move('f', 'e9', 4), move('other', 'e3', 5)];
  expect(opsToReplace(carried, here).map(({ id, on }) => [id, on])).toEqual([
    ['e1', true],
    ['e9', false],
  ]);
});

describe('a long backup is foreseen in pieces', () => {
  const records = Array.from({ length: 450 }, (_, index) => ({
    kind: 'sample' as const,
    id: `s${index}`,
    data: sampleSchema.cast({ when: '2033-05-24T04:50', place: `Fenbeck ${index}` }),
    clocks: { '': 1 },
  }));
  const flies = [{ kind: 'fly' as const, id: 'f', data: { ...ENTITIES.fly.f! }, clocks: { '': 1 } }];
  const events = Array.from({ length: 250 }, (_, index) => move('f', `e${index}`, 1));
  const carried = { records: [...flies, ...records], events };
  const run = <I>(command: Command<I, unknown>, parts: readonly I[]) => {
    const draft = structuredClone({
      ...ENTITIES,
      box: { ...ENTITIES.box, gone: { ...Object.values(ENTITIES.box)[0]! } },
    });
    for (const part of parts) command.run(draft, part, around());
    return draft;
  };
  test('that come to what the whole comes to, joined or in place', () => {
    const merge = { carried };
    expect(mergeBackup.parts(merge)).toHaveLength(3 + 2);
    expect(run(mergeBackup, mergeBackup.parts(merge))).toEqual(run(mergeBackup, [merge]));
    const replace = { carried, ops: events };
    expect(replaceByBackup.parts(replace)).toHaveLength(1 + 3 + 2);
    const done = run(replaceByBackup, [replace]);
    expect(run(replaceByBackup, replaceByBackup.parts(replace))).toEqual(done);
    expect([Object.keys(done.sample).length, done.box]).toEqual([450, {}]);
  });
  test('one with more records than are read at once is refused with the most', () => {
    const items = Array.from({ length: 20_001 }, () => ({ kind: 'sample' }));
    expect(readRecords(JSON.stringify({ aubade: 'records', version: 2, items }))).toMatchObject({
      ok: false,
      fault: { code: 'too-many-records', params: { most: 20_000 } },
    });
  });
});
