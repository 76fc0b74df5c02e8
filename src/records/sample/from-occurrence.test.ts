import { KNOWN } from '@/catalogue/known-ids';
import { Packer } from '@/core/archive';
import { darwinCoreFiles, DWC } from '@/core/exchange/darwin-core';
import { around } from '../__tests__/around';
import { cleanEntities } from '../demo';
import { demoEntities } from '../demo-valley';
import type { Entities } from '../kinds';
import { readingOf } from '../reading';
import { AS_IT_IS, readFile, takeTable, type ArchiveRead } from '../sheets';
import { occurrencesOf } from './occurrence';
import { sampleSchema, specimen } from './schema';

const WORDS = { title: 'Insects', abstract: 'Noted', made: '2033-06-01', language: 'en' };

function zip(files: Readonly<Record<string, string>>): Uint8Array {
  const packer = new Packer();
  for (const [path, text] of Object.entries(files)) packer.add(path, new TextEncoder().encode(text));
  return new Uint8Array(Buffer.concat(packer.end()));
}
const archiveOf = (entities: Entities, exact = false) =>
  zip(
    Object.fromEntries(
      darwinCoreFiles(occurrencesOf(entities), WORDS, { exact }).map(({ path, text }) => [path, text]),
    ),
  );
function read(bytes: Uint8Array): ArchiveRead {
  const file = readFile(bytes, AS_IT_IS);
  if (file.what !== 'archive') throw new Error(JSON.stringify(file));
  return file;
}
const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
function taken(entities: Entities, bytes: Uint8Array): Entities {
  const next = copyOf(entities);
  takeTable.run(next, read(bytes).input, around());
  return next;
}

const VALLEY: Entities = (() => {
  const valley = demoEntities();
  return {
    ...valley,
    sample: {
      ...valley.sample,
      told: sampleSchema.cast({
        when: '2033-05-24T04:50',
        place: 'Fenbeck, below the weir',
        water: 'fast',
        surface: 'wet',
        method: 'calliper',
        sex: 'female',
        preserved: true,
        specimens: [
          { ...specimen('i1', 8.1), halfMm: 0.2 },
          { ...specimen('i2', 11), out: 'another kind' },
        ],
        overall: { mm: 12, typed: null },
        case: { mm: 9, typed: null },
        colours: { 'abdomen-belly': '#8a7b3c' },
        shades: { wing: 'pale-grey' },
        signs: { wings: 'upright' },
        rise: 'sip',
        seen: [KNOWN.seen[0]!],
      }),
    },
  };
})();

describe('our own archive', () => {
  test.each([false, true])('read where it comes from changes nothing, its places exact: %s', (exact) => {
    const archive = archiveOf(VALLEY, exact);
    const here = taken(VALLEY, archive);
    const reading = readingOf(VALLEY, here);
    expect([reading.changes, reading.drops]).toEqual([[], []]);
    // The one that has no match is given one, so that it can be opened.
    expect(reading.adds.map(({ kind, id }) => `${kind}/${id}`)).toEqual(['match/match-told']);
    expect(readingOf(here, taken(here, archive))).toEqual({ adds: [], changes: [], drops: [] });
  });
  test('read elsewhere says the same again, every insect with its ± and why it was left out; a place in general gives way to one that is noted', () => {
    const here = taken(cleanEntities(), archiveOf(VALLEY, true));
    const sorted = (entities: Entities) => occurrencesOf(entities).sort((a, b) => a.id.localeCompare(b.id));
    expect(sorted(here)).toEqual(
      sorted(VALLEY).map((own) => {
        const { roughMm: _, ...more } = own.more;
        return { ...own, more };
      }),
    );
    const general = taken(cleanEntities(), archiveOf(VALLEY));
    expect(general.sample.told!.place).toBe('Fenbeck');
    expect(taken(VALLEY, archiveOf(VALLEY)).sample.told!.place).toBe('Fenbeck, below the weir');
  });
});

const META = (more = '') => `<?xml version="1.0"?>
<archive xmlns="http://rs.tdwg.org/dwc/text/">
  <core encoding="ISO-8859-1" fieldsTerminatedBy="," linesTerminatedBy="\\n" fieldsEnclosedBy='"' ignoreHeaderLines="0" rowType="${DWC}Occurrence">
    <files><location>their occurrences.csv</location></files>
    <id index="0"/>
    <field index="1" term="${DWC}eventDate"/><field index="2" term="${DWC}eventTime"/>
    <field index="3" term="${DWC}scientificName"/><field index="4" term="${DWC}lifeStage"/>
    <field index="5" term="${DWC}decimalLatitude"/><field index="6" term="${DWC}occurrenceStatus"/>
    <field term="${DWC}basisOfRecord" default="PreservedSpecimen"/>
    <field index="7" term="http://purl.org/dc/terms/license"/>
  </core>
  <extension encoding="UTF-8" fieldsTerminatedBy="\\t" ignoreHeaderLines="1" rowType="http://rs.iobis.org/obis/terms/ExtendedMeasurementOrFact">
    <files><location>m.txt</location></files><coreid index="0"/>
    <field index="1" term="${DWC}measurementType"/><field index="2" term="${DWC}measurementValue"/><field index="3" term="${DWC}measurementUnit"/>
  </extension>
  <extension fieldsTerminatedBy="\\t" rowType="http://rs.gbif.org/terms/1.0/Multimedia">
    <files><location>pictures.txt</location></files><coreid index="0"/><field index="1" term="http://purl.org/dc/terms/identifier"/>
  </extension>${more}
</archive>`;
const THEIRS = {
  'set/meta.xml': META(),
  'set/their occurrences.csv':
    '1,2033-05-24,04:50,Baetis rhodani,subimago,54.1,present,"free, as air"\n2,2033-05-25T06:00:00Z/2033-05-25T07:00:00Z,,Turdus merula,adult,,,\n3,2033-05,,Plecoptera,larva,,,\n4,2033-05-26,,Plecoptera,larva,,absent,\n',
  'set/m.txt': 'id\ttype\tvalue\tunit\n1\tbody length\t0.81\tcm\n1\tbody mass\t12\tmg\n1\tlength\t900\tmm\n',
  'set/pictures.txt': '1\tx.jpg\n1\ty.jpg\n',
};

describe("another program's archive", () => {
  const archive = read(zip(THEIRS));
  test('is read by what its description says, in its encoding; what cannot be used is named', () => {
    expect([archive.good, archive.count, archive.absent]).toEqual([2, 4, 1]);
    expect(archive.problems.map(({ line, column, code }) => [line, column, code])).toEqual([
      [3, 'eventDate', 'cell-not-when'],
    ]);
    expect(archive.unread).toEqual([{ rowType: 'Multimedia', rows: 2 }]);
  });
  test('a genus and a stage of life become a stage of ours; a length in another unit is a length', () => {
    const here = taken(cleanEntities(), zip(THEIRS));
    const [one, bird] = Object.values(here.sample) as [Entities['sample'][string], Entities['sample'][string]];
    expect([one.when, one.specimens.map(({ body }) => body.mm)]).toEqual(['2033-05-24T04:50', [8.1]]);
    expect(here.match['match-1']!.answers[0]!.stage).toBe('mayfly/dun');
    expect([bird.when, here.match['match-2']!.answers[0]!.stage]).toEqual(['2033-05-25T06:00', null]);
  });
  test('what has no place here is kept by its term and listed, and goes out again as it came', () => {
    expect(archive.kept).toEqual(
      expect.arrayContaining([
        { term: `${DWC}basisOfRecord`, rows: 2 },
        { term: `${DWC}decimalLatitude`, rows: 1 },
        { term: 'http://purl.org/dc/terms/license', rows: 1 },
        { term: 'measurement:body mass', rows: 1 },
        { term: 'measurement:length', rows: 1 },
        { term: `${DWC}scientificName`, rows: 2 },
      ]),
    );
    const here = taken(cleanEntities(), zip(THEIRS));
    expect(here.sample['1']!.extra).toEqual({
      [`${DWC}basisOfRecord`]: 'PreservedSpecimen',
      [`${DWC}decimalLatitude`]: '54.1',
      [`${DWC}scientificName`]: 'Baetis rhodani',
      'http://purl.org/dc/terms/license': 'free, as air',
      'measurement:body mass': '12 mg',
      'measurement:length': '900 mm',
    });
    const out = archiveOf(here);
    expect(readingOf(here, taken(here, out))).toEqual({ adds: [], changes: [], drops: [] });
    expect(taken(cleanEntities(), out).sample['1']!.extra).toEqual(here.sample['1']!.extra);
    expect(readingOf(here, taken(here, zip(THEIRS)))).toEqual({ adds: [], changes: [], drops: [] });
  });
  test.each([
    ['without a description', { 'occurrence.txt': 'a\tb' }, 'backup-other'],
    ['with definitions of its own', { 'meta.xml': '<!DOCTYPE x [<!ENTITY a "b">]><archive/>' }, 'dwca-doctype'],
    ['with a broken one', { 'meta.xml': '<archive><core>' }, 'dwca-broken'],
    ['with a file missing', { 'meta.xml': META() }, 'dwca-broken'],
    ['of a file outside', { 'meta.xml': META().replace('their occurrences.csv', '../../etc/passwd') }, 'dwca-broken'],
    ['of events', { 'meta.xml': META().replace(`${DWC}Occurrence`, `${DWC}Event`) }, 'dwca-core'],
    [
      'in an encoding that is none',
      { ...THEIRS, 'set/meta.xml': META().replace('ISO-8859-1', 'klingon') },
      'dwca-broken',
    ],
  ])('%s is refused', (_, files, code) =>
    expect(readFile(zip(files as Record<string, string>), AS_IT_IS)).toMatchObject({
      what: 'refused',
      fault: { code },
    }),
  );
});
