import { MM_PER_INCH } from '../constants';
import { slug } from './slug';

/** Columns of a hooks file, in the order they are written. */
export const HOOK_COLUMNS = [
  'maker',
  'maker_name',
  'model',
  'model_name',
  'size',
  'bend',
  'eye',
  'point',
  'barb',
  'wire',
  'x_long',
  'x_heavy',
  'labels_direction',
  'shank_mm',
  'gape_mm',
  'bite_mm',
  'wire_mm',
  'eye_mm',
  'mass_mg',
  'source',
  'retired',
] as const;
export type HookColumn = (typeof HOOK_COLUMNS)[number];

export type ColumnUnit = 'mm' | 'in' | 'in/32';
export const COLUMN_UNITS: readonly ColumnUnit[] = ['mm', 'in', 'in/32'];
const MM_PER_UNIT: Record<ColumnUnit, number> = { mm: 1, in: MM_PER_INCH, 'in/32': MM_PER_INCH / 32 };

const LENGTH_COLUMNS: readonly HookColumn[] = ['shank_mm', 'gape_mm', 'bite_mm', 'wire_mm', 'eye_mm'];

/** Where one of our columns comes from: a heading of the file with its unit, or one value for every row. */
export type ColumnFrom = { heading: string; unit: ColumnUnit | null } | { value: string };
export type ColumnMap<C extends string = string> = Partial<Record<C, ColumnFrom>>;

/** One of our columns as headings are matched to it: what others call it, and whether it is a length, whose heading may say another unit. */
export interface MapColumn<C extends string = string> {
  name: C;
  also: readonly string[];
  length: boolean;
  /** Without it a row says nothing. */
  needed: boolean;
}

/** A cell of one of our columns, whatever the file calls it. */
export function cellOf(cells: Readonly<Record<string, string>>, from: ColumnFrom | undefined): string {
  if (!from) return '';
  return 'value' in from ? from.value : (cells[from.heading] ?? '');
}

/** What a bare length of a column is in millimetres: its heading's unit, those of our own headings, else the unit of the file. */
export function mmPer(column: string, from: ColumnFrom | undefined, unit: ColumnUnit): number {
  const heading = from && 'heading' in from ? from : null;
  const own = heading?.heading.trim().toLowerCase() === column;
  return MM_PER_UNIT[heading?.unit ?? (own ? 'mm' : unit)];
}

/** What a column is called in the file. */
export const calledIn = (column: string, from: ColumnFrom | undefined) =>
  from && 'heading' in from ? from.heading : column;

/** Words by which other people head the same column; the first of a row that is found counts. */
const WORDS: Record<HookColumn, readonly string[]> = {
  maker: ['maker', 'make', 'brand', 'manufacturer', 'firm'],
  maker_name: [],
  model: ['model', 'series', 'style', 'code', 'item', 'range'],
  model_name: ['model-name', 'description'],
  size: ['size', 'hook-size', 'no', 'number', 'label'],
  bend: ['bend', 'shape', 'bend-shape', 'family'],
  eye: ['eye', 'eye-type'],
  point: ['point'],
  barb: ['barb', 'barbless'],
  wire: ['wire', 'wire-class', 'wire-weight', 'gauge'],
  x_long: ['x-long', 'length-x', 'long', 'shank-x', 'xl'],
  x_heavy: ['x-heavy', 'wire-x', 'heavy', 'xh'],
  labels_direction: [],
  shank_mm: ['shank', 'shank-length', 'length', 'hook-length', 'long'],
  gape_mm: ['gape', 'gap', 'gape-width', 'width'],
  bite_mm: ['bite', 'throat', 'depth'],
  wire_mm: ['wire', 'wire-diameter', 'wire-thickness', 'wire-dia', 'thickness', 'diameter'],
  eye_mm: ['eye', 'eye-outside', 'eye-diameter', 'eye-outer'],
  mass_mg: ['mass', 'weight'],
  source: ['source'],
  retired: ['retired', 'discontinued', 'discontinued-by-maker'],
};

/** Columns of a hooks file without which a row is none. */
export const HOOKS_NEEDED: readonly HookColumn[] = ['maker', 'model', 'size', 'bend'];

/** Columns of a hooks file as headings are matched to them. */
export const HOOK_MAP: readonly MapColumn<HookColumn>[] = HOOK_COLUMNS.map((name) => ({
  name,
  also: WORDS[name],
  length: LENGTH_COLUMNS.includes(name),
  needed: HOOKS_NEEDED.includes(name),
}));

/** A heading without its unit, and the unit where it says one: `Shank (in)`, `gape 1/32"`, `wire_mm`. */
function headingUnit(heading: string): { words: string; unit: ColumnUnit | null } {
  const text = heading.trim().toLowerCase();
  const marks: [RegExp, ColumnUnit][] = [
    [/[\s_([]*(?:1\/32(?:\s*(?:in|inch|["″”]))?|32nds?|_32)[)\]]*$/, 'in/32'],
    [/[\s_([]+(?:in|inch|inches|["″”])[)\]]*$/, 'in'],
    [/[\s_([]+(?:mm|millimet(?:er|re)s?)[)\]]*$/, 'mm'],
  ];
  for (const [mark, unit] of marks) if (mark.test(text)) return { words: slug(text.replace(mark, '')), unit };
  return { words: slug(text.replace(/[([][^)\]]*[)\]]$/, '')), unit: null };
}

/** Our own headings, in any case, with another unit in place of mm where they say one. */
export function ownHeadings<C extends string>(
  headings: readonly string[],
  columns: readonly MapColumn<C>[],
): ColumnMap<C> {
  const map: ColumnMap<C> = {};
  for (const heading of headings) {
    const name = heading.trim().toLowerCase();
    const own = columns.find((column) => column.name === name);
    const { words, unit } = headingUnit(heading);
    const other = unit === null ? undefined : columns.find((column) => column.length && column.name === `${words}_mm`);
    const column = own ?? other;
    if (column && !map[column.name]) map[column.name] = { heading, unit: other ? unit : null };
  }
  return map;
}

/** A proposal for a file with headings of its own: what each of our columns is likely to be. Where one word heads two of ours, its unit tells a measure from a class. */
export function guessColumns<C extends string>(
  headings: readonly string[],
  columns: readonly MapColumn<C>[],
): ColumnMap<C> {
  const map = ownHeadings(headings, columns);
  const taken = new Set(
    (Object.values(map) as ColumnFrom[]).flatMap((from) => ('heading' in from ? [from.heading] : [])),
  );
  const read = headings.map((heading) => ({ heading, ...headingUnit(heading) }));
  const heads = new Map<string, number>();
  for (const word of columns.flatMap(({ also }) => also)) heads.set(word, (heads.get(word) ?? 0) + 1);
  for (const { name, also, length } of columns) {
    if (map[name]) continue;
    // A unit beside a word that heads two makes it a measure, none makes it a class.
    const fits = (word: string, unit: ColumnUnit | null) => heads.get(word) === 1 || (unit !== null) === length;
    const found = also.flatMap((word) =>
      read.filter((item) => item.words === word && !taken.has(item.heading) && fits(word, item.unit)),
    )[0];
    if (!found) continue;
    taken.add(found.heading);
    map[name] = { heading: found.heading, unit: length ? found.unit : null };
  }
  return map;
}
