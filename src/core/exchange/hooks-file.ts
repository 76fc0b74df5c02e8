import type { BarbId, BendId, EyeId, PointId, Source, WireId } from '@/catalogue/ids';
import { LENGTH_RANGE_MM } from '../constants';
import { hookId, labelNumber, type HookRow, type ShapeField } from '../hooks';
import { readMillimetres } from '../units';
import {
  calledIn,
  cellOf,
  HOOK_COLUMNS,
  HOOK_MAP,
  HOOKS_NEEDED,
  mmPer,
  ownHeadings,
  type ColumnMap,
  type ColumnUnit,
  type HookColumn,
} from './column-map';
import { slug } from './slug';
import { readNumber, tableOf, writeTable, type CellProblem, type Table } from './table';

/** Ids a hook row may use; core holds no data. */
export interface HookIds {
  bends: readonly BendId[];
  eyes: readonly EyeId[];
  points: readonly PointId[];
  barbs: readonly BarbId[];
  wires: readonly WireId[];
  sources: readonly Source[];
}

export interface HooksRead {
  rows: HookRow[];
  problems: CellProblem[];
  /** Rows of the file, good and bad. */
  count: number;
  /** The file as it stood, so that bad rows can be given back to mend. */
  table: Table | null;
}

/** How a file with headings of its own is read. */
export interface HooksReading {
  /** Replaces what the headings say; others keep their own names. */
  map?: ColumnMap<HookColumn>;
  /** Unit of bare lengths in columns that name none; our own `…_mm` headings are millimetres. */
  unit?: ColumnUnit;
  /** Told now and then how much is done, 0 to 1. */
  report?: (done: number) => void;
}

/** Fields of a model that have a usual, and their columns. */
const SHAPE: readonly (readonly [ShapeField, HookColumn])[] = [
  ['eye', 'eye'],
  ['point', 'point'],
  ['barb', 'barb'],
  ['xLong', 'x_long'],
  ['xHeavy', 'x_heavy'],
  ['labels', 'labels_direction'],
];
const DIRECTIONS = ['bigger-smaller', 'bigger-bigger'] as const;
const MASS_RANGE_MG = [0.1, 20000] as const;
const THICKNESS_RANGE_MM = [0.02, 12] as const;
const RETIRED = ['yes', 'no'] as const;
const X_RANGE = [-8, 8] as const;
const REPORT_EVERY = 500;

/** What is wrong with a file as a whole. */
function refused(code: string, params: CellProblem['params'] = {}): HooksRead {
  return {
    rows: [],
    count: 0,
    table: null,
    problems: [{ code, params, line: null, column: null, got: null, accepted: null }],
  };
}

/**
 * Reads a hooks file (CSV or JSON, docs/formats/hooks.md). A bad row is left out and every bad cell is named with its line and
 * column; an empty dimension is unknown and estimated later from the label.
 */
export function readHooksFile(text: string, ids: HookIds, how: HooksReading = {}): HooksRead {
  const table = tableOf(text);
  if (table === null) return refused('file-unread');
  if ('newer' in table) return refused('file-newer', { version: table.newer });
  return readHooks(table, ids, how);
}

/** The same of a table that was opened already. */
export function readHooks(
  table: Table,
  ids: HookIds,
  { map = {}, unit = 'mm', report }: HooksReading = {},
): HooksRead & { table: Table } {
  const from: ColumnMap<HookColumn> = { ...ownHeadings(table.headings, HOOK_MAP), ...map };
  const named = (column: HookColumn) => calledIn(column, from[column]);
  const missing = HOOKS_NEEDED.filter((name) => !from[name]);
  if (missing.length > 0) {
    return {
      rows: [],
      count: table.rows.length,
      table,
      problems: missing.map((column) => ({
        code: 'column-missing',
        params: { column },
        line: 1,
        column,
        got: null,
        accepted: { list: [...HOOKS_NEEDED] },
      })),
    };
  }
  const seen = new Map<string, number>();
  const problems: CellProblem[] = [];
  const rows = table.rows.flatMap(({ line, cells, extra }, index) => {
    if (report && index % REPORT_EVERY === 0) report(index / table.rows.length);
    const before = problems.length;
    const cell = (column: HookColumn) => cellOf(cells, from[column]);
    const bad = (
      code: string,
      column: HookColumn,
      accepted: CellProblem['accepted'],
      params: CellProblem['params'] = {},
    ) =>
      problems.push({
        code,
        params: { column: named(column), got: cell(column), ...params },
        line,
        column: named(column),
        got: cell(column),
        accepted,
      });
    const oneOf = <T extends string>(column: HookColumn, allowed: readonly T[], fallback: T): T => {
      const wanted = slug(cell(column));
      if (wanted === '') return fallback;
      if (allowed.includes(wanted as T)) return wanted as T;
      bad('cell-not-one-of', column, { list: [...allowed] }, { allowed: { list: [...allowed] } });
      return fallback;
    };
    const inside = (
      column: HookColumn,
      value: number | null | undefined,
      [low, high]: readonly [number, number],
    ): number | null => {
      if (value === undefined) bad('cell-not-number', column, null);
      else if (value !== null && (value < low || value > high)) bad('cell-range', column, null, { low, high });
      else return value;
      return null;
    };
    const within = (column: HookColumn, range: readonly [number, number]) =>
      inside(column, readNumber(cell(column)), range);
    const length = (column: HookColumn, range: readonly [number, number]) => {
      const typed = cell(column);
      return inside(
        column,
        typed === '' ? null : (readMillimetres(typed, mmPer(column, from[column], unit)) ?? undefined),
        range,
      );
    };
    if (extra > 0)
      problems.push({ code: 'row-long', params: { extra }, line, column: null, got: null, accepted: null });
    for (const column of HOOKS_NEEDED)
      if (cell(column) === '') bad('cell-empty', column, column === 'bend' ? { list: [...ids.bends] } : null);
    const row: HookRow = {
      maker: slug(cell('maker')),
      makerName: cell('maker_name') || cell('maker'),
      model: slug(cell('model')),
      modelName: cell('model_name') || cell('model'),
      size: cell('size'),
      bend: oneOf('bend', ids.bends, 'round'),
      eye: oneOf('eye', ids.eyes, 'down'),
      point: oneOf('point', ids.points, 'straight'),
      barb: oneOf('barb', ids.barbs, 'barbed'),
      wire: cell('wire') === '' ? null : oneOf('wire', ids.wires, 'standard'),
      xLong: within('x_long', X_RANGE) ?? 0,
      xHeavy: within('x_heavy', X_RANGE) ?? 0,
      labels: oneOf('labels_direction', DIRECTIONS, 'bigger-smaller'),
      shankMm: length('shank_mm', LENGTH_RANGE_MM),
      gapeMm: length('gape_mm', LENGTH_RANGE_MM),
      biteMm: length('bite_mm', LENGTH_RANGE_MM),
      wireMm: length('wire_mm', THICKNESS_RANGE_MM),
      eyeMm: length('eye_mm', THICKNESS_RANGE_MM),
      massMg: within('mass_mg', MASS_RANGE_MG),
      source: oneOf('source', ids.sources, 'typed'),
      ...(oneOf('retired', RETIRED, 'no') === 'yes' ? { retired: true } : {}),
    };
    const unsaid = SHAPE.filter(([, column]) => cell(column) === '').map(([field]) => field);
    if (unsaid.length > 0) row.unsaid = unsaid;
    for (const column of ['maker', 'model'] as const)
      if (cell(column) !== '' && row[column] === '') bad('cell-no-name', column, null);
    if (
      problems.length === before &&
      row.shankMm === null &&
      row.gapeMm === null &&
      labelNumber(row.size, row.labels) === null
    )
      bad('label-unread', 'size', { list: ['14', '1/0', 'V45'] });
    const key = hookId(row.maker, row.model, row.size);
    const earlier = seen.get(key);
    if (earlier !== undefined) bad('row-twice', 'size', null, { line: earlier });
    else seen.set(key, line);
    return problems.length > before ? [] : [row];
  });
  report?.(1);
  return { rows, problems, count: table.rows.length, table };
}

/** Rows as a table under our headings. */
export function hooksTable(rows: readonly HookRow[]) {
  return {
    headings: rows.some((row) => row.retired) ? HOOK_COLUMNS : HOOK_COLUMNS.filter((column) => column !== 'retired'),
    rows: rows.map((row) => ({
      maker: row.maker,
      maker_name: row.makerName,
      model: row.model,
      model_name: row.modelName,
      size: row.size,
      bend: row.bend,
      eye: row.eye,
      point: row.point,
      barb: row.barb,
      wire: row.wire,
      x_long: row.xLong,
      x_heavy: row.xHeavy,
      labels_direction: row.labels,
      shank_mm: row.shankMm,
      gape_mm: row.gapeMm,
      bite_mm: row.biteMm,
      wire_mm: row.wireMm,
      eye_mm: row.eyeMm,
      mass_mg: row.massMg,
      source: row.source,
      retired: row.retired ? 'yes' : null,
    })),
  };
}

/** Rows as a hooks file; what `readHooksFile` reads back is the same. */
export function writeHooksFile(rows: readonly HookRow[]): string {
  const table = hooksTable(rows);
  return writeTable(table.headings, table.rows);
}
