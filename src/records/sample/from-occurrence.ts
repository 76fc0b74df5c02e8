import TAXA from '@/catalogue/darwin-core.json';
import GROUPS from '@/catalogue/groups.json';
import { KNOWN } from '@/catalogue/known-ids';
import { LENGTH_RANGE_MM } from '@/core/constants';
import { DWC, MEASUREMENT } from '@/core/exchange/darwin-core';
import type { GivenMeasurement, GivenOccurrence } from '@/core/exchange/darwin-core-read';
import type { CellProblem } from '@/core/exchange/table';
import { readWhen } from '@/core/exchange/when';
import { parseColour } from '@/core/colour';
import { readJson } from '@/core/archive/read-json';
import type { OwnRow } from '../sheets/take';

export interface OccurrencesRead {
  rows: OwnRow[];
  problems: CellProblem[];
  /** Occurrences that say that nothing was there. */
  absent: number;
  /** Terms that Aubade has no place for, as they were named, each with how many rows say it: they are kept with the sample. */
  kept: { term: string; rows: number }[];
}

const MM_PER: Readonly<Record<string, number>> = {
  mm: 1,
  millimetre: 1,
  millimeter: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  inch: 25.4,
  µm: 0.001,
  um: 0.001,
};
const BODY = /^(?:body |total )?length$/i;
const COLOUR = /^colour of ([a-z-]+)$/;
/** Terms of a taxon, the finest first. */
const TAXON = ['scientificName', 'genus', 'family', 'order', 'class'] as const;

/** Order of a genus that a group of naturals is named by. */
const GENERA: ReadonlyMap<string, string> = new Map(
  GROUPS.flatMap(({ order, scientific }) =>
    (scientific.match(/\b[A-Z][a-z]+\b/g) ?? []).map((genus): [string, string] => [genus, order]),
  ),
);

/** Orders that a name may mean, by our ids. */
function ordersOf(name: string): string[] {
  const [genus = ''] = name.split(' ');
  const taxa = Object.entries(TAXA.taxa).flatMap(([order, [known]]) => (known === name ? [order] : []));
  return taxa.length > 0 ? taxa : [...(GENERA.has(genus) ? [GENERA.get(genus)!] : [])];
}

/** The stage that a taxon and a stage of life come to; null where either is not known here. */
function stageOf(term: (name: string) => string): string | null {
  const orders = TAXON.map((name) => ordersOf(term(name))).find((found) => found.length > 0) ?? [];
  const life = term('lifeStage').toLowerCase();
  const lives = [life, ...((TAXA.lifeStages as Record<string, readonly string[] | undefined>)[life] ?? [])];
  const stages = orders.flatMap((order) => lives.map((own) => `${order}/${own}`));
  return stages.find((stage) => KNOWN.stages.some((known) => known === stage)) ?? null;
}

const inMm = ({ value, unit }: GivenMeasurement): number | null => {
  const per = MM_PER[unit.toLowerCase()];
  const mm = per === undefined || value === '' ? NaN : Number(value) * per;
  return mm >= LENGTH_RANGE_MM[0] && mm <= LENGTH_RANGE_MM[1] ? Number(mm.toFixed(6)) : null;
};

/** What an archive of ours says in `dynamicProperties`; null where it is another program's. */
function ownProperties(text: string): Record<string, string> | null {
  const read = text === '' ? null : readJson(text);
  const value = read?.ok ? (read.value as Record<string, unknown> | null) : null;
  return value && typeof value === 'object' && ('surface' in value || 'preserved' in value)
    ? Object.fromEntries(Object.entries(value).map(([name, said]) => [name, String(said)]))
    : null;
}

const under = (more: Readonly<Record<string, string>>, prefix: string) =>
  Object.fromEntries(
    Object.entries(more).flatMap(([name, said]) =>
      name.startsWith(prefix) ? [[name.slice(prefix.length), said]] : [],
    ),
  );
const known = <T extends string>(said: string | undefined, ids: readonly T[]) =>
  ids.find((id) => id === said?.toLowerCase()) ?? null;

/** One occurrence as a sample; what has no place in one goes to `extra` by its term. */
function rowOf({ line, id, terms, measured }: GivenOccurrence): OwnRow | { problem: CellProblem } {
  const term = (name: string) => terms[DWC + name] ?? '';
  const said = [term('eventDate'), term('eventTime')].filter(Boolean).join(' ');
  const when =
    readWhen(term('eventDate').includes('T') ? term('eventDate') : said, 'day') ?? readWhen(term('eventDate'), 'day');
  if (when === null) {
    const code = term('eventDate') === '' ? 'cell-empty' : 'cell-not-when';
    const column = 'eventDate';
    return {
      problem: { code, params: { column, got: term(column) }, line, column, got: term(column), accepted: null },
    };
  }
  const used = new Set(['occurrenceID', 'eventDate', 'locality', 'dataGeneralizations']);
  const told = <T>(name: string, value: T | null): T | null => {
    if (value !== null) used.add(name);
    return value;
  };
  if (said !== term('eventDate')) used.add('eventTime');
  const stage = stageOf(term);
  if (stage) {
    used.add('lifeStage');
    const [order] = stage.split('/') as [keyof typeof TAXA.taxa];
    // A finer name than ours is kept as it was given.
    if (term('scientificName') === TAXA.taxa[order][0]) used.add('scientificName').add('taxonRank');
  }
  const more = ownProperties(term('dynamicProperties'));
  if (more) used.add('dynamicProperties');
  const extra: Record<string, string> = {};
  const specimens: NonNullable<OwnRow['specimens']>[number][] = [];
  const colours: Record<string, string> = {};
  let [caseMm, overallMm, method]: [number | null, number | null, string | null] = [null, null, null];
  for (const given of measured) {
    const mm = inMm(given);
    const [, region] = COLOUR.exec(given.type) ?? [];
    const colour = region && known(region, KNOWN.regions) ? parseColour(given.value) : null;
    if (mm !== null || colour) method ??= known(given.method, KNOWN.methods);
    if (BODY.test(given.type) && mm !== null) {
      const half = Number(given.accuracy);
      specimens.push({
        id: given.id.startsWith(`${id}:`) ? given.id.slice(id.length + 1) : null,
        mm,
        halfMm: given.accuracy !== '' && half > 0 && half < LENGTH_RANGE_MM[1] ? half : null,
        out: given.remarks.startsWith('left out: ') ? given.remarks.slice('left out: '.length) : null,
      });
    } else if (given.type === 'case length' && mm !== null) caseMm = mm;
    else if (given.type === 'overall length' && mm !== null) overallMm = mm;
    else if (colour) colours[region!] = colour.hex;
    else if (given.type !== '') extra[MEASUREMENT + given.type] = [given.value, given.unit].filter(Boolean).join(' ');
  }
  const counted = specimens.filter(({ out }) => out === null).length;
  if (term('individualCount') === String(counted)) used.add('individualCount');
  if (term('basisOfRecord') === 'HumanObservation') used.add('basisOfRecord');
  if (term('occurrenceStatus').toLowerCase() === 'present') used.add('occurrenceStatus');
  const cells = {
    sample: id || null,
    when,
    place: term('locality') || null,
    water: told('habitat', known(term('habitat'), KNOWN.waters)),
    stage,
    sex: told('sex', known(term('sex'), KNOWN.sexes)),
    method,
    surface: known(more?.surface, ['dry', 'wet']),
    found: known(more?.found, KNOWN.found),
    doing: known(more?.doing, KNOWN.doing),
    rise: known(more?.rise, KNOWN.riseForms),
    seen: (more?.seen ?? '').split(' ').filter((seen) => known(seen, KNOWN.seen)),
    case_mm: caseMm,
    overall_mm: overallMm,
    colours,
    colour_words: under(more ?? {}, 'shade-'),
    signs: under(more ?? {}, 'sign-'),
  };
  for (const [name, value] of Object.entries(terms))
    if (!name.startsWith(DWC) || !used.has(name.slice(DWC.length))) extra[name] = value;
  return {
    line,
    cells,
    specimens,
    extra,
    preserved: more?.preserved === 'yes',
    general: term('dataGeneralizations') !== '',
  };
}

/** Occurrences of an archive as rows of a table of samples. */
export function samplesOf(occurrences: readonly GivenOccurrence[]): OccurrencesRead {
  const [rows, problems]: [OwnRow[], CellProblem[]] = [[], []];
  const kept = new Map<string, number>();
  let absent = 0;
  for (const own of occurrences) {
    if (own.terms[`${DWC}occurrenceStatus`]?.toLowerCase() === 'absent') {
      absent++;
      continue;
    }
    const row = rowOf(own);
    if ('problem' in row) {
      problems.push(row.problem);
      continue;
    }
    rows.push(row);
    for (const term of Object.keys(row.extra ?? {})) kept.set(term, (kept.get(term) ?? 0) + 1);
  }
  return {
    rows,
    problems,
    absent,
    kept: [...kept]
      .map(([term, count]) => ({ term, rows: count }))
      .sort((a, b) => b.rows - a.rows || a.term.localeCompare(b.term)),
  };
}
