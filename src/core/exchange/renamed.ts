import { readMillimetres } from '../units';
import { cellOf, mmPer, ownHeadings, type ColumnMap, type ColumnUnit, type MapColumn } from './column-map';
import type { Table } from './table';

/** A table under our own headings, lengths in millimetres: what a reader of our own tables reads. What is no length stays as it was written, for the reader to name. */
export function renamed(table: Table, columns: readonly MapColumn[], map: ColumnMap, unit: ColumnUnit): Table {
  const from: ColumnMap = { ...ownHeadings(table.headings, columns), ...map };
  const read = columns.filter(({ name }) => from[name]);
  const inMm = (cells: Readonly<Record<string, string>>, { name, length }: MapColumn) => {
    const cell = cellOf(cells, from[name]);
    const per = mmPer(name, from[name], unit);
    return !length || per === 1 || cell === '' ? cell : String(readMillimetres(cell, per) ?? cell);
  };
  return {
    headings: read.map(({ name }) => name),
    rows: table.rows.map((row) => ({
      ...row,
      cells: Object.fromEntries(read.map((column) => [column.name, inMm(row.cells, column)])),
    })),
  };
}
