import { parseColour } from '../colour';
import { readMillimetres } from '../units';
import { calledIn, cellOf, mmPer, ownHeadings, type ColumnMap, type ColumnUnit, type MapColumn } from './column-map';
import { notOneOf } from './nearest';
import { slug } from './slug';
import { readNumber, type CellProblem, type Table } from './table';
import { dayOrderOf, readWhen, type DayOrder } from './when';

/** What a cell of a column holds. Lists are parted by spaces, pairs are `name=value`. */
export type CellKind =
  | { of: 'text' | 'when' | 'yes-no' | 'hex' }
  /** One id, or several. */
  | { of: 'one' | 'several'; ids: readonly string[] }
  | { of: 'number' | 'whole' | 'length' | 'lengths'; low: number; high: number }
  | { of: 'pairs'; names: readonly string[] | null; values: 'hex' | 'text' | readonly string[] };

/** A column of a table: what its cells hold, and how headings are matched to it. */
export interface SheetColumn extends MapColumn {
  holds: CellKind;
}

/** A cell as it was read, by the kind of its column; null where it is empty. */
export type CellValue =
  string | number | boolean | readonly string[] | readonly number[] | Readonly<Record<string, string>>;
export interface SheetRow {
  line: number;
  cells: Readonly<Record<string, CellValue | null>>;
}

export interface SheetRead {
  rows: SheetRow[];
  problems: CellProblem[];
  /** Rows of the file, good and bad. */
  count: number;
}

/** How a table with headings of its own is read: as `HooksReading`, and which number of 5/6/2033 is the day. */
export interface SheetReading {
  map?: ColumnMap;
  unit?: ColumnUnit;
  dayOrder?: DayOrder;
  report?: (done: number) => void;
}

const REPORT_EVERY = 500;
const YES = ['yes', 'y', 'true', '1', 'x'];
const NO = ['no', 'n', 'false', '0'];

/** Cells of a table that hold days, by its columns. */
export function daysIn(table: Table, columns: readonly SheetColumn[], from: ColumnMap): string[] {
  const days = columns.filter(({ holds }) => holds.of === 'when');
  return table.rows.flatMap(({ cells }) => days.map(({ name }) => cellOf(cells, from[name])));
}

type Bad = (code: string, params?: CellProblem['params'], accepted?: CellProblem['accepted']) => null;

/** Reads one cell that is not empty; what cannot be read is told to `bad`. */
function readCell(cell: string, holds: CellKind, mmPerBare: number, order: DayOrder, bad: Bad): CellValue | null {
  const inside = (value: number, { low, high }: { low: number; high: number }) =>
    value < low || value > high ? bad('cell-range', { low, high }) : value;
  const known = (word: string, ids: readonly string[]) => {
    if (ids.includes(word)) return word;
    const said = notOneOf(word, ids);
    return bad(said.code, { got: word, allowed: { list: said.allowed } });
  };
  const words = cell.split(/[\s,]+/).filter(Boolean);
  switch (holds.of) {
    case 'text':
      return cell;
    case 'when':
      return readWhen(cell, order) ?? bad('cell-not-when');
    case 'yes-no': {
      const said = cell.toLowerCase();
      return YES.includes(said)
        ? true
        : NO.includes(said)
          ? false
          : bad('cell-not-one-of', { allowed: { list: ['yes', 'no'] } });
    }
    case 'hex':
      return parseColour(cell)?.hex ?? bad('cell-not-hex');
    case 'one': {
      const said = cell.toLowerCase();
      return known(holds.ids.includes(said) ? said : said.split('/').map(slug).join('/'), holds.ids);
    }
    case 'several': {
      const read = words.map((word) => known(word.toLowerCase(), holds.ids));
      return read.includes(null) ? null : (read as string[]);
    }
    case 'number':
    case 'whole': {
      const value = readNumber(cell);
      if (value === undefined || value === null) return bad('cell-not-number');
      return holds.of === 'whole' && !Number.isInteger(value) ? bad('cell-not-count') : inside(value, holds);
    }
    case 'length': {
      const value = readMillimetres(cell, mmPerBare);
      return value === null ? bad('cell-not-number') : inside(value, holds);
    }
    case 'lengths': {
      // A decimal comma stands between digits, a comma between lengths before a space or a dot.
      const each = cell.split(/;\s*|\s+|,(?=\s)|,(?=\d*\.)/).filter(Boolean);
      const read = each.map((one) => {
        const value = readMillimetres(one, mmPerBare);
        return value === null ? bad('cell-not-number', { got: one }) : inside(value, holds);
      });
      return read.includes(null) ? null : (read as number[]);
    }
    case 'pairs': {
      const pairs = cell
        .split(/[\s;]+/)
        .filter(Boolean)
        .map((pair) => {
          const at = pair.indexOf('=');
          return at > 0 ? ([pair.slice(0, at), pair.slice(at + 1)] as const) : null;
        });
      for (const pair of pairs) {
        if (!pair) return bad('cell-not-pairs');
        if (holds.names && known(pair[0], holds.names) === null) return null;
        if (holds.values === 'hex' && !parseColour(pair[1])) return bad('cell-not-hex', { got: pair[1] });
        if (typeof holds.values === 'object' && known(pair[1], holds.values) === null) return null;
      }
      return Object.fromEntries(
        pairs.map((pair) => [pair![0], holds.values === 'hex' ? parseColour(pair![1])!.hex : pair![1]]),
      );
    }
  }
}

/** Reads the rows of a table by its columns: a bad row is left out, and every bad cell is named with its line and column. Source: docs/formats/csv.md. */
export function readSheet(
  table: Table,
  columns: readonly SheetColumn[],
  { map = {}, unit = 'mm', dayOrder, report }: SheetReading = {},
): SheetRead {
  const from: ColumnMap = { ...ownHeadings(table.headings, columns), ...map };
  const named = (name: string) => calledIn(name, from[name]);
  const missing = columns.filter(({ name, needed }) => needed && !from[name]);
  if (missing.length > 0)
    return {
      rows: [],
      count: table.rows.length,
      problems: missing.map(({ name }) => ({
        code: 'column-missing',
        params: { column: name },
        line: 1,
        column: name,
        got: null,
        accepted: { list: columns.filter(({ needed }) => needed).map((column) => column.name) },
      })),
    };
  const read = columns.filter(({ name }) => from[name]);
  const order = dayOrder ?? dayOrderOf(daysIn(table, read, from)) ?? 'day';
  const problems: CellProblem[] = [];
  const rows = table.rows.flatMap(({ line, cells, extra }, index): SheetRow[] => {
    if (report && index % REPORT_EVERY === 0) report(index / table.rows.length);
    const before = problems.length;
    if (extra > 0)
      problems.push({ code: 'row-long', params: { extra }, line, column: null, got: null, accepted: null });
    const row = read.map(({ name, holds, needed }): [string, CellValue | null] => {
      const cell = cellOf(cells, from[name]).trim();
      const bad: Bad = (code, params = {}, accepted = null) => {
        problems.push({
          code,
          params: { column: named(name), got: cell, ...params },
          line,
          column: named(name),
          got: cell,
          accepted,
        });
        return null;
      };
      if (cell === '') return [name, needed ? bad('cell-empty') : null];
      return [name, readCell(cell, holds, mmPer(name, from[name], unit), order, bad)];
    });
    return problems.length > before ? [] : [{ line, cells: Object.fromEntries(row) }];
  });
  report?.(1);
  return { rows, problems, count: table.rows.length };
}
