import { textOf } from '@/core/archive/text';
import { isZip, openZip } from '@/core/archive/zip';
import type { Coded } from '@/core/code';
import type { ColumnMap, ColumnUnit } from '@/core/exchange/column-map';
import { readDarwinCore } from '@/core/exchange/darwin-core-read';
import { readTapings } from '@/core/exchange/model-file';
import { daysIn } from '@/core/exchange/sheet';
import { HEAD_BYTES, headFault, readTable, tableOf, type CellProblem, type Table } from '@/core/exchange/table';
import { dayOrderOf, hasSlashDays, type DayOrder } from '@/core/exchange/when';
import { readAnyBackup, readBackup, type Backup } from '../backup/read';
import { samplesOf, type OccurrencesRead } from '../sample/from-occurrence';
import { COLUMNS, isRowSheet, neededOf, type SheetId } from './columns';
import { guessFor, notRead, readTableOf, sheetOf, type TableRead } from './read';
import type { SheetIn } from './take';

/** How a file is to be read: what is said of it stands before what its headings say. */
export interface FileReading {
  /** What its rows are; null where that is to be told from its headings. */
  sheet: SheetId | null;
  /** What it is likely to be, where the headings would do for several. */
  prefer: SheetId | null;
  /** Which heading is which of our columns; null: as the headings say. */
  map: ColumnMap | null;
  unit: ColumnUnit;
  dayOrder: DayOrder | null;
}

export const AS_IT_IS: FileReading = { sheet: null, prefer: null, map: null, unit: 'mm', dayOrder: null };

/** A table that was looked at, and its rows once it is known what each column is. */
export interface TableLooked {
  what: 'table';
  /** What its rows are; null while nobody can tell. */
  sheet: SheetId | null;
  headings: string[];
  /** Its first rows, to be shown. */
  sample: Record<string, string>[];
  guess: ColumnMap;
  /** Whether days stand in it whose first number may be day or month. */
  slashDays: boolean;
  /** Which it is taken to be. */
  dayOrder: DayOrder;
  /** Headings that nothing is read from. */
  unread: string[];
  read: (TableRead & { bad: Table | null }) | null;
}

/** An archive of occurrences of another program, or of ours. */
export interface ArchiveRead extends Omit<OccurrencesRead, 'rows'> {
  what: 'archive';
  input: SheetIn;
  good: number;
  count: number;
  /** Kinds of row that are not read. */
  unread: { rowType: string; rows: number }[];
}

/** What a file is that a tier hands over, whatever it holds. */
export type FileRead =
  | { what: 'refused'; fault: Coded }
  | { what: 'backup'; backup: Backup }
  /** Dressings, as text: reading them needs the catalogue. */
  | { what: 'dressings-text'; text: string }
  | TableLooked
  | ArchiveRead;

/** The most bytes of a table, and of a file of dressings: more than any tier has, and read in a few seconds. */
export const FILE_LIMITS = { table: 32 * 1024 * 1024, dressings: 4 * 1024 * 1024 } as const;
/** More than the hooks of all makers; of all else ten seasons are under half of it. */
const MOST_ROWS = { hooks: 20_000, other: 5_000 } as const;
const SHOWN_ROWS = 4;
/** A list of names under their heading is a stash: nothing but its column has to be there. */
const NAMES_ALONE = /^\uFEFF?"?materials?"?[ \t]*\r?\n/i;

const refused = (code: string, params: Coded['params'] = {}): FileRead => ({
  what: 'refused',
  fault: { code, params },
});

function readArchive(files: ReadonlyMap<string, Uint8Array>): FileRead {
  const read = readDarwinCore(files);
  if (!read.ok) return { what: 'refused', fault: read.fault };
  const { rows, ...told } = samplesOf(read.occurrences);
  return {
    what: 'archive',
    input: { sheet: 'samples', rows },
    good: rows.length,
    count: read.occurrences.length,
    unread: read.unread,
    ...told,
  };
}

function readZip(bytes: Uint8Array): FileRead {
  const names: string[] = [];
  const looked = openZip(bytes, { wanted: (path) => names.push(path) < 0 });
  if (!looked.ok) return { what: 'refused', fault: looked.fault };
  if (names.some((name) => /(^|\/)meta\.xml$/.test(name)) && !names.includes('manifest.json')) {
    const opened = openZip(bytes, { wanted: (path) => /\.(xml|txt|csv|tsv)$/i.test(path) });
    return opened.ok ? readArchive(opened.files) : { what: 'refused', fault: opened.fault };
  }
  const read = readBackup(bytes);
  return read.ok ? { what: 'backup', backup: read.backup } : { what: 'refused', fault: read.fault };
}

/** Text of a file, in two bytes a letter where its first two say so, as some spreadsheets save it. */
function spreadsheetText(bytes: Uint8Array): string | null {
  const mark = (bytes[0] ?? 0) * 256 + (bytes[1] ?? 0);
  return textOf(bytes, mark === 0xfffe ? 'utf-16le' : mark === 0xfeff ? 'utf-16be' : 'utf-8');
}

/** Rows of our own files by what their envelope calls them. */
const ENVELOPES: Readonly<Record<string, SheetId>> = {
  hooks: 'hooks',
  groups: 'groups',
  box: 'flies',
  drawer: 'packets',
};

/** What a table is, what its columns are, and its rows where that is plain. */
function looked(table: Table, text: string, how: FileReading, report?: (done: number) => void): FileRead {
  const { headings, rows } = table;
  const sheet = how.sheet ?? sheetOf(headings, how.prefer);
  const most = MOST_ROWS[sheet === 'hooks' ? 'hooks' : 'other'];
  if (rows.length > (sheet === null ? MOST_ROWS.hooks : most))
    return refused('too-many-rows', { count: rows.length, most });
  const sample = rows.slice(0, SHOWN_ROWS).map(({ cells }) => cells);
  const guess = sheet === null ? {} : (how.map ?? guessFor(sheet, headings));
  const days = sheet !== null && isRowSheet(sheet) ? daysIn(table, COLUMNS[sheet], guess) : [];
  const slashDays = hasSlashDays(days);
  const dayOrder = how.dayOrder ?? dayOrderOf(days) ?? 'day';
  const ready = sheet !== null && neededOf(sheet).every((name) => guess[name]);
  if (!ready) return { what: 'table', sheet, headings, sample, guess, slashDays, dayOrder, unread: [], read: null };
  const read = readTableOf(sheet, table, {
    map: guess,
    unit: how.unit,
    dayOrder,
    ...(report ? { report } : {}),
  });
  if (read.input.sheet === 'hooks') read.input = { ...read.input, tapings: readTapings(text) };
  const lines = new Set(read.problems.map(({ line }: CellProblem) => line));
  const bad = { headings, rows: rows.filter(({ line }) => lines.has(line)) };
  return {
    what: 'table',
    sheet,
    headings,
    sample,
    guess,
    slashDays,
    dayOrder,
    unread: notRead(sheet, headings, guess),
    read: { ...read, bad: bad.rows.length > 0 ? bad : null },
  };
}

/**
 * Reads any file that a tier may hand over: a backup, records, matches, dressings, a table of one of our collections under its own headings or another's, or a Darwin
 * Core archive. First its beginning alone, so that what is none of these is refused at once. Tells what it is and what it holds; nothing is changed.
 */
export function readFile(bytes: Uint8Array, how: FileReading = AS_IT_IS, report?: (done: number) => void): FileRead {
  if (isZip(bytes)) return readZip(bytes);
  const head = spreadsheetText(headOf(bytes));
  if (head === null) return refused('file-not-text');
  const kind = /^\uFEFF?\s*\{[^{[]{0,200}?"aubade"\s*:\s*"([a-z-]+)"/.exec(head)?.[1];
  if (kind === 'records' || kind === 'bundle') {
    const read = readAnyBackup(bytes);
    return read.ok ? { what: 'backup', backup: read.backup } : { what: 'refused', fault: read.fault };
  }
  const json = /^\uFEFF?\s*[[{]/.test(head);
  const dressings =
    kind === 'dressings' ||
    (json && kind === undefined && /"(?:parts|steps|lines)"\s*:/.test(head)) ||
    /^```json|^# /m.test(head);
  if (dressings) {
    if (bytes.length > FILE_LIMITS.dressings) return refused('too-large');
    const text = spreadsheetText(bytes);
    return text === null ? refused('file-not-text') : { what: 'dressings-text', text };
  }
  if (kind !== undefined && !(kind in ENVELOPES)) return refused('file-other', { what: kind });
  if (bytes.length > FILE_LIMITS.table) return refused('too-large');
  const fault = headFault(head);
  if (fault && !(fault.code === 'file-not-table' && NAMES_ALONE.test(head))) return { what: 'refused', fault };
  const text = spreadsheetText(bytes);
  if (text === null) return refused('file-not-text');
  report?.(0.1);
  const table = json ? tableOf(text) : readTable(text);
  if (table === null) return refused(json ? 'file-no-json' : 'file-not-table');
  if ('newer' in table) return refused('file-newer', { version: table.newer });
  if (table.rows.length === 0) return refused('file-no-rows');
  return looked(
    table,
    text,
    kind === undefined ? how : { ...how, sheet: ENVELOPES[kind]! },
    report && ((done) => report(0.1 + 0.9 * done)),
  );
}

/** The beginning of a file, cut where no letter of it is cut in two. */
function headOf(bytes: Uint8Array): Uint8Array {
  let end = Math.min(bytes.length, HEAD_BYTES);
  if (end < bytes.length) while (end > 0 && (bytes[end]! & 0xc0) === 0x80) end--;
  return bytes.subarray(0, end);
}
