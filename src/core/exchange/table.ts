import Papa from 'papaparse';
import { readJson } from '../archive/read-json';
import type { Coded, Param } from '../code';

/** One cell that cannot be used: where it is, what is wrong, what was there and what would be accepted. */
export interface CellProblem extends Coded {
  line: number | null;
  column: string | null;
  got: string | null;
  accepted: Param;
}

/** A table as text cells, with the file's own line of each row (the header is 1) and how many cells stand beyond the headings. */
export interface Table {
  headings: string[];
  rows: { line: number; cells: Record<string, string>; extra: number }[];
}

/** Reads CSV with `,` `;` or tab, a byte-order mark, quoted cells and blank lines. Source: docs/formats/csv.md. */
export function readTable(text: string): Table {
  const clean = text.replace(/^\uFEFF/, '');
  const parsed = Papa.parse<string[]>(clean, { skipEmptyLines: false, delimiter: delimiterOf(clean) });
  const [headings = [], ...rest] = parsed.data;
  const names = headings.map((heading) => heading.trim());
  let next = 1 + linesIn(headings);
  return {
    headings: names,
    rows: rest.flatMap((cells) => {
      const line = next;
      next += linesIn(cells);
      if (cells.every((cell) => cell.trim() === '')) return [];
      return [
        {
          line,
          cells: Object.fromEntries(names.map((name, column) => [name, unguard((cells[column] ?? '').trim())])),
          extra: cells.slice(names.length).filter((cell) => cell.trim() !== '').length,
        },
      ];
    }),
  };
}

/** Lines of the file that a record takes: quoted cells may hold line breaks. */
function linesIn(cells: readonly string[]): number {
  return 1 + cells.reduce((sum, cell) => sum + (cell.includes('\n') ? cell.split('\n').length - 1 : 0), 0);
}

/** The mark that parts the headings: cells may hold decimal commas, headings do not. */
function delimiterOf(text: string): string {
  const heading = text.split(/\r?\n/, 1)[0] ?? '';
  const marks = [';', '\t', ','];
  return marks.reduce((best, mark) => (heading.split(mark).length > heading.split(best).length ? mark : best));
}

/** Export guards a text cell that a spreadsheet would run as a formula with a leading quote; import takes it off. */
export function unguard(cell: string): string {
  return /^'[=+\-@\t\r']/.test(cell) ? cell.slice(1) : cell;
}

function guard(cell: string): string {
  return /^[=+\-@\t\r]/.test(cell) || /^'[=+\-@\t\r']/.test(cell) ? `'${cell}` : cell;
}

/** A table as CSV: comma, dot, CRLF. Text cells are guarded, numbers never; null is an empty cell. Source: docs/formats/csv.md. */
export function writeTable(
  headings: readonly string[],
  rows: readonly Record<string, string | number | null>[],
): string {
  const data = rows.map((row) =>
    headings.map((name) => {
      const value = row[name] ?? null;
      return value === null ? '' : typeof value === 'number' ? String(value) : guard(value);
    }),
  );
  return `${Papa.unparse({ fields: [...headings], data }, { newline: '\r\n' })}\r\n`;
}

/** A number with a dot, or a decimal comma where there is no dot. Null when the cell is empty, undefined when it is no number. */
export function readNumber(cell: string): number | null | undefined {
  if (cell === '') return null;
  if (!/^[-+]?(\d+([.,]\d+)?|[.,]\d+)$/.test(cell)) return undefined;
  return Number(cell.replace(',', '.'));
}

/** Version of the JSON envelope that this reader writes; a newer one is refused untouched. */
const VERSION = 1;
/** A table with more columns than this is none of ours. */
const MOST_COLUMNS = 300;

/** A table of a file, CSV or JSON; null where it is none, its version where that is newer than is read. */
export function tableOf(text: string): Table | { newer: number } | null {
  const trimmed = text.replace(/^\uFEFF/, '').trimStart();
  if (!trimmed.startsWith('{') && !trimmed.startsWith('[')) {
    const table = readTable(text);
    return table.headings.length > MOST_COLUMNS ? null : table;
  }
  const read = readJson(trimmed);
  if (!read.ok) return null;
  try {
    const parsed = read.value;
    const version = Array.isArray(parsed) ? VERSION : Number((parsed as { version?: unknown }).version ?? VERSION);
    if (version > VERSION) return { newer: version };
    const items = Array.isArray(parsed) ? parsed : (parsed as { items?: unknown }).items;
    if (!Array.isArray(items)) return null;
    const rows = items.map((item: Record<string, unknown>, index) => ({
      line: index + 1,
      extra: 0,
      cells: Object.fromEntries(
        Object.entries(item ?? {}).map(([key, value]) => [
          key,
          value === null || value === undefined ? '' : String(value),
        ]),
      ),
    }));
    return { headings: [...new Set(rows.flatMap((row) => Object.keys(row.cells)))], rows };
  } catch {
    return null;
  }
}

/** The first lines of a file, enough to tell a table from something else and to name its columns. */
export const HEAD_BYTES = 65_536;
const RAGGED_SHARE = 0.5;

/** Why the beginning of a file cannot be a table of hooks; null when it may be one. Costs little, whatever the file's size. */
export function headFault(head: string): Coded | null {
  const text = head.replace(/^\uFEFF/, '');
  if (text.trim() === '') return { code: 'file-blank', params: {} };
  const strange = text.match(/[\u0000-\u0008\u000e-\u001f\ufffd]/g)?.length ?? 0;
  if (strange > text.length * 0.001) return { code: 'file-not-text', params: {} };
  if (/^\s*[[{]/.test(text)) return null;
  const { headings, rows } = readTable(text);
  if (headings.length > MOST_COLUMNS) return { code: 'file-columns', params: { most: MOST_COLUMNS } };
  // The last row may be cut off where the beginning ends.
  const whole = head.length < HEAD_BYTES ? rows : rows.slice(0, -1);
  const ragged = whole.filter(
    (row) => row.extra > 0 || Object.values(row.cells).filter((cell) => cell !== '').length < 2,
  ).length;
  if (headings.filter((heading) => heading !== '').length < 2 || ragged > RAGGED_SHARE * whole.length)
    return { code: 'file-not-table', params: {} };
  return null;
}

/** The rows that cannot be used as a file to mend: as they stood, with what is wrong beside them. */
export function writeBadRows(
  { table, problems }: { table: Table | null; problems: readonly CellProblem[] },
  worded: (problem: CellProblem) => string,
): string {
  if (table === null) return '';
  const byLine = new Map<number, CellProblem[]>();
  for (const problem of problems)
    if (problem.line !== null) byLine.set(problem.line, [...(byLine.get(problem.line) ?? []), problem]);
  const rows = table.rows.filter((row) => byLine.has(row.line));
  return writeTable(
    [...table.headings, 'problem'],
    rows.map((row) => ({ ...row.cells, problem: byLine.get(row.line)!.map(worded).join('; ') })),
  );
}
