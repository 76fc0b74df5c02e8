import { hookId } from '../hooks';
import { slug } from './hooks-file';
import { readNumber, readTable, type CellProblem } from './table';

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
