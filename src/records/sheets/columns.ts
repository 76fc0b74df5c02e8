import colourWords from '@/catalogue/colour-words.json';
import { KNOWN } from '@/catalogue/known-ids';
import { LENGTH_RANGE_MM } from '@/core/constants';
import { HOOK_MAP } from '@/core/exchange/column-map';
import { DRAWER_MAP } from '@/core/exchange/drawer-file';
import { GROUP_MAP } from '@/core/exchange/groups-file';
import { stashColumns } from '@/core/exchange/stash-columns';
import type { MapColumn } from '@/core/exchange/column-map';
import type { CellKind, SheetColumn } from '@/core/exchange/sheet';
import { BOX_SIDE } from '../box/schema';

/** Collections that are read from a table. Dressings, ledgers and guesses come back from JSON alone (docs/formats/csv.md). */
export const SHEET_IDS = [
  'samples',
  'matches',
  'boxes',
  'flies',
  'packets',
  'hooks',
  'materials',
  'stash',
  'groups',
] as const;
export type SheetId = (typeof SHEET_IDS)[number];
/** Those whose rows are records of their own; the others have readers of their own. */
export type RowSheetId = 'samples' | 'matches' | 'boxes' | 'flies' | 'materials';

/** Every colour word, `tone-hue`. */
const SHADES = Object.entries(colourWords.hues).flatMap(([hue, tones]) =>
  Object.keys(tones).map((tone) => `${tone}-${hue}`),
);
const [LOW, HIGH] = LENGTH_RANGE_MM;
const TEXT: CellKind = { of: 'text' };
const MOST_FLIES = 10_000;
const MOST_REVISIONS = 10_000;
const length: CellKind = { of: 'length', low: LOW, high: HIGH };
const one = (ids: readonly string[]): CellKind => ({ of: 'one', ids });
const side: CellKind = { of: 'whole', low: BOX_SIDE[0], high: BOX_SIDE[1] };

const column = (name: string, holds: CellKind, also: readonly string[] = []): SheetColumn => ({
  name,
  holds,
  also,
  length: holds.of === 'length' || holds.of === 'lengths',
  needed: false,
});
const needed = (name: string, holds: CellKind, also: readonly string[] = []): SheetColumn => ({
  ...column(name, holds, also),
  needed: true,
});

/** What each table is read by. What a table says for a spreadsheet alone (means, counts, photographs) has no column here. */
export const COLUMNS: Readonly<Record<RowSheetId, readonly SheetColumn[]>> = {
  samples: [
    column('sample', TEXT, ['id', 'sample-id', 'no']),
    needed('when', { of: 'when' }, ['date', 'day', 'date-and-time', 'datetime', 'time', 'eventdate', 'observed-on']),
    column('place', TEXT, ['where', 'river', 'location', 'locality', 'spot', 'site']),
    column('water', one(KNOWN.waters), ['water-type', 'habitat']),
    column('stage', one(KNOWN.stages), ['insect', 'life-stage', 'lifestage']),
    column('surface', one(['dry', 'wet'])),
    column('method', one(KNOWN.methods), ['how', 'measured-with', 'tool']),
    column('sex', one(KNOWN.sexes)),
    column('lengths_mm', { of: 'lengths', low: LOW, high: HIGH }, [
      'lengths',
      'length',
      'body-length',
      'body',
      'mean',
      'size',
    ]),
    column('case_mm', length, ['case', 'case-length']),
    column('overall_mm', length, ['overall', 'total-length', 'with-wings']),
    column('colours', { of: 'pairs', names: KNOWN.regions, values: 'hex' }),
    column('colour_words', { of: 'pairs', names: KNOWN.regions, values: SHADES }),
    column('signs', { of: 'pairs', names: null, values: 'text' }),
    column('rise', one(KNOWN.riseForms), ['rise-form']),
    column('seen', { of: 'several', ids: KNOWN.seen }),
    column('found', one(KNOWN.found)),
    column('doing', one(KNOWN.doing), ['behaviour', 'behavior']),
  ],
  matches: [
    column('match', TEXT, ['id']),
    column('title', TEXT, ['name']),
    column('opened', { of: 'when' }, ['when', 'date']),
    needed('sample', TEXT, ['sample-id']),
    column('answer', TEXT),
    column('leads', { of: 'yes-no' }),
    column('stage', one(KNOWN.stages)),
    column('hook', TEXT),
    column('dressing', TEXT, ['fly', 'pattern']),
    column('sizes', { of: 'number', low: -3, high: 3 }),
    column('intent', one(KNOWN.intents)),
    column('follows', TEXT),
  ],
  boxes: [
    column('box', TEXT, ['id']),
    needed('name', TEXT, ['box-name', 'title']),
    column('rows', side),
    column('columns', side, ['cols']),
    column('carried', { of: 'yes-no' }, ['with-me']),
  ],
  flies: [
    column('fly', TEXT, ['id', 'no']),
    column('name', TEXT, ['title', 'pattern', 'fly-name']),
    column('dressing', TEXT),
    column('revision', { of: 'whole', low: 1, high: MOST_REVISIONS }),
    column('hook', TEXT),
    column('stage', one(KNOWN.stages), ['imitates']),
    column('length_mm', length, ['length', 'body-length']),
    column('colour_words', one(SHADES), ['colour', 'color', 'shade']),
    column('ride', one(KNOWN.rides)),
    column('box', TEXT, ['box-name']),
    column('compartment', TEXT, ['place', 'slot', 'cell']),
    column('left', { of: 'whole', low: 0, high: MOST_FLIES }, ['count', 'number', 'how-many', 'quantity', 'qty']),
    column('low', { of: 'whole', low: 1, high: MOST_FLIES }, ['keep', 'keep-at-least']),
  ],
  materials: [
    column('material', TEXT, ['id']),
    needed('name', TEXT, ['title', 'description']),
    column('like', TEXT),
    column('functions', { of: 'several', ids: KNOWN.functions }, ['function', 'use']),
    needed('hex', { of: 'hex' }, ['colour', 'color', 'rgb']),
  ],
};

/** What a table of a stash is read by. */
const STASH_COLUMNS = stashColumns(KNOWN.functions);
const READ_ELSEWHERE: Readonly<Partial<Record<SheetId, readonly MapColumn[]>>> = {
  hooks: HOOK_MAP,
  packets: DRAWER_MAP,
  stash: STASH_COLUMNS,
  groups: GROUP_MAP,
};

export const isRowSheet = (sheet: SheetId): sheet is RowSheetId => sheet in COLUMNS;

/** Columns of a table as headings are matched to them. */
export function mapOf(sheet: SheetId): readonly MapColumn[] {
  return isRowSheet(sheet) ? COLUMNS[sheet] : READ_ELSEWHERE[sheet]!;
}

/** Columns without which a table cannot be read. */
export const neededOf = (sheet: SheetId): readonly string[] =>
  mapOf(sheet).flatMap((own) => (own.needed ? [own.name] : []));
