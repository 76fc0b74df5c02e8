import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import TAXA from '@/catalogue/darwin-core.json';
import ids from '@/catalogue/ids.json';
import { darwinCoreFiles, generalPlace, type Occurrence } from './darwin-core';

const ONE: Occurrence = {
  id: 'sample_1',
  when: '2033-05-24T04:50',
  place: 'River Auldry, long riffle',
  water: 'fast',
  taxon: ['Ephemeroptera', 'order'],
  stage: 'dun',
  sex: 'male',
  method: 'calliper',
  specimens: [
    { id: 'i1', mm: 8.1, halfMm: 0.2, out: null },
    { id: 'i2', mm: 11, halfMm: null, out: 'another\tkind' },
  ],
  caseMm: 12,
  overallMm: 10.4,
  colours: { 'abdomen-belly': '#8a7b3c' },
  more: { surface: 'dry', rise: '=sip' },
  extra: {},
};
const WORDS = { title: 'Insects & <flies>', abstract: 'Noted by "one"\u0000', made: '2033-06-01', language: 'en' };
const files = (own = ONE, exact = false) =>
  Object.fromEntries(darwinCoreFiles([own], WORDS, { exact }).map(({ path, text }) => [path, text]));
const rows = (text: string) =>
  Papa.parse<Record<string, string>>(text, { header: true, delimiter: '\t', skipEmptyLines: true }).data;

test('a sample is an occurrence; what was measured refers to it, each with its unit, its ± and why it was left out', () => {
  const all = files();
  expect(rows(all['occurrence.txt']!)).toEqual([
    {
      occurrenceID: 'sample_1',
      basisOfRecord: 'HumanObservation',
      eventDate: '2033-05-24T04:50',
      locality: 'River Auldry',
      dataGeneralizations: 'place generalised',
      habitat: 'fast',
      scientificName: 'Ephemeroptera',
      taxonRank: 'order',
      lifeStage: 'dun',
      sex: 'male',
      individualCount: '1',
      occurrenceStatus: 'present',
      dynamicProperties: '{"surface":"dry","rise":"=sip"}',
    },
  ]);
  expect(
    rows(all['measurementorfact.txt']!).map((row) => [
      row.id,
      row.measurementType,
      row.measurementValue,
      row.measurementUnit,
      row.measurementAccuracy,
      row.measurementRemarks,
    ]),
  ).toEqual([
    ['sample_1', 'body length', '8.1', 'mm', '0.2', ''],
    ['sample_1', 'body length', '11', 'mm', '', 'left out: another kind'],
    ['sample_1', 'case length', '12', 'mm', '', ''],
    ['sample_1', 'overall length', '10.4', 'mm', '', ''],
    ['sample_1', 'colour of abdomen-belly', '#8a7b3c', 'sRGB hex', '', ''],
  ]);
});

test.each([
  ['River Auldry, long riffle', 'River Auldry'],
  ['Fenbeck', 'Fenbeck'],
  ['', ''],
  ['54.1234, -1.9876', '54.1, -2.0'],
  ['at 54.16 N', 'at 54.2 N'],
  ['River Auldry, long riffle, 54.1234, -1.9876', 'River Auldry, 54.1, -2.0'],
  ['River Auldry, 12 steps below the weir', 'River Auldry'],
  ["54°07'24.3\"N, 1°59'W", '54°N, 1°W'],
])('the place %j is told as %j', (place, general) => expect(generalPlace(place)).toBe(general));

test('asked for, places are told as they were noted, and nothing is said to be in general', () => {
  expect(rows(files(ONE, true)['occurrence.txt']!)[0]).toMatchObject({
    locality: 'River Auldry, long riffle',
    dataGeneralizations: '',
  });
});

test('a cell that a spreadsheet would run is guarded', () => {
  expect(files({ ...ONE, place: '=HYPERLINK(1)' })['occurrence.txt']).toContain(`\t"'=HYPERLINK(1)"\t`);
});

test('every column is named by the description, in its place, and both of its files are sound XML for another program', () => {
  const all = files();
  const folder = mkdtempSync(join(tmpdir(), 'aubade-dwca-'));
  for (const [path, text] of Object.entries(all)) writeFileSync(join(folder, path), text);
  for (const path of ['meta.xml', 'eml.xml']) execFileSync('xmllint', ['--noout', join(folder, path)]);
  const terms = (path: string, of: string) =>
    execFileSync('xmllint', ['--xpath', `//*[local-name()="${of}"]/*[local-name()="field"]/@*`, join(folder, path)], {
      encoding: 'utf8',
    })
      .match(/index="(\d+)"|terms\/(\w+)"/g)!
      .map((text) => text.replace(/index="|terms\/|"/g, ''));
  const headings = (path: string) => all[path]!.split('\n')[0]!.split('\t');
  const named = (list: string[]) =>
    Object.fromEntries(list.flatMap((at, index) => (index % 2 === 0 ? [[at, list[index + 1]]] : [])));
  const core = named(terms('meta.xml', 'core'));
  headings('occurrence.txt').forEach((heading, index) => expect(core[index]).toBe(heading));
  const measured = named(terms('meta.xml', 'extension'));
  headings('measurementorfact.txt').forEach((heading, index) => index > 0 && expect(measured[index]).toBe(heading));
  expect(all['eml.xml']).toContain('Insects &amp; &lt;flies&gt;');
});

test('every kind of insect has a scientific name with its rank', () => {
  expect(Object.keys(TAXA.taxa).sort()).toEqual(ids.orders.map(({ id }) => id).sort());
  for (const [name, rank] of Object.values(TAXA.taxa))
    expect([name, rank]).toEqual([expect.stringMatching(/^[A-Z][a-z]+$/), expect.stringMatching(/^[a-z]+$/)]);
});
