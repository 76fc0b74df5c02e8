import { KNOWN } from '@/catalogue';
import { readDrawerFile } from './drawer-file';
import { readHooksFile, slug } from './hooks-file';
import { readNumber, readTable } from './table';

const HEAD = 'maker,model,size,bend,shank_mm,gape_mm';

describe('tables', () => {
  test.each([[',', '.'], [';', ','], ['\t', ',']])('with %s, a byte-order mark and blank lines', (mark, dot) => {
    const table = readTable(`\uFEFFmaker${mark}shank_mm\r\n\r\nm${mark}8${dot}2\r\n`);
    expect(table).toEqual({ headings: ['maker', 'shank_mm'], rows: [{ line: 3, cells: { maker: 'm', shank_mm: `8${dot}2` } }] });
  });
  test('a guarded cell loses one quote', () => expect(readTable("note\n'=SUM(A1)\n").rows[0]!.cells.note).toBe('=SUM(A1)'));
  test('numbers', () => {
    expect(readNumber('8,2')).toBe(8.2);
    expect(readNumber('')).toBeNull();
    expect(readNumber('8.2.1')).toBeUndefined();
  });
});

describe('hooks from a file', () => {
  test('good rows are kept and every bad cell is named', () => {
    const read = readHooksFile(`${HEAD}\nOwn Make,Deep,12,round,8.2,5\nown-make,deep,14,banana,7,4\nown-make,deep,16,round,six,4\nown-make,deep,18,round,500,4\nown-make,deep,12,round,8.3,5\n`, KNOWN);
    expect(read.rows).toHaveLength(1);
    expect(read.rows[0]).toMatchObject({ maker: 'own-make', makerName: 'Own Make', shankMm: 8.2, wireMm: null, source: 'typed' });
    expect(read.problems.map((problem) => [problem.line, problem.column, problem.code])).toEqual([[3, 'bend', 'cell-not-one-of'], [4, 'shank_mm', 'cell-not-number'], [5, 'shank_mm', 'cell-range'], [6, 'size', 'row-twice']]);
    expect(read.count).toBe(5);
  });
  test('JSON in the envelope reads the same', () => {
    expect(readHooksFile(JSON.stringify({ aubade: 'hooks', version: 1, items: [{ maker: 'm', model: 'x', size: '12', bend: 'round', shank_mm: 8.2 }] }), KNOWN).rows[0]).toMatchObject({ size: '12', shankMm: 8.2, gapeMm: null });
  });
  test('missing columns and unreadable JSON', () => {
    expect(readHooksFile('maker,size\nm,12\n', KNOWN).problems.map((problem) => problem.column)).toEqual(['model', 'bend']);
    expect(readHooksFile('{ not json', KNOWN).problems[0]!.code).toBe('file-unread');
  });
  test('names become ids', () => expect(slug('  Short & Wide ')).toBe('short-wide'));
});

describe('a drawer', () => {
  test('counts add up and an empty count is one', () => {
    expect(readDrawerFile('maker,model,size,count\nosmere,lark,14,18\nosmere,lark,14,2\nOsmere,Lark,1/0,\n')).toEqual({ owned: { 'osmere:lark:14': 20, 'osmere:lark:1-0': 1 }, problems: [] });
  });
  test('a bad count and an empty cell are named', () => {
    const { problems } = readDrawerFile('maker,model,size,count\nosmere,lark,14,few\nosmere,,14,1\n');
    expect(problems.map((problem) => [problem.line, problem.code])).toEqual([[2, 'cell-not-count'], [3, 'cell-empty']]);
  });
  test('missing columns', () => expect(readDrawerFile('maker,model\n').problems.map((problem) => problem.column)).toEqual(['size']));
});
