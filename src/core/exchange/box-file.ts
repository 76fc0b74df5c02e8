import { parseColour } from '../colour';
import type { BoxFly } from '../box';
import { LENGTH_RANGE_MM } from '../constants';
import { readNumber, type CellProblem, tableOf } from './table';
import { slug } from './slug';
import { notOneOf } from './nearest';

/** Ids a box may use; core holds no data. */
export interface BoxIds {
  stages: readonly string[];
  rides: readonly string[];
  dressings: readonly string[];
  /** A colour word `tone-hue` as a hex; null when it is none. */
  shade(words: string): string | null;
}

/** Reads a box (CSV or JSON, docs/formats/box.md): one row a fly. Bad rows are left out and every bad cell is named. */
export function readBoxFile(text: string, ids: BoxIds): { flies: BoxFly[]; problems: CellProblem[] } {
  const table = tableOf(text);
  if (table === null || 'newer' in table)
    return {
      flies: [],
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
  const problems: CellProblem[] = [];
  if (!table.headings.includes('dressing') && !table.headings.includes('stage'))
    return {
      flies: [],
      problems: [
        {
          code: 'column-missing',
          params: { column: 'dressing' },
          line: 1,
          column: 'dressing',
          got: null,
          accepted: { list: ['dressing', 'stage'] },
        },
      ],
    };
  const flies = table.rows.flatMap(({ line, cells }, index): BoxFly[] => {
    const before = problems.length;
    const bad = (code: string, column: string, params: CellProblem['params'] = {}) =>
      problems.push({
        code,
        params: { column, got: cells[column] ?? '', ...params },
        line,
        column,
        got: cells[column] ?? null,
        accepted: null,
      });
    const known = (column: string, allowed: readonly string[]): string | null => {
      const cell = (cells[column] ?? '').trim().toLowerCase();
      if (cell === '') return null;
      if (allowed.includes(cell)) return cell;
      const said = notOneOf(cell, allowed);
      bad(said.code, column, { allowed: { list: said.allowed } });
      return null;
    };
    const number = (column: string, low: number, high: number): number | null => {
      const value = readNumber(cells[column] ?? '');
      if (value === undefined) bad('cell-not-number', column);
      else if (value !== null && (value < low || value > high)) bad('cell-range', column, { low, high });
      else return value;
      return null;
    };
    const dressing = known('dressing', ids.dressings);
    const stage = known('stage', ids.stages) as BoxFly['stage'];
    const colourText = (cells.colour ?? '').trim();
    const hex = colourText === '' ? null : (parseColour(colourText)?.hex ?? ids.shade(colourText));
    if (colourText !== '' && hex === null) bad('cell-not-one-of', 'colour', { allowed: '#rrggbb' });
    const count = number('count', 0, 10000);
    const name = cells.name?.trim() || dressing || stage || '';
    if (!dressing && !stage && problems.length === before) bad('cell-empty', 'dressing');
    const fly: BoxFly = {
      id: cells.id?.trim() || `${slug(name) || 'fly'}-${index + 1}`,
      name,
      dressing,
      hook: cells.hook?.trim() || null,
      stage,
      lengthMm: number('length_mm', LENGTH_RANGE_MM[0], LENGTH_RANGE_MM[1]),
      hex,
      ride: known('ride', ids.rides) as BoxFly['ride'],
      left: count ?? 1,
      place: cells.place?.trim() ?? '',
    };
    return problems.length > before ? [] : [fly];
  });
  return { flies, problems };
}
