import type { BarbId, BendId, EyeId, PointId, Source, WireId } from '@/catalogue/ids';
import { LENGTH_RANGE_MM } from '../constants';
import type { HookRow } from '../hooks';
import { readNumber, readTable, writeTable, type CellProblem, type Table } from './table';

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
}

const REQUIRED = ['maker', 'model', 'size', 'bend'] as const;
const DIRECTIONS = ['bigger-smaller', 'bigger-bigger'] as const;
const MASS_RANGE_MG = [0.1, 20000] as const;
const THICKNESS_RANGE_MM = [0.02, 12] as const;

/** Version of the JSON envelope that this reader writes; a newer one is refused untouched. */
const VERSION = 1;

export function tableOf(text: string): Table | { newer: number } | null {
  const trimmed = text.replace(/^\uFEFF/, '').trimStart();
  if (!trimmed.startsWith('{') && !trimmed.startsWith('[')) return readTable(text);
  try {
    const parsed: unknown = JSON.parse(trimmed);
    const version = Array.isArray(parsed) ? VERSION : Number((parsed as { version?: unknown }).version ?? VERSION);
    if (version > VERSION) return { newer: version };
    const items = Array.isArray(parsed) ? parsed : (parsed as { items?: unknown }).items;
    if (!Array.isArray(items)) return null;
    const rows = items.map((item: Record<string, unknown>, index) => ({ line: index + 1, cells: Object.fromEntries(Object.entries(item ?? {}).map(([key, value]) => [key, value === null || value === undefined ? '' : String(value)])) }));
    return { headings: [...new Set(rows.flatMap((row) => Object.keys(row.cells)))], rows };
  } catch {
    return null;
  }
}

/**
 * Reads a hooks file (CSV or JSON, docs/formats/hooks.md). A bad row is left out and every bad cell is named with its line and
 * column; an empty dimension is unknown and estimated later from the label.
 */
export function readHooksFile(text: string, ids: HookIds): HooksRead {
  const table = tableOf(text);
  if (table === null || 'newer' in table) return { rows: [], problems: [{ code: table === null ? 'file-unread' : 'file-newer', params: table === null ? {} : { version: table.newer }, line: null, column: null, got: null, accepted: null }], count: 0 };
  const missing = REQUIRED.filter((name) => !table.headings.includes(name));
  if (missing.length > 0) {
    return { rows: [], count: table.rows.length, problems: missing.map((column) => ({ code: 'column-missing', params: { column }, line: 1, column, got: null, accepted: { list: [...REQUIRED] } })) };
  }
  const seen = new Map<string, number>();
  const problems: CellProblem[] = [];
  const rows = table.rows.flatMap(({ line, cells }) => {
    const before = problems.length;
    const bad = (code: string, column: string, accepted: CellProblem['accepted'], params: CellProblem['params'] = {}) =>
      problems.push({ code, params: { column, got: cells[column] ?? '', ...params }, line, column, got: cells[column] ?? null, accepted });
    const oneOf = <T extends string>(column: string, allowed: readonly T[], fallback: T): T => {
      const cell = (cells[column] ?? '').toLowerCase();
      if (cell === '') return fallback;
      if (allowed.includes(cell as T)) return cell as T;
      bad('cell-not-one-of', column, { list: [...allowed] }, { allowed: { list: [...allowed] } });
      return fallback;
    };
    const within = (column: string, [low, high]: readonly [number, number]): number | null => {
      const value = readNumber(cells[column] ?? '');
      if (value === undefined) bad('cell-not-number', column, null);
      else if (value !== null && (value < low || value > high)) bad('cell-range', column, null, { low, high });
      else return value;
      return null;
    };
    for (const column of REQUIRED) if ((cells[column] ?? '') === '') bad('cell-empty', column, null);
    const row: HookRow = {
      maker: slug(cells.maker ?? ''),
      makerName: cells.maker_name || cells.maker || '',
      model: slug(cells.model ?? ''),
      modelName: cells.model_name || cells.model || '',
      size: cells.size ?? '',
      bend: oneOf('bend', ids.bends, 'round'),
      eye: oneOf('eye', ids.eyes, 'down'),
      point: oneOf('point', ids.points, 'straight'),
      barb: oneOf('barb', ids.barbs, 'barbed'),
      wire: (cells.wire ?? '') === '' ? null : oneOf('wire', ids.wires, 'standard'),
      xLong: within('x_long', [-8, 8]) ?? 0,
      xHeavy: within('x_heavy', [-8, 8]) ?? 0,
      labels: oneOf('labels_direction', DIRECTIONS, 'bigger-smaller'),
      shankMm: within('shank_mm', LENGTH_RANGE_MM),
      gapeMm: within('gape_mm', LENGTH_RANGE_MM),
      biteMm: within('bite_mm', LENGTH_RANGE_MM),
      wireMm: within('wire_mm', THICKNESS_RANGE_MM),
      eyeMm: within('eye_mm', THICKNESS_RANGE_MM),
      massMg: within('mass_mg', MASS_RANGE_MG),
      source: oneOf('source', ids.sources, 'typed'),
    };
    const key = `${row.maker}:${row.model}:${row.size}`;
    const earlier = seen.get(key);
    if (earlier !== undefined) bad('row-twice', 'size', null, { line: earlier });
    seen.set(key, line);
    return problems.length > before ? [] : [row];
  });
  return { rows, problems, count: table.rows.length };
}

const COLUMNS = ['maker', 'maker_name', 'model', 'model_name', 'size', 'bend', 'eye', 'point', 'barb', 'wire', 'x_long', 'x_heavy', 'labels_direction', 'shank_mm', 'gape_mm', 'bite_mm', 'wire_mm', 'eye_mm', 'mass_mg', 'source'] as const;

/** Rows as a hooks file; what `readHooksFile` reads back is the same. */
export function writeHooksFile(rows: readonly HookRow[]): string {
  return writeTable(COLUMNS, rows.map((row) => ({
    maker: row.maker, maker_name: row.makerName, model: row.model, model_name: row.modelName, size: row.size, bend: row.bend, eye: row.eye, point: row.point, barb: row.barb, wire: row.wire, x_long: row.xLong, x_heavy: row.xHeavy, labels_direction: row.labels,
    shank_mm: row.shankMm, gape_mm: row.gapeMm, bite_mm: row.biteMm, wire_mm: row.wireMm, eye_mm: row.eyeMm, mass_mg: row.massMg, source: row.source,
  })));
}

/** A maker or model as an id: lower case, words joined by `-`. */
export function slug(name: string): string {
  return name.trim().toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '');
}
