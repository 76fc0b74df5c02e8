import type { Evidence, FaunaId, OrderId, StageId, WaterId } from '@/catalogue/ids';
import { LENGTH_RANGE_MM } from '../constants';
import { slug } from './slug';
import type { MapColumn } from './column-map';
import { readNumber, writeTable, type CellProblem, type Table, tableOf } from './table';
import { notOneOf } from './nearest';

/** A group of naturals of one's own, as a file carries it. Lengths mm: least, usual, most. */
export interface OwnGroup {
  id: string;
  order: OrderId;
  name: string;
  scientific: string;
  regions: FaunaId[];
  waters: WaterId[];
  months: number[];
  stages: { stage: StageId; length_mm: [number, number, number] | null; shades: string[] }[];
  note: string | null;
  evidence: Evidence;
}

/** Ids a group may use; core holds no data. */
export interface GroupIds {
  orders: readonly OrderId[];
  stages: readonly StageId[];
  faunas: readonly FaunaId[];
  waters: readonly WaterId[];
  evidence: readonly Evidence[];
  /** Whether `tone-hue` is a colour word. */
  shade(words: string): boolean;
}

export interface GroupsRead {
  groups: OwnGroup[];
  problems: CellProblem[];
  /** Rows of the file, good and bad. */
  count: number;
}

const REQUIRED = ['name', 'stage'] as const;
const COLUMNS = [
  'id',
  'order',
  'name',
  'scientific',
  'regions',
  'waters',
  'months',
  'stage',
  'least_mm',
  'usual_mm',
  'most_mm',
  'colours',
  'note',
  'evidence',
] as const;
/** Words by which other people head the same column. */
const ALSO: Partial<Record<(typeof COLUMNS)[number], readonly string[]>> = {
  name: ['common-name', 'group', 'insect'],
  scientific: ['scientific-name', 'species', 'taxon'],
  stage: ['life-stage'],
  least_mm: ['shortest', 'min', 'from', 'least'],
  usual_mm: ['usual', 'length', 'mean', 'typical'],
  most_mm: ['longest', 'max', 'to', 'most'],
  months: ['season', 'month'],
  note: ['notes', 'remark'],
};
const MONTHS = 12;

function wordsOf(cell: string): string[] {
  return cell
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
}

/** `3-5 9` or `11-2` as months, in the order of the year; null when it is neither. */
export function readMonths(cell: string): number[] | null {
  const months = new Set<number>();
  for (const part of wordsOf(cell)) {
    const range = /^(\d{1,2})(?:[-–](\d{1,2}))?$/.exec(part);
    const [from, to] = [Number(range?.[1]), Number(range?.[2] ?? range?.[1])];
    if (!range || from < 1 || from > MONTHS || to < 1 || to > MONTHS) return null;
    for (let month = from; ; month = (month % MONTHS) + 1) {
      months.add(month);
      if (month === to) break;
    }
  }
  return [...months].sort((a, b) => a - b);
}

/** Months as short runs: `3-5 9`. */
export function writeMonths(months: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const month of [...months].sort((a, b) => a - b)) {
    const last = runs[runs.length - 1];
    if (last && last[1] === month - 1) last[1] = month;
    else runs.push([month, month]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}-${to}`)).join(' ');
}

/**
 * Reads groups of naturals (CSV or JSON, docs/formats/groups.md): one row a stage, rows of one id are one group. A bad row is left out
 * and every bad cell is named with its line and column.
 */
export function readGroupsFile(text: string, ids: GroupIds): GroupsRead {
  const table = tableOf(text);
  if (table === null || 'newer' in table)
    return {
      groups: [],
      count: 0,
      problems: [
        {
          code: table === null ? 'file-unread' : 'file-newer',
          params: table === null ? {} : { version: table.newer },
          line: null,
          column: null,
          got: null,
          accepted: null,
        },
      ],
    };
  return readGroups(table, ids);
}

/** The same of a table that was opened already. */
export function readGroups(table: Table, ids: GroupIds): GroupsRead {
  const missing = REQUIRED.filter((name) => !table.headings.includes(name));
  if (missing.length > 0)
    return {
      groups: [],
      count: table.rows.length,
      problems: missing.map((column) => ({
        code: 'column-missing',
        params: { column },
        line: 1,
        column,
        got: null,
        accepted: { list: [...REQUIRED] },
      })),
    };
  const problems: CellProblem[] = [];
  const groups = new Map<string, OwnGroup>();
  for (const { line, cells } of table.rows) {
    const before = problems.length;
    const bad = (
      code: string,
      column: string,
      params: CellProblem['params'] = {},
      accepted: CellProblem['accepted'] = null,
    ) =>
      problems.push({
        code,
        params: { column, got: cells[column] ?? '', ...params },
        line,
        column,
        got: cells[column] ?? null,
        accepted,
      });
    const several = <T extends string>(column: string, allowed: readonly T[]): T[] => {
      const found = wordsOf(cells[column] ?? '');
      const odd = found.find((word) => !allowed.includes(word as T));
      if (odd !== undefined) {
        const said = notOneOf(odd, allowed);
        bad(said.code, column, { allowed: { list: said.allowed } }, { list: [...allowed] });
      }
      return found.filter((word): word is T => allowed.includes(word as T));
    };
    const length = (column: string): number | null => {
      const value = readNumber(cells[column] ?? '');
      if (value === undefined) bad('cell-not-number', column);
      else if (value !== null && (value < LENGTH_RANGE_MM[0] || value > LENGTH_RANGE_MM[1]))
        bad('cell-range', column, { low: LENGTH_RANGE_MM[0], high: LENGTH_RANGE_MM[1] });
      else return value;
      return null;
    };
    for (const column of REQUIRED) if ((cells[column] ?? '') === '') bad('cell-empty', column);
    const [stage] = several('stage', ids.stages);
    const order =
      (cells.order ?? '') === '' ? (stage?.split('/')[0] as OrderId | undefined) : several('order', ids.orders)[0];
    if (stage && order && !stage.startsWith(`${order}/`)) bad('stage-of-another-order', 'stage', { order });
    const months = readMonths(cells.months ?? '');
    if (months === null) bad('cell-not-months', 'months');
    const shades = wordsOf(cells.colours ?? '');
    if (shades.some((shade) => !ids.shade(shade))) bad('cell-not-colour-words', 'colours');
    const spans = [length('least_mm'), length('usual_mm'), length('most_mm')] as const;
    const known = spans.filter((value) => value !== null).length;
    if (problems.length === before && known > 0 && (known < 3 || spans[0]! > spans[1]! || spans[1]! > spans[2]!))
      bad('lengths-not-in-order', 'usual_mm');
    const [evidence] = (cells.evidence ?? '') === '' ? ['seen' as Evidence] : several('evidence', ids.evidence);
    const name = cells.name ?? '';
    const id = slug((cells.id ?? '') || name);
    const group = groups.get(id);
    if (group && stage && group.stages.some((other) => other.stage === stage)) bad('stage-twice', 'stage');
    const regions = several('regions', ids.faunas);
    const waters = several('waters', ids.waters);
    if (problems.length > before) continue;
    const entry = {
      stage: stage!,
      length_mm: known === 3 ? ([spans[0]!, spans[1]!, spans[2]!] as [number, number, number]) : null,
      shades,
    };
    if (group) group.stages.push(entry);
    else
      groups.set(id, {
        id,
        order: order!,
        name,
        scientific: cells.scientific ?? '',
        regions,
        waters,
        months: months!,
        stages: [entry],
        note: (cells.note ?? '') === '' ? null : cells.note!,
        evidence: evidence!,
      });
  }
  return { groups: [...groups.values()], problems, count: table.rows.length };
}

/** Columns of a file of groups as headings are matched to them. */
export const GROUP_MAP: readonly MapColumn[] = COLUMNS.map((name) => ({
  name,
  also: ALSO[name] ?? [],
  length: name.endsWith('_mm'),
  needed: REQUIRED.some((own) => own === name),
}));

/** Groups as a table under our headings, a row a stage. */
export function groupsTable(groups: readonly OwnGroup[]) {
  return {
    headings: COLUMNS,
    rows: groups.flatMap((group) =>
      group.stages.map((entry) => ({
        id: group.id,
        order: group.order,
        name: group.name,
        scientific: group.scientific,
        regions: group.regions.join(' '),
        waters: group.waters.join(' '),
        months: writeMonths(group.months),
        stage: entry.stage,
        least_mm: entry.length_mm?.[0] ?? null,
        usual_mm: entry.length_mm?.[1] ?? null,
        most_mm: entry.length_mm?.[2] ?? null,
        colours: entry.shades.join(' '),
        note: group.note ?? '',
        evidence: group.evidence,
      })),
    ),
  };
}

/** Groups as a file; what `readGroupsFile` reads back is the same. */
export function writeGroupsFile(groups: readonly OwnGroup[]): string {
  const { headings, rows } = groupsTable(groups);
  return writeTable(headings, rows);
}
