import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readRecords } from '../src/records';
import { run, type Outcome } from './run';

const EXAMPLE = join(__dirname, '../docs/formats/examples/backup.zip');
const folder = mkdtempSync(join(tmpdir(), 'aubade-cli-'));
const aubade = (...args: string[]) => run([...args, '--json']) as Outcome;
const json = ({ stdout }: Outcome) => JSON.parse(stdout) as Record<string, unknown>;

test('show says what is in a backup', () => {
  const shown = aubade('backup', 'show', EXAMPLE);
  expect([shown.exit, json(shown)]).toEqual([
    0,
    {
      version: 1,
      made: '2033-06-01T20:00',
      kinds: { sample: 1, match: 1, fly: 1, box: 1, photo: 2 },
      bytes: readFileSync(EXAMPLE).length,
    },
  ]);
});

test('check finds a whole one whole, and says which file of a damaged one is not', () => {
  expect([aubade('backup', 'check', EXAMPLE).exit, json(aubade('backup', 'check', EXAMPLE))]).toEqual([
    0,
    { file: EXAMPLE, rows: 6, good: 6, bad: 0, problems: [] },
  ]);
  const damaged = Buffer.from(readFileSync(EXAMPLE));
  const at = damaged.indexOf('picture');
  damaged.write('P', at);
  const path = join(folder, 'damaged.zip');
  writeFileSync(path, damaged);
  const checked = aubade('backup', 'check', path);
  expect(checked.exit).toBe(2);
  expect(json(checked)).toMatchObject({
    rows: 0,
    bad: 1,
    problems: [{ rule: 'backup-broken', record: 'photos/p.jpg', message: expect.stringContaining('photos/p.jpg') }],
  });
});

test.each([
  [['backup'], 'command'],
  [['backup', 'mend', EXAMPLE], 'command'],
  [['backup', 'show'], 'file'],
  [['backup', 'show', join(folder, 'none.zip')], 'file'],
  [['backup', 'show', join(__dirname, 'run.ts')], 'file'],
  [['export', '--from', EXAMPLE, '--what', 'rivers', '--as', 'csv', '--out', join(folder, 'x')], 'what'],
  [['export', '--from', EXAMPLE, '--what', 'boxes', '--as', 'dwca', '--out', join(folder, 'x')], 'as'],
  [['export', '--from', EXAMPLE, '--what', 'boxes', '--as', 'csv', '--out', join(folder, 'no', 'x')], 'out'],
  [['export', '--what', 'boxes', '--as', 'csv', '--out', join(folder, 'x')], 'from'],
])('%j is refused at %s', (args, field) => {
  const outcome = aubade(...args);
  expect([outcome.exit, (json(outcome) as { error: { field: string } }).error.field]).toEqual([2, field]);
});

test('a collection comes out as a table and as records that are read again', () => {
  const csv = join(folder, 'flies.csv');
  expect(json(aubade('export', '--from', EXAMPLE, '--what', 'flies', '--as', 'csv', '--out', csv))).toEqual({
    out: csv,
    rows: 1,
  });
  expect(readFileSync(csv, 'utf8').split('\r\n')[1]).toMatch(/^f,,first-light-dun,,osmere:lark:14,.*,Chest box,a1,2,$/);
  const moves = join(folder, 'moves.csv');
  expect(json(aubade('export', '--from', EXAMPLE, '--what', 'fly-moves', '--as', 'csv', '--out', moves)).rows).toBe(2);
  const records = join(folder, 'flies.json');
  aubade('export', '--from', EXAMPLE, '--what', 'fly', '--as', 'json', '--out', records);
  const read = readRecords(readFileSync(records, 'utf8'));
  expect(read.ok && [read.carried.records.length, read.carried.events.length]).toEqual([1, 2]);
});

test('samples come out as a Darwin Core archive that another program opens', () => {
  const out = join(folder, 'samples.zip');
  expect(json(aubade('export', '--from', EXAMPLE, '--what', 'samples', '--as', 'dwca', '--out', out))).toEqual({
    out,
    rows: 1,
  });
  const unzip = (...args: string[]) => execFileSync('unzip', args, { encoding: 'utf8' });
  expect(unzip('-t', out)).toMatch(/No errors detected/);
  expect(unzip('-p', out, 'occurrence.txt').split('\n')[1]).toMatch(
    /^s\tHumanObservation\t2033-05-24T04:50\tFenbeck weir\t\t\tEphemeroptera\torder\tdun\t\t2\tpresent\t/,
  );
  expect(
    Buffer.compare(readFileSync(out), readFileSync(join(__dirname, '../docs/formats/examples/darwin-core.zip'))),
  ).toBe(0);
  expect(unzip('-p', out, 'eml.xml')).toContain('<pubDate>2033-06-01</pubDate>');
});
