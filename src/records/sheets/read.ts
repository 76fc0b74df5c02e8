import { labOfShade } from '@/catalogue/key';
import { MATERIALS, SHADES } from '@/catalogue/materials';
import { KNOWN } from '@/catalogue/known-ids';
import { guessColumns, ownHeadings, type ColumnFrom, type ColumnMap } from '@/core/exchange/column-map';
import { readDrawer } from '@/core/exchange/drawer-file';
import { readGroups } from '@/core/exchange/groups-file';
import { readHooks } from '@/core/exchange/hooks-file';
import { renamed } from '@/core/exchange/renamed';
import { readSheet, type SheetReading } from '@/core/exchange/sheet';
import { readStash, type StashRow } from '@/core/exchange/stash-file';
import type { CellProblem, Table } from '@/core/exchange/table';
import type { Named } from '@/core/materials/held';
import type { Material } from '@/core/materials/material';
import type { StashIn } from '../stash/commands';
import { COLUMNS, isRowSheet, mapOf, neededOf, SHEET_IDS, type SheetId } from './columns';
import { saidOf, type OwnRow, type SheetIn } from './take';

export interface TableRead {
  /** What the command that takes it is given. */
  input: SheetIn;
  /** Good rows, and rows of the file. */
  good: number;
  count: number;
  problems: CellProblem[];
}

/** Of a fly at least one of these is said. */
const FLY_NAMES = ['dressing', 'stage', 'name'] as const;

/** What a table is, by its headings: the collection of which it has all that is needed, most of it under our own names; of equals the one that is preferred. Null when it is none. */
export function sheetOf(headings: readonly string[], prefer: SheetId | null = null): SheetId | null {
  const found = SHEET_IDS.flatMap((sheet) => {
    const columns = mapOf(sheet);
    const guess = guessColumns(headings, columns);
    const needed = neededOf(sheet);
    const missing = needed.filter((name) => !guess[name]).length;
    // What is preferred may lack some of what is needed: it is asked for.
    if (missing > 0 && (sheet !== prefer || 2 * missing > needed.length)) return [];
    if (sheet === 'flies' && !FLY_NAMES.some((name) => guess[name])) return [];
    const own = Object.keys(ownHeadings(headings, columns)).length;
    // Who is named by its own id is that.
    const named = headings.some((heading) => heading.trim().toLowerCase() === columns[0]!.name) ? 1 : 0;
    return [{ sheet, weight: 2 * named + own + Object.keys(guess).length / 2 + (sheet === prefer ? 1 : 0) }];
  });
  return found.sort((a, b) => b.weight - a.weight)[0]?.sheet ?? null;
}

/** What each of our columns is likely to be in a table. */
export const guessFor = (sheet: SheetId, headings: readonly string[]): ColumnMap =>
  guessColumns(headings, mapOf(sheet));

/** Headings that stand in our own tables and are told there alone: they are worked out, and not read. */
const TOLD: Partial<Record<SheetId, readonly string[]>> = {
  samples: ['individuals', 'mean_mm', 'rough_mm', 'photos'],
};

/** Headings of a table that nothing is read from, but for those that are worked out. */
export function notRead(sheet: SheetId, headings: readonly string[], map: ColumnMap): string[] {
  const read = new Set(
    (Object.values(map) as ColumnFrom[]).flatMap((from) => ('heading' in from ? [from.heading] : [])),
  );
  const told = TOLD[sheet] ?? [];
  return headings.filter((heading) => heading !== '' && !read.has(heading) && !told.includes(heading));
}

/** Reads a table of a collection: good rows as what its command takes, and every bad cell by line and column. */
export function readTableOf(sheet: SheetId, table: Table, how: SheetReading = {}): TableRead {
  const of = <R extends { problems: CellProblem[]; count: number }>(
    read: R,
    good: number,
    input: SheetIn,
  ): TableRead => ({
    input,
    good,
    count: read.count,
    problems: read.problems,
  });
  if (isRowSheet(sheet)) {
    const read = readSheet(table, COLUMNS[sheet], how);
    if (sheet === 'flies') return of(...namedFlies(read));
    return of(read, read.rows.length, { sheet, rows: sheet === 'samples' ? counted(read.rows) : read.rows });
  }
  if (sheet === 'hooks') {
    const read = readHooks(table, KNOWN, how);
    return of(read, read.rows.length, { sheet, rows: read.rows, tapings: [] });
  }
  if (sheet === 'stash') {
    const read = readStash(table, { ...stashNames(table), functions: KNOWN.functions }, how);
    return of(read, read.rows.length, { sheet, rows: read.rows.map(stashIn) });
  }
  const own = renamed(table, mapOf(sheet), how.map ?? {}, how.unit ?? 'mm');
  if (sheet === 'packets') {
    const read = readDrawer(own);
    return of({ ...read, count: table.rows.length }, read.rows.length, { sheet, rows: read.rows });
  }
  const read = readGroups(own, { ...KNOWN, shade: (shade) => labOfShade(shade) !== null });
  return of(read, read.groups.length, { sheet, groups: read.groups });
}

/** A material of the tier's own as a table names it: by its id, for what it is stands in another table. */
const OWN_MATERIAL = /^own-[a-z0-9-]+$/;

/** Materials a table of a stash may name: those that are shipped, and the tier's own. */
function stashNames(table: Table): Named {
  const cells = table.rows.flatMap(({ cells }) => Object.values(cells).filter((cell) => OWN_MATERIAL.test(cell)));
  const own = [...new Set(cells)].map(
    (id) => ({ ...MATERIALS[0]!, id, name: id, of: undefined }) as unknown as Material,
  );
  return { materials: [...own, ...MATERIALS], shades: SHADES };
}

function stashIn({ held: { material, shade }, line: _line, ...row }: StashRow): StashIn {
  const shipped = shade !== null && SHADES.some(({ id }) => id === shade.id);
  return {
    ...row,
    materialId: material.id,
    shadeId: shipped ? shade.id : null,
    shade: shade !== null && !shipped ? shade.shade : '',
  };
}

/** Rows that say the very same, told apart by their number. */
function counted(rows: readonly OwnRow[]): OwnRow[] {
  const met = new Map<string, number>();
  return rows.map((row) => {
    const said = saidOf(row);
    const nth = met.get(said) ?? 0;
    met.set(said, nth + 1);
    return nth === 0 ? row : { ...row, nth };
  });
}

/** A fly is at least a dressing, a stage or a name. */
function namedFlies(read: ReturnType<typeof readSheet>): [ReturnType<typeof readSheet>, number, SheetIn] {
  const nameless = read.rows.filter(({ cells }) => FLY_NAMES.every((name) => !cells[name]));
  const rows = read.rows.filter((row) => !nameless.includes(row));
  const problems = nameless.map(({ line }): CellProblem => ({
    code: 'cell-empty',
    params: { column: 'dressing', got: '' },
    line,
    column: 'dressing',
    got: '',
    accepted: { list: [...FLY_NAMES] },
  }));
  return [{ ...read, problems: [...read.problems, ...problems] }, rows.length, { sheet: 'flies', rows }];
}
