import { hookId } from '../hooks';
import { slug } from './slug';
import { readNumber, readTable, writeTable, type CellProblem } from './table';

/** Hooks owned, by hook id, from `maker,model,size,count`; a count may be empty and is then 1. */
export function readDrawerFile(text: string): { owned: Record<string, number>; problems: CellProblem[] } {
  const table = readTable(text);
  const problems: CellProblem[] = [];
  const missing = ['maker', 'model', 'size'].filter((name) => !table.headings.includes(name));
  for (const column of missing) problems.push({ code: 'column-missing', params: { column }, line: 1, column, got: null, accepted: { list: ['maker', 'model', 'size', 'count'] } });
  if (missing.length > 0) return { owned: {}, problems };
  const owned: Record<string, number> = {};
  for (const { line, cells } of table.rows) {
    const count = readNumber(cells.count ?? '');
    if (count === undefined || (count !== null && (count < 0 || !Number.isInteger(count)))) {
      problems.push({ code: 'cell-not-count', params: { column: 'count', got: cells.count ?? '' }, line, column: 'count', got: cells.count ?? null, accepted: null });
      continue;
    }
    const empty = ['maker', 'model', 'size'].find((column) => !cells[column]);
    if (empty) {
      problems.push({ code: 'cell-empty', params: { column: empty, got: '' }, line, column: empty, got: '', accepted: null });
      continue;
    }
    const id = hookId(slug(cells.maker!), slug(cells.model!), cells.size!);
    owned[id] = (owned[id] ?? 0) + (count ?? 1);
  }
  return { owned, problems };
}

/** One packet as a row of a drawer file. */
export interface DrawerRow {
  maker: string;
  model: string;
  size: string;
  count: number;
  low: number | null;
  label: string;
  note: string;
}

/** Packets as a drawer file, in the order given: what `readDrawerFile` and the packet pad read. Source: docs/formats/hooks.md. */
export function writeDrawerFile(rows: readonly DrawerRow[]): string {
  return writeTable(['maker', 'model', 'size', 'count', 'low', 'label', 'note'], rows.map((row) => ({ ...row })));
}
