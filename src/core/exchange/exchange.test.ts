import { KNOWN } from '@/catalogue';
import { readDrawerFile, writeDrawerFile } from './drawer-file';
import { guessColumns, HOOK_MAP } from './column-map';
import { readHooksFile } from './hooks-file';
import { slug } from './slug';
import { headFault, readNumber, readTable, writeBadRows } from './table';

const guess = (headings: readonly string[]) => guessColumns(headings, HOOK_MAP);
const HEAD = 'maker,model,size,bend,shank_mm,gape_mm';

describe('tables', () => {
  test.each([
    [',', '.'],
    [';', ','],
    ['\t', ','],
  ])('with %s, a byte-order mark and blank lines', (mark, dot) => {
    const table = readTable(`\uFEFFmaker${mark}shank_mm\r\n\r\nm${mark}8${dot}2\r\n`);
    expect(table).toEqual({
      headings: ['maker', 'shank_mm'],
      rows: [{ line: 3, cells: { maker: 'm', shank_mm: `8${dot}2` }, extra: 0 }],
    });
  });
  test('a guarded cell loses one quote', () =>
    expect(readTable("note\n'=SUM(A1)\n").rows[0]!.cells.note).toBe('=SUM(A1)'));
  test('numbers', () => {
    expect(readNumber('8,2')).toBe(8.2);
    expect(readNumber('')).toBeNull();
    expect(readNumber('8.2.1')).toBeUndefined();
  });
});

describe('hooks from a file', () => {
  test('good rows are kept and every bad cell is named', () => {
    const read = readHooksFile(
      `${HEAD}\nOwn Make,Deep,12,round,8.2,5\nown-make,deep,14,banana,7,4\nown-make,deep,16,round,six,4\nown-make,deep,18,round,500,4\nown-make,deep,12,round,8.3,5\n`,
      KNOWN,
    );
    expect(read.rows).toHaveLength(1);
    expect(read.rows[0]).toMatchObject({
      maker: 'own-make',
      makerName: 'Own Make',
      shankMm: 8.2,
      wireMm: null,
      source: 'typed',
    });
    expect(read.problems.map((problem) => [problem.line, problem.column, problem.code])).toEqual([
      [3, 'bend', 'cell-not-one-of'],
      [4, 'shank_mm', 'cell-not-number'],
      [5, 'shank_mm', 'cell-range'],
      [6, 'size', 'row-twice'],
    ]);
    expect(read.count).toBe(5);
  });
  test('JSON in the envelope reads the same', () => {
    expect(
      readHooksFile(
        JSON.stringify({
          aubade: 'hooks',
          version: 1,
          items: [{ maker: 'm', model: 'x', size: '12', bend: 'round', shank_mm: 8.2 }],
        }),
        KNOWN,
      ).rows[0],
    ).toMatchObject({ size: '12', shankMm: 8.2, gapeMm: null });
  });
  test('missing columns and unreadable JSON', () => {
    expect(readHooksFile('maker,size\nm,12\n', KNOWN).problems.map((problem) => problem.column)).toEqual([
      'model',
      'bend',
    ]);
    expect(readHooksFile('{ not json', KNOWN).problems[0]!.code).toBe('file-unread');
  });
  test('a label that says nothing needs a length beside it', () => {
    const read = readHooksFile(`${HEAD}\nm,x,small,round,,\nm,x,tiny,round,4,\nm,x,2,round,,\n`, KNOWN);
    expect(read.rows.map((row) => row.size)).toEqual(['tiny', '2']);
    expect(read.problems[0]).toMatchObject({
      code: 'label-unread',
      line: 2,
      column: 'size',
      accepted: { list: ['14', '1/0', 'V45'] },
    });
  });
  test('a cell beyond the headings is named: a decimal comma between commas', () => {
    const read = readHooksFile(`${HEAD}\nm,x,12,round,8,2,5\n`, KNOWN);
    expect(read.problems[0]).toMatchObject({ code: 'row-long', params: { extra: 1 }, line: 2 });
    expect(read.rows).toEqual([]);
  });
  test('lines are those of the file, past a cell with a line break in it', () => {
    expect(
      readHooksFile(`maker,model,model_name,size,bend\nm,x,"Deep\nround",12,round\nm,x,,14,bananas\n`, KNOWN)
        .problems[0],
    ).toMatchObject({ line: 4, column: 'bend' });
  });
  test('headings in any case, in inches or 1/32 inch where they say so, and marks in the cell go first', () => {
    const read = readHooksFile(
      'Maker,Model,Size,Bend,shank_in,GAPE_MM,wire_32\nm,x,12,Curved shank,0.32,"5/16""",0.5\n',
      KNOWN,
    );
    expect(read.problems).toEqual([]);
    expect(read.rows[0]).toMatchObject({
      bend: 'curved-shank',
      shankMm: 0.32 * 25.4,
      gapeMm: (5 / 16) * 25.4,
      wireMm: (0.5 * 25.4) / 32,
    });
  });
  test('a map of columns, a unit for bare numbers and one value for every row', () => {
    const map = {
      maker: { value: 'Own Make' },
      model: { heading: 'Code', unit: null },
      size: { heading: 'No.', unit: null },
      bend: { value: 'round' },
      shank_mm: { heading: 'Length', unit: null },
    };
    expect(readHooksFile('Code,No.,Length\nA1,12,0.32\n', KNOWN, { unit: 'in', map }).rows[0]).toMatchObject({
      maker: 'own-make',
      model: 'a1',
      size: '12',
      shankMm: 0.32 * 25.4,
    });
    expect(readHooksFile('Code,No.,Length\nA1,12,many\n', KNOWN, { map }).problems[0]).toMatchObject({
      column: 'Length',
      got: 'many',
    });
  });
  test('bad rows come back as they stood, with what is wrong beside them', () => {
    const file = `${HEAD},note\nm,x,12,round,8,5,fine\nm,x,14,banana,seven,4,"a, b"\n`;
    expect(writeBadRows(readHooksFile(file, KNOWN), (problem) => problem.code)).toBe(
      `${HEAD},note,problem\r\nm,x,14,banana,seven,4,"a, b",cell-not-one-of; cell-not-number\r\n`,
    );
  });
  test('progress is told to its end', () => {
    const told: number[] = [];
    readHooksFile(
      `${HEAD}\n${Array.from({ length: 1200 }, (_, index) => `m,x${index},12,round,8,5`).join('\n')}\n`,
      KNOWN,
      { report: (done) => told.push(done) },
    );
    expect(told).toEqual([0, 500 / 1200, 1000 / 1200, 1]);
  });
  test('names become ids', () => expect(slug('  Short & Wide ')).toBe('short-wide'));
});

describe("other people's headings", () => {
  test('are proposed from words and units', () => {
    expect(
      guess(['Brand', 'Style', 'Size', 'Shape', 'Length (in)', 'Gap 1/32"', 'Wire', 'Wire (mm)', 'Weight', 'Colour']),
    ).toEqual({
      maker: { heading: 'Brand', unit: null },
      model: { heading: 'Style', unit: null },
      size: { heading: 'Size', unit: null },
      bend: { heading: 'Shape', unit: null },
      shank_mm: { heading: 'Length (in)', unit: 'in' },
      gape_mm: { heading: 'Gap 1/32"', unit: 'in/32' },
      wire: { heading: 'Wire', unit: null },
      wire_mm: { heading: 'Wire (mm)', unit: 'mm' },
      mass_mg: { heading: 'Weight', unit: null },
    });
  });
  test('a unit makes a measure of a word that may be a class', () => {
    expect(guess(['Long (in)', 'Eye mm', 'Wire'])).toMatchObject({
      shank_mm: { heading: 'Long (in)', unit: 'in' },
      eye_mm: { heading: 'Eye mm' },
      wire: { heading: 'Wire' },
    });
    expect(guess(['Long']).x_long).toEqual({ heading: 'Long', unit: null });
  });
  test('our own go before a word that is like them', () =>
    expect(guess(['length', 'shank_mm']).shank_mm).toEqual({ heading: 'shank_mm', unit: 'mm' }));
});

describe('what is no table', () => {
  const random = Array.from({ length: 400 }, (_, index) => String.fromCharCode((index * 7919) % 31)).join('');
  test.each([
    ['', 'file-blank'],
    [random, 'file-not-text'],
    ['one word a line\nand no marks\nat all\n', 'file-not-table'],
    ['a,b\n1,2,3,4\n1\n2,3,4\n1,1,1\n', 'file-not-table'],
  ])('%# is refused from its first lines', (head, code) => expect(headFault(head)!.code).toBe(code));
  test('a table and JSON may be one', () => {
    expect(headFault(`${HEAD}\nm,x,12,round,8,5\nm,x,14,round,7,4\nm,x,`)).toBeNull();
    expect(headFault('{ "aubade": "hooks"')).toBeNull();
  });
});

describe('a drawer', () => {
  test('counts add up and an empty count is one', () => {
    expect(
      readDrawerFile('maker,model,size,count\nosmere,lark,14,18\nosmere,lark,14,2\nOsmere,Lark,1/0,\n'),
    ).toMatchObject({ owned: { 'osmere:lark:14': 20, 'osmere:lark:1-0': 1 }, problems: [] });
  });
  test('packets written are read back, with their count; words that a spreadsheet would run are guarded', () => {
    const text = writeDrawerFile([
      { maker: 'osmere', model: 'lark', size: '1/0', count: 12, low: 5, label: '=best', note: '' },
      { maker: 'bessock', model: 'fine', size: '13', count: 0, low: null, label: '', note: 'old tin' },
    ]);
    expect(readDrawerFile(text)).toMatchObject({
      owned: { 'osmere:lark:1-0': 12, 'bessock:fine:13': 0 },
      problems: [],
    });
    expect(text).toContain("osmere,lark,1/0,12,5,'=best,\r\n");
    expect(readDrawerFile(text).rows).toEqual([
      { packet: null, hookId: 'osmere:lark:1-0', count: 12, low: 5, label: '=best', note: null },
      { packet: null, hookId: 'bessock:fine:13', count: 0, low: null, label: null, note: 'old tin' },
    ]);
    expect(
      readDrawerFile('maker,model,size,count,low\nosmere,lark,14,3,few\n').problems.map((problem) => [
        problem.column,
        problem.got,
      ]),
    ).toEqual([['low', 'few']]);
  });
  test('a bad count and an empty cell are named', () => {
    const { problems } = readDrawerFile('maker,model,size,count\nosmere,lark,14,few\nosmere,,14,1\n');
    expect(problems.map((problem) => [problem.line, problem.code])).toEqual([
      [2, 'cell-not-count'],
      [3, 'cell-empty'],
    ]);
  });
  test('missing columns', () =>
    expect(readDrawerFile('maker,model\n').problems.map((problem) => problem.column)).toEqual(['size']));
});
