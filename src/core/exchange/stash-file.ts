import type { FunctionId } from '@/catalogue/ids';
import { heldBy, type Held, type Named } from '../materials';
import { calledIn, guessColumns } from './column-map';
import { notOneOf } from './nearest';
import { readSheet, type SheetReading, type SheetRow } from './sheet';
import { stashColumns } from './stash-columns';
import type { CellProblem, Table } from './table';

/** One thing of a stash as its row says it. */
export interface StashRow {
  line: number;
  held: Held;
  /** Its colour as the table says it. */
  hex: `#${string}` | null;
  label: string | null;
  amount: number | null;
  low: number | null;
  place: string | null;
  note: string | null;
}

export interface StashRead {
  rows: StashRow[];
  problems: CellProblem[];
  count: number;
}

const SHOWN = 8;
const text = (row: SheetRow, name: string) => (row.cells[name] as string | null | undefined) ?? null;
const number = (row: SheetRow, name: string) => (row.cells[name] as number | null | undefined) ?? null;

/** Reads a table of what a drawer holds. What nobody knows, a shade its material does not come in and has no colour for, and one shade named twice with two colours are told by line and column; the rest is read. */
export function readStash(
  table: Table,
  named: Named & { functions: readonly FunctionId[] },
  how: SheetReading = {},
): StashRead {
  const columns = stashColumns(named.functions);
  const map = how.map ?? guessColumns(table.headings, columns);
  const read = readSheet(table, columns, { ...how, map });
  const problems = [...read.problems];
  const colours = new Map<string, string | null>();
  const rows = read.rows.flatMap((row): StashRow[] => {
    const bad = (own: string, got: string, code: string, allowed: readonly string[] = []): StashRow[] => {
      const column = calledIn(own, map[own]);
      const near = allowed.length > 0 ? notOneOf(got, allowed).allowed.slice(0, SHOWN) : [];
      problems.push({
        code,
        params: { got, column, allowed: { list: near } },
        line: row.line,
        column,
        got,
        accepted: near.length > 0 ? { list: near } : null,
      });
      return [];
    };
    const [material, shade, hex] = [
      text(row, 'material')!,
      text(row, 'shade'),
      text(row, 'hex') as `#${string}` | null,
    ];
    const found = heldBy(named, { material, shade, hex });
    if (!found.ok) {
      const { column, code, allowed } = found.fault;
      return bad(column, column === 'shade' ? shade! : material, code, allowed);
    }
    const { held } = found;
    if (row.cells.functions) {
      const other = (row.cells.functions as readonly FunctionId[]).find((id) => !held.material.functions.includes(id));
      if (other) return bad('functions', other, 'function-not-its-own', held.material.functions);
    }
    const key = `${held.material.id}/${(held.shade?.id ?? shade ?? '').toLowerCase()}`;
    const before = colours.get(key);
    if (before !== undefined && before !== hex) return bad('shade', shade ?? material, 'shade-twice');
    colours.set(key, hex);
    return [
      {
        line: row.line,
        held,
        hex,
        label: text(row, 'label'),
        amount: number(row, 'amount'),
        low: number(row, 'low'),
        place: text(row, 'place'),
        note: text(row, 'note'),
      },
    ];
  });
  return { rows, problems: problems.sort((a, b) => (a.line ?? 0) - (b.line ?? 0)), count: read.count };
}
