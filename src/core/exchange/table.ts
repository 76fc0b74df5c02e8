import Papa from 'papaparse';
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
