import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { read as readBook, utils } from 'xlsx';
import { around } from '../__tests__/around';
import { csvOf, TABLES, type BackupTable } from '../backup';
import { boxSchema } from '../box/schema';
import { cleanEntities } from '../demo';
import { demoEntities } from '../demo-valley';
import { groupSchema } from '../group/schema';
import { materialSchema } from '../material/schema';
import type { Entities } from '../kinds';
import { readingOf } from '../reading';
import { sampleSchema, specimen } from '../sample/schema';
import {
  AS_IT_IS,
  FILE_LIMITS,
  readFile,
  SHEET_IDS,
  takeTable,
  withoutSample,
  type FileReading,
  type SheetId,
  type TableLooked,
} from '.';

/** A copy of this realm: what the browser's own copying makes here is none. */
const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const bytes = (text: string) => new TextEncoder().encode(text);

/** A table read, with every row of it good. */
function looked(text: string, how: Partial<FileReading> = {}): TableLooked {
  const read = readFile(bytes(text), { ...AS_IT_IS, ...how });
  if (read.what !== 'table') throw new Error(JSON.stringify(read));
  return read;
}
function good(text: string, how: Partial<FileReading> = {}) {
  const { read } = looked(text, how);
  expect(read?.problems).toEqual([]);
  return read!.input;
}
const taken = (
  entities: Entities,
  text: string,
  how: Partial<FileReading> = {},
  now = '2033-06-01T20:00',
): Entities => {
  const next = copyOf(entities);
  takeTable.run(next, good(text, how), around(now));
  return next;
};
const wrong = (text: string, how: Partial<FileReading> = {}) =>
  looked(text, how).read!.problems.map(({ line, column, code }) => [line, column, code]);

/** The demo valley with something of every collection that a table is read into. */
const VALLEY: Entities = (() => {
  const valley = demoEntities();
  return {
    ...valley,
    material: {
      material_own: materialSchema.cast({
        name: '=dun, "weir"',
        functions: ['body.dubbed'],
        like: 'hare-mask',
        hex: '#7b6a3c',
      }),
    },
    group: {
      group_weir: groupSchema.cast({
        order: 'mayfly',
        name: 'weir olive',
        scientific: 'Baetis',
        regions: ['palearctic-west'],
        waters: ['fast'],
        months: [4, 5, 11],
        stages: [{ stage: 'mayfly/dun', leastMm: 6, usualMm: 7.5, mostMm: 9, shades: ['mid-olive'] }],
        note: 'by the weir',
        evidence: 'seen',
      }),
    },
    box: { ...valley.box, box_home: boxSchema.cast({ name: '2', rows: 2, columns: 3, carried: false }) },
  };
})();
const tableOf = (entities: Entities, sheet: SheetId) =>
  (TABLES as Record<string, (all: Entities, events: []) => BackupTable>)[sheet]!(entities, []);
const csv = (entities: Entities, sheet: SheetId) => csvOf(tableOf(entities, sheet));

test.each(SHEET_IDS)(
  'the table of %s is told by its headings, and read where it comes from it changes nothing',
  (sheet) => {
    const text = csv(VALLEY, sheet);
    expect(text.split('\r\n').length).toBeGreaterThan(2);
    expect(looked(text)).toMatchObject({ sheet, unread: [] });
    expect(readingOf(VALLEY, taken(VALLEY, text))).toEqual({ adds: [], changes: [], drops: [] });
  },
);

test('all tables read into a store without anything give the same tables again, and a second time nothing', () => {
  let here = cleanEntities();
  for (const sheet of SHEET_IDS) here = taken(here, csv(VALLEY, sheet));
  for (const sheet of SHEET_IDS) {
    const rows = (entities: Entities) =>
      tableOf(entities, sheet)
        .rows.map((row) => JSON.stringify({ ...row, photos: 0, rough_mm: 0 }))
        .sort();
    expect([sheet, rows(here)]).toEqual([sheet, rows(VALLEY)]);
  }
  let again = here;
  for (const sheet of SHEET_IDS) again = taken(again, csv(VALLEY, sheet));
  expect(readingOf(here, again)).toEqual({ adds: [], changes: [], drops: [] });
});

describe('a table of samples that another wrote', () => {
  const THEIRS =
    'Date;River;Insect;Length (in)\n24/5/2033 4:50;Fenbeck;mayfly/dun;0,32 0,33\n25/5/2033;Fenbeck;;0,3\n25/5/2033;Fenbeck;;0,3\n';
  test('is matched by its headings and units; each row is a natural with a match that opens it, and read twice it is once', () => {
    const here = taken(cleanEntities(), THEIRS);
    const samples = Object.values(here.sample);
    expect(
      samples.map(({ when, place, specimens }) => [
        when,
        place,
        specimens.map(({ body }) => Number(body.mm!.toFixed(2))),
      ]),
    ).toEqual([
      ['2033-05-24T04:50', 'Fenbeck', [8.13, 8.38]],
      ['2033-05-25T12:00', 'Fenbeck', [7.62]],
      ['2033-05-25T12:00', 'Fenbeck', [7.62]],
    ]);
    expect(Object.values(here.match).map(({ answers, opened }) => [answers[0]!.stage, opened])).toEqual([
      ['mayfly/dun', '2033-05-24T04:50'],
      [null, '2033-05-25T12:00'],
      [null, '2033-05-25T12:00'],
    ]);
    expect(readingOf(here, taken(here, THEIRS))).toEqual({ adds: [], changes: [], drops: [] });
  });
  test('of days with slashes it is asked which number is the day, where none of them tells', () => {
    const text = 'when,place\n5/6/2033,Fenbeck\n';
    expect(looked(text).slashDays).toBe(true);
    const when = (how: Partial<FileReading>) => Object.values(taken(cleanEntities(), text, how).sample)[0]!.when;
    expect([when({}), when({ dayOrder: 'month' })]).toEqual(['2033-06-05T12:00', '2033-05-06T12:00']);
    expect(Object.values(taken(cleanEntities(), 'when,place\n5/25/2033,a\n5/6/2033,b\n').sample)[1]!.when).toBe(
      '2033-05-06T12:00',
    );
    expect(looked('when,place\n2033-05-24,a\n').slashDays).toBe(false);
  });
  test('names what it does not read, and every bad cell by line and column', () => {
    expect(looked('when,place,weather\n2033-05-24,Fenbeck,rain\n').unread).toEqual(['weather']);
    expect(
      wrong(
        'when,stage,lengths_mm,colours,sex,seen\nsoon,,,,,\n2033-05-24,mayfly/dunn,8,,,\n2033-05-24,,8 300,,,\n2033-05-24,,,belly,,\n2033-05-24,,,abdomen-belly=mud,,\n2033-05-24,,,,,"nonsense"\n2033-05-24,,x,,,\n,,,,,\n2033-02-30,,,,,\n',
      ),
    ).toEqual([
      [2, 'when', 'cell-not-when'],
      [3, 'stage', 'cell-unlike'],
      [4, 'lengths_mm', 'cell-range'],
      [5, 'colours', 'cell-not-pairs'],
      [6, 'colours', 'cell-not-hex'],
      [7, 'seen', 'cell-not-one-of'],
      [8, 'lengths_mm', 'cell-not-number'],
      [10, 'when', 'cell-not-when'],
    ]);
  });
  test('a length that is not known yet is added to those that are, whatever was left out stays so', () => {
    const here: Entities = {
      ...cleanEntities(),
      sample: {
        s: sampleSchema.cast({
          when: '2033-05-24T04:50',
          specimens: [specimen('i1', 8.1), { ...specimen('i2', 11), out: 'another kind' }],
        }),
      },
    };
    const next = taken(here, 'sample,when,lengths_mm\ns,2033-05-24T04:50,8.1 8.1 9\n');
    expect(next.sample.s!.specimens.map(({ id, body, out }) => [id, body.mm, out])).toEqual([
      ['i1', 8.1, null],
      ['i2', 11, 'another kind'],
      ['t1', 8.1, null],
      ['t2', 9, null],
    ]);
  });
});

describe('matches', () => {
  const SAMPLE = 'sample,when,stage\ns,2033-05-24T04:50,mayfly/dun\n';
  test('whose natural is not here are left out and counted; with it they stand in place of the one made for it', () => {
    const text =
      'match,title,sample,answer,leads,stage,dressing\nm,Dawn,s,a,no,mayfly/dun,\nm,,s,b,yes,mayfly/emerger,first-light-dun\n';
    expect(withoutSample(cleanEntities(), good(text))).toBe(2);
    expect(taken(cleanEntities(), text).match).toEqual({});
    const here = taken(cleanEntities(), SAMPLE);
    expect(Object.keys(here.match)).toEqual(['match-s']);
    const next = taken(here, text);
    expect(withoutSample(here, good(text))).toBe(0);
    expect(next.match).toEqual({
      m: expect.objectContaining({ title: 'Dawn', opened: '2033-05-24T04:50', sampleId: 's', leading: 'b' }),
    });
    expect(next.match.m!.answers.map(({ id, stage, dressingId }) => [id, stage, dressingId])).toEqual([
      ['a', 'mayfly/dun', null],
      ['b', 'mayfly/emerger', 'first-light-dun'],
    ]);
  });
  test('a match made for a natural stays where the tier named it, and no match has more than four answers', () => {
    const here = taken(cleanEntities(), SAMPLE);
    here.match['match-s']!.title = 'mine';
    const rows = ['a', 'b', 'c', 'd', 'e'].map((answer) => `m,s,${answer}`).join('\n');
    const next = taken(here, `match,sample,answer\n${rows}\n`);
    expect(Object.keys(next.match)).toEqual(['match-s', 'm']);
    expect(next.match.m!.answers.map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd']);
  });
});

describe('flies and boxes', () => {
  test('a fly goes into the box of that name, which is made where it is not here; what is counted is what is left', () => {
    const text = 'name,stage,box,compartment,count\nGrey one,mayfly/dun,Chest,a2,4\n';
    const here = taken(cleanEntities(), text);
    const [boxId] = Object.keys(here.box) as [string];
    expect(here.box[boxId]).toMatchObject({ name: 'Chest', rows: 4, columns: 6, carried: true });
    expect(Object.values(here.fly)[0]!.tally.places).toMatchObject([{ boxId, slot: 'a2', count: 4 }]);
    const fewer = taken(here, text.replace(',4\n', ',1\n'));
    expect(Object.values(fewer.fly).map(({ tally }) => tally.places)).toMatchObject([
      [{ boxId, slot: 'a2', count: 1 }],
    ]);
  });
  test('a fly of which nothing is said is named by its line', () =>
    expect(wrong('fly,dressing,hook,box,left\nx,,osmere:lark:14,Chest,2\n')).toEqual([[2, 'dressing', 'cell-empty']]));
  test('a colour word is one of the trade, yes and no are yes and no', () => {
    expect(wrong('fly,name,colour_words\nx,y,mid-mud\n')).toEqual([[2, 'colour_words', 'cell-unlike']]);
    expect(wrong('box,name,rows,carried\nb,B,13,maybe\nb,B,2.5,yes\n')).toEqual([
      [2, 'rows', 'cell-range'],
      [2, 'carried', 'cell-not-one-of'],
      [3, 'rows', 'cell-not-count'],
    ]);
  });
});

describe('a stash', () => {
  test('a list of names alone is one, whatever case its heading has', () => {
    const here = taken(cleanEntities(), 'Material\nKapok\nFine water-shedding fur, reed olive\nthread-olive-70\n');
    expect(Object.keys(here.stash).sort()).toEqual([
      'stash_fine-fur-reed-olive',
      'stash_kapok',
      'stash_thread-olive-70',
    ]);
    expect(readFile(bytes('Fish\nTrout\nPike\n'), AS_IT_IS)).toMatchObject({
      what: 'refused',
      fault: { code: 'file-not-table' },
    });
  });
  test('what nobody knows, a shade that is none, a negative amount are named by line and column', () =>
    expect(wrong('material,shade,amount\nNope,,1\nkapok,moonlight,1\nkapok,,-1\nkapok,,2\n')).toEqual([
      [2, 'material', 'material-not-known'],
      [3, 'shade', 'shade-not-known'],
      [4, 'amount', 'cell-range'],
    ]));
  test('an amount is counted again, a word that nobody ships goes in with its colour, and a second reading changes nothing', () => {
    const text = 'material,shade,hex,amount,low\nkapok,,,3,1\nfine-fur,weir mud,#5b5a43,,\n';
    const once = taken(cleanEntities(), text);
    expect(once.stash['stash_fine-fur-weir-mud']).toMatchObject({ shade: 'weir mud', hex: '#5b5a43' });
    expect(once.stash.stash_kapok).toMatchObject({ low: 1, tally: { count: 3 } });
    expect(readingOf(once, taken(once, text))).toEqual({ adds: [], changes: [], drops: [] });
    expect(taken(once, 'material,amount\nkapok,1\n').stash.stash_kapok!.tally.count).toBe(1);
  });
});

describe('packets', () => {
  test('two of one hook are told apart by their ids, and headings of others are matched', () => {
    const text = 'packet,maker,model,size,count\np1,osmere,lark,14,5\np2,osmere,lark,14,9\n';
    const here = taken(cleanEntities(), text);
    expect(Object.entries(here.packet).map(([id, { tally }]) => [id, tally.count])).toEqual([
      ['p1', 5],
      ['p2', 9],
    ]);
    expect(good('Brand,Series,Hook size,Qty\nOsmere,Lark,14,5\n', { prefer: 'packets' })).toMatchObject({
      sheet: 'packets',
      rows: [{ hookId: 'osmere:lark:14', count: 5, packet: null }],
    });
  });
});

describe('what is preferred', () => {
  const text = 'Firm;Code;No.;Shape of bend;Long (in)\nWend;Deep;12;round;0,33\n';
  test('is taken to be it where half of what it needs is there, and the rest is asked for', () => {
    expect(looked(text, { prefer: 'hooks' })).toMatchObject({ sheet: 'hooks', read: null });
    expect(looked('Firm;Colour\nWend;red\n', { prefer: 'hooks' }).sheet).toBeNull();
  });
  test('gives way to what the headings say plainly', () =>
    expect(looked('match,sample,answer,stage\nm,s,a,mayfly/dun\n', { prefer: 'samples' }).sheet).toBe('matches'));
});

describe('what is no table of ours', () => {
  test('waits until it is said what it is, then for what is needed', () => {
    const text = 'a,b\n24.5.2033,x\n';
    expect(looked(text)).toMatchObject({
      sheet: null,
      read: null,
      headings: ['a', 'b'],
      sample: [{ a: '24.5.2033', b: 'x' }],
    });
    expect(looked(text, { sheet: 'samples' })).toMatchObject({ sheet: 'samples', read: null });
    expect(
      good(text, { sheet: 'samples', map: { when: { heading: 'a', unit: null }, place: { value: 'Fenbeck' } } }),
    ).toMatchObject({ rows: [{ cells: { when: '2033-05-24T12:00', place: 'Fenbeck' } }] });
  });
  test.each([
    ['too many columns', bytes(`${'a,'.repeat(400)}b\n1`), 'file-columns'],
    ['another file of ours', bytes('{"aubade":"field-card","version":1,"items":[]}'), 'file-other'],
    ['a newer one', bytes('{"aubade":"hooks","version":9,"items":[]}'), 'file-newer'],
    ['bytes', new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2]), 'file-not-text'],
    ['a table past its limit', new Uint8Array(FILE_LIMITS.table + 1).fill(0x61), 'too-large'],
    ['nothing', bytes(''), 'file-blank'],
    ['headings without a row', bytes('when,place\n'), 'file-no-rows'],
    ['broken JSON', bytes('{ broken'), 'file-no-json'],
  ])('%s is refused with its reason', (_, file, code) =>
    expect(readFile(file)).toMatchObject({ what: 'refused', fault: { code } }),
  );
  test('text in two bytes a letter, as some spreadsheets save it, is read', () => {
    const text = 'when,place\n2033-05-24,Überbeck\n';
    const two = new Uint8Array(Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(text, 'utf16le')]));
    const read = readFile(two) as TableLooked;
    expect(read.read?.input).toMatchObject({ rows: [{ cells: { place: 'Überbeck' } }] });
  });
});

describe('what is long is done in pieces', () => {
  const MANY = `when,place,lengths_mm\n${Array.from({ length: 450 }, (_, index) => `2033-05-24,Fenbeck ${index % 300},8.${index % 9}\n`).join('')}2033-05-24,Fenbeck 0,8.0\n`;
  test('one after the other they come to what the whole comes to, rows that say the same told apart', () => {
    const input = good(MANY);
    const pieces = takeTable.parts(input);
    expect(pieces.map((piece) => ('rows' in piece ? piece.rows.length : 0))).toEqual([200, 200, 51]);
    const [whole, cut] = [copyOf(cleanEntities()), copyOf(cleanEntities())];
    takeTable.run(whole, input, around());
    for (const piece of pieces) takeTable.run(cut, piece, around());
    expect(cut).toEqual(whole);
    expect(Object.keys(whole.sample)).toHaveLength(451);
  });
  test('packets are not cut: rows of one add up', () => {
    const rows = Array.from({ length: 450 }, () => 'osmere,lark,14,1\n').join('');
    const pieces = takeTable.parts(good(`maker,model,size,count\n${rows}`));
    expect(pieces).toHaveLength(1);
  });
  test('a table of more rows than are read at once is refused with how many it has', () => {
    const many = (head: string, row: string, count: number) => readFile(bytes(`${head}\n${`${row}\n`.repeat(count)}`));
    const refused = (count: number, most: number) => ({ fault: { code: 'too-many-rows', params: { count, most } } });
    expect(many('when,place', '2033-05-24,x', 5_001)).toMatchObject(refused(5_001, 5_000));
    expect(many('when,place', '2033-05-24,x', 5_000)).toMatchObject({ read: { good: 5_000 } });
    expect(many('maker,model,size,bend', 'm,x,12,round', 20_001)).toMatchObject(refused(20_001, 20_000));
    expect(many('maker,model,size,bend', 'm,x,12,round', 5_001)).toMatchObject({ read: { count: 5_001 } });
  });
});

describe('the examples of docs/formats', () => {
  const NAMES = ['samples', 'matches', 'boxes', 'flies', 'materials', 'stash'] as const;
  const example = (name: string) => readFileSync(join(__dirname, `../../../docs/formats/examples/${name}.csv`), 'utf8');
  const all = NAMES.reduce((here, name) => taken(here, example(name)), cleanEntities());
  test.each(NAMES)('%s.csv is read, and written again it is the same to the byte', (name) =>
    expect(csv(all, name)).toBe(example(name)),
  );
  test.each(NAMES)('%s.csv is opened by a spreadsheet as it stands, and nothing in it is run', (name) => {
    const book = readBook(example(name), { type: 'string', raw: true });
    const sheet = book.Sheets[book.SheetNames[0]!]!;
    const { headings, rows } = tableOf(all, name);
    const cells = utils.sheet_to_json<Record<string, string>>(sheet, { defval: '' });
    expect(cells.map((row) => Object.keys(row))).toEqual(rows.map(() => [...headings]));
    const plain = (value: unknown) => String(value ?? '').replace(/^'(?==)/, '');
    expect(cells.map((row) => headings.map((name) => plain(row[name])))).toEqual(
      rows.map((row) => headings.map((name) => plain(row[name]))),
    );
    expect(Object.values(sheet).filter((cell) => (cell as { f?: string }).f !== undefined)).toEqual([]);
  });
});
