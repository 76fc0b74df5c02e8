import { hookId } from '../hooks';
import { slug } from './slug';
import type { MapColumn } from './column-map';
import { readNumber, readTable, writeTable, type CellProblem, type Table } from './table';

/** A row as it was read: what the file has no column for, or leaves empty, is null. */
export interface DrawerRowRead {
  /** Id of the packet, where the file names one. */
  packet: string | null;
  hookId: string;
  count: number;
  low: number | null;
  label: string | null;
  note: string | null;
}

const NEEDED: readonly string[] = ['maker', 'model', 'size'];

/** Columns of a drawer file as headings are matched to them. */
export const DRAWER_MAP: readonly MapColumn[] = (
  [
    ['packet', ['packet-id']],
    ['maker', ['make', 'brand', 'manufacturer', 'firm']],
    ['model', ['series', 'style', 'code', 'item', 'range', 'hook']],
    ['size', ['hook-size', 'no']],
    ['count', ['number', 'quantity', 'qty', 'how-many', 'left', 'stock']],
    ['low', ['low-mark', 'minimum', 'min']],
    ['label', ['printed']],
    ['note', ['notes', 'remark', 'comment']],
  ] as const
).map(([name, also]) => ({ name, also, length: false, needed: NEEDED.includes(name) }));

/** Hooks owned, by hook id, from `maker,model,size,count`; a count may be empty and is then 1. `rows` holds each packet with its low mark, label and note. */
export const readDrawerFile = (text: string) => readDrawer(readTable(text));

/** The same of a table that was opened already. */
export function readDrawer(table: Table): {
  owned: Record<string, number>;
  rows: DrawerRowRead[];
  problems: CellProblem[];
} {
  const problems: CellProblem[] = [];
  const missing = NEEDED.filter((name) => !table.headings.includes(name));
  for (const column of missing)
    problems.push({
      code: 'column-missing',
      params: { column },
      line: 1,
      column,
      got: null,
      accepted: { list: [...NEEDED, 'count'] },
    });
  if (missing.length > 0) return { owned: {}, rows: [], problems };
  const owned: Record<string, number> = {};
  const rows: DrawerRowRead[] = [];
  for (const { line, cells } of table.rows) {
    const [count, low] = [cells.count, cells.low].map((cell) => readNumber(cell ?? '')) as [
      number | null | undefined,
      number | null | undefined,
    ];
    const wrong = [
      ['count', count],
      ['low', low],
    ].find(
      ([, value]) => value === undefined || (typeof value === 'number' && (value < 0 || !Number.isInteger(value))),
    );
    if (wrong) {
      const column = wrong[0] as 'count' | 'low';
      problems.push({
        code: 'cell-not-count',
        params: { column, got: cells[column] ?? '' },
        line,
        column,
        got: cells[column] ?? null,
        accepted: null,
      });
      continue;
    }
    const empty = NEEDED.find((column) => !cells[column]);
    if (empty) {
      problems.push({
        code: 'cell-empty',
        params: { column: empty, got: '' },
        line,
        column: empty,
        got: '',
        accepted: null,
      });
      continue;
    }
    const id = hookId(slug(cells.maker!), slug(cells.model!), cells.size!);
    owned[id] = (owned[id] ?? 0) + (count ?? 1);
    rows.push({
      packet: cells.packet || null,
      hookId: id,
      count: count ?? 1,
      low: low ?? null,
      label: cells.label || null,
      note: cells.note || null,
    });
  }
  return { owned, rows, problems };
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
  return writeTable(
    ['maker', 'model', 'size', 'count', 'low', 'label', 'note'],
    rows.map((row) => ({ ...row })),
  );
}
