import { readMillimetres } from '../units';
import { MM_PER_UNIT, ownHeadings, type ColumnMap, type ColumnUnit, type MapColumn } from './column-map';
import type { Table } from './table';

/** A table under our own headings, lengths in millimetres: what a reader of our own tables reads. What is no length stays as it was written, for the reader to name. */
export function renamed(table: Table, columns: readonly MapColumn[], map: ColumnMap, unit: ColumnUnit): Table {
  const from: ColumnMap = { ...ownHeadings(table.headings, columns), ...map };
  const read = columns.filter(({ name }) => from[name]);
  const cellOf = (cells: Readonly<Record<string, string>>, { name, length }: MapColumn) => {
    const source = from[name]!;
    if ('value' in source) return source.value;
    const cell = cells[source.heading] ?? '';
    const own = source.heading.trim().toLowerCase() === name;
    const per = MM_PER_UNIT[source.unit ?? (own ? 'mm' : unit)];
    if (!length || per === 1 || cell === '') return cell;
    return String(readMillimetres(cell, per) ?? cell);
  };
  return {
    headings: read.map(({ name }) => name),
    rows: table.rows.map((row) => ({
      ...row,
      cells: Object.fromEntries(read.map((column) => [column.name, cellOf(row.cells, column)])),
    })),
  };
}
