import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { read as readBook, utils } from 'xlsx';
import fc from 'fast-check';
import { KNOWN, labOfShade, WORKS } from '@/catalogue';
import { SHIPPED } from '../../../tools/test-catalogue';
import { dressingFaults } from '../faults';
import {
  readBoxFile,
  readDrawerFile,
  readDressings,
  readGroupsFile,
  readMonths,
  writeGroupsFile,
  writeMonths,
  readHooksFile,
  readTable,
  readTapings,
  writeDressings,
  writeHooksFile,
  writeModelFile,
  writeTable,
} from './index';

const FORMATS = join(__dirname, '../../../docs/formats');
const example = (name: string) => readFileSync(join(FORMATS, 'examples', name), 'utf8');

describe('examples of docs/formats', () => {
  test('every one is named in the README', () => {
    const readme = readFileSync(join(FORMATS, 'README.md'), 'utf8');
    for (const name of readdirSync(join(FORMATS, 'examples'))) expect(readme).toContain(`examples/${name}`);
  });
  test('hooks.csv is read, and written back byte for byte', () => {
    const { rows, problems } = readHooksFile(example('hooks.csv'), KNOWN);
    expect(problems).toEqual([]);
    expect(rows.map((row) => [row.model, row.modelName, row.size, row.shankMm])).toEqual([
      ['deep-round', 'Deep, round', '12', 8.1],
      ['deep-round', 'Deep, round', '14', null],
      ['odd-name', '=odd name', 'V45', 7.2],
    ]);
    expect(writeHooksFile(rows)).toBe(example('hooks.csv'));
  });
  test('hooks.json is read the same as a table', () => {
    const { rows, problems } = readHooksFile(example('hooks.json'), KNOWN);
    expect(problems).toEqual([]);
    expect(rows.map((row) => [row.maker, row.size, row.shankMm, row.source])).toEqual([
      ['own-packets', '12', 8.1, 'typed'],
      ['own-packets', '14', null, 'typed'],
    ]);
    expect(readHooksFile(writeHooksFile(rows), KNOWN).rows).toEqual(rows.map((row) => ({ ...row, unsaid: undefined })));
  });
  test('model.json is read with what was measured, and written back byte for byte', () => {
    const text = example('model.json');
    const { rows, problems } = readHooksFile(text, KNOWN);
    expect([problems, rows.map((row) => [row.size, row.shankMm])]).toEqual([[], [['12', null]]]);
    const tapings = readTapings(text);
    expect(tapings).toMatchObject([
      { id: 'taping_1', model: 'deep-round', how: 'calliper', shankMm: 8.6, wireMm: null },
    ]);
    expect(writeModelFile(rows, tapings)).toBe(text);
  });
  test('tapings that say nothing, or are no tapings, are left out', () => {
    const taping = { id: 'a', maker: 'm', model: 'x', size: '12', at: 'now', shank_mm: 8 };
    expect(
      readTapings(
        JSON.stringify({ tapings: [taping, { ...taping, shank_mm: 'long' }, { ...taping, id: '' }, null, 3] }),
      ).map((item) => item.shankMm),
    ).toEqual([8]);
    expect([readTapings('maker,model\nm,x\n'), readTapings('{ broken'), readTapings('{}')]).toEqual([[], [], []]);
  });
  test('box.csv is read, colours in words too', () => {
    const { flies, problems } = readBoxFile(example('box.csv'), {
      stages: KNOWN.stages,
      rides: KNOWN.rides,
      dressings: SHIPPED.dressings.map((dressing) => dressing.id),
      shade: (words) => (words === 'pale olive' ? '#b0b77a' : null),
    });
    expect(problems).toEqual([]);
    expect(flies.map((fly) => [fly.id, fly.dressing, fly.hook, fly.hex, fly.left, fly.place])).toEqual([
      ['fly-1', 'first-light-dun', 'osmere:lark:14', null, 6, 'dry box, row 1'],
      ['fly-2', 'auldry-flat-spinner', 'bessock:fine:14', null, 4, 'dry box, row 2'],
      ['fly-3', null, null, '#b0b77a', 2, 'dry box, lid'],
    ]);
  });
  test('a box with bad cells names each', () => {
    const { flies, problems } = readBoxFile(
      'dressing,stage,colour,count,ride\nno-such,,,1,\n,mayfly/dun,plaid,1,\n,mayfly/dun,,many,up\n,,,1,\n',
      { stages: KNOWN.stages, rides: KNOWN.rides, dressings: ['first-light-dun'], shade: () => null },
    );
    expect(flies).toEqual([]);
    expect(problems.map((problem) => [problem.line, problem.column, problem.code])).toEqual([
      [2, 'dressing', 'cell-not-one-of'],
      [3, 'colour', 'cell-not-one-of'],
      [4, 'count', 'cell-not-number'],
      [4, 'ride', 'cell-not-one-of'],
      [5, 'dressing', 'cell-empty'],
    ]);
  });
  test('drawer.csv adds up', () => {
    const { owned, rows, problems } = readDrawerFile(example('drawer.csv'));
    expect([owned, problems]).toEqual([{ 'osmere:lark:14': 25, 'bessock:fine:13': 1 }, []]);
    expect(rows.map((row) => [row.hookId, row.count])).toEqual([
      ['osmere:lark:14', 18],
      ['osmere:lark:14', 7],
      ['bessock:fine:13', 1],
    ]);
  });
  test('dressings.json passes the checker, and is written back the same', () => {
    const { dressings, problems, fault } = readDressings(example('dressings.json'), KNOWN, WORKS);
    expect([problems, fault, dressings.length]).toEqual([[], null, 2]);
    for (const dressing of dressings) expect(dressingFaults(dressing, SHIPPED)).toEqual([]);
    expect(writeDressings(dressings, WORKS)).toBe(example('dressings.json'));
  });
});

describe('tables written and read back', () => {
  test('a newer envelope is refused untouched', () => {
    expect(readHooksFile(JSON.stringify({ aubade: 'hooks', version: 2, items: [] }), KNOWN)).toMatchObject({
      rows: [],
      count: 0,
      problems: [expect.objectContaining({ code: 'file-newer' })],
    });
  });
  test('formulas are guarded, numbers are not', () => {
    const text = writeTable(
      ['note', 'x'],
      [
        { note: '=SUM(A1)', x: -2 },
        { note: "'+1", x: null },
      ],
    );
    expect(text).toBe("note,x\r\n'=SUM(A1),-2\r\n''+1,\r\n");
    expect(readTable(text).rows.map((row) => row.cells)).toEqual([
      { note: '=SUM(A1)', x: '-2' },
      { note: "'+1", x: '' },
    ]);
  });
  test('any text comes back as it was, but for spaces at its ends', () => {
    const cell = fc.string({ maxLength: 12 }).map((text) => text.replace(/[\r\n\t\uFEFF]/g, ' ').trim());
    fc.assert(
      fc.property(fc.array(fc.record({ a: cell, b: cell }), { minLength: 1, maxLength: 6 }), (rows) => {
        const kept = rows.filter((row) => row.a !== '' || row.b !== '');
        expect(readTable(writeTable(['a', 'b'], rows)).rows.map((row) => row.cells)).toEqual(kept);
      }),
    );
  });
  test('all shipped hooks survive the journey', () => {
    const csv = readFileSync(join(__dirname, '../../catalogue/hooks.csv'), 'utf8');
    const { rows } = readHooksFile(csv, KNOWN);
    expect(rows.length).toBeGreaterThanOrEqual(300);
    expect(readHooksFile(writeHooksFile(rows), KNOWN)).toMatchObject({ rows, problems: [], count: rows.length });
  });
});

describe("groups of one's own", () => {
  const ids = { ...KNOWN, shade: (words: string) => labOfShade(words) !== null };
  test('groups.csv is read, rows of one id are one group, and written back byte for byte', () => {
    const { groups, problems } = readGroupsFile(example('groups.csv'), ids);
    expect(problems).toEqual([]);
    expect(groups).toMatchObject([
      {
        id: 'staith-small-olive',
        months: [3, 4, 5, 9],
        stages: [
          { stage: 'mayfly/nymph', length_mm: [4, 5.5, 7], shades: ['mid-olive', 'mid-brown'] },
          { stage: 'mayfly/dun' },
        ],
      },
      { id: 'reed-caddis', stages: [{ length_mm: null }], note: null, evidence: 'heard' },
    ]);
    expect(writeGroupsFile(groups)).toBe(example('groups.csv'));
  });
  test('every bad cell is named, the good rows stay', () => {
    const { groups, problems, count } = readGroupsFile(
      'name,stage,order,months,colours,least_mm,usual_mm,most_mm\nA,mayfly/dun,caddis,,,,,\nB,mayfly/dun,,13,plaid,,,\nC,mayfly/dun,,,,8,,\nD,,,,,,,\nE,mayfly/dun,,5,,7,8,9\nE,mayfly/dun,,5,,7,8,9\nF,mayfly/dun,,,,9,8,7\nG,mayfly/dun,,,,many,1,0.1\n',
      ids,
    );
    expect(groups.map((group) => group.id)).toEqual(['e']);
    expect(count).toBe(8);
    expect(problems.map((problem) => [problem.line, problem.column, problem.code])).toEqual([
      [2, 'stage', 'stage-of-another-order'],
      [3, 'months', 'cell-not-months'],
      [3, 'colours', 'cell-not-colour-words'],
      [4, 'usual_mm', 'lengths-not-in-order'],
      [5, 'stage', 'cell-empty'],
      [7, 'stage', 'stage-twice'],
      [8, 'usual_mm', 'lengths-not-in-order'],
      [9, 'least_mm', 'cell-not-number'],
      [9, 'most_mm', 'cell-range'],
    ]);
  });
  test('a file that is no table, and a newer one, are refused whole', () => {
    expect(readGroupsFile('{"aubade":"groups","version":2,"items":[]}', ids).problems[0]).toMatchObject({
      code: 'file-newer',
      params: { version: 2 },
    });
    expect(readGroupsFile('{nonsense', ids).problems[0]!.code).toBe('file-unread');
    expect(readGroupsFile('colour\nred\n', ids).problems.map((problem) => problem.column)).toEqual(['name', 'stage']);
  });
  test('months run over the new year, and any set of them comes back', () => {
    expect(readMonths('11-2')).toEqual([1, 2, 11, 12]);
    expect([readMonths('0'), readMonths('May')]).toEqual([null, null]);
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 12 })), (months) => {
        expect(readMonths(writeMonths(months))).toEqual([...months].sort((a, b) => a - b));
      }),
    );
  });
});

test.each(['hooks.csv', 'drawer.csv', 'groups.csv', 'box.csv'])(
  '%s is opened by a spreadsheet with the cells that we read',
  (name) => {
    const book = readBook(example(name), { type: 'string', raw: true });
    const cells = utils.sheet_to_json<Record<string, unknown>>(book.Sheets[book.SheetNames[0]!]!, { defval: '' });
    const { headings, rows } = readTable(example(name));
    expect(rows.length).toBeGreaterThan(0);
    expect(cells.map((row) => headings.map((heading) => String(row[heading]).replace(/^'(?==)/, '')))).toEqual(
      rows.map((row) => headings.map((heading) => row.cells[heading])),
    );
  },
);
