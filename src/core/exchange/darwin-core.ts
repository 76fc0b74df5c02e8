import Papa from 'papaparse';
import { xmlText } from '../archive/xml';

/** One sample as an occurrence: who was there, where and when, and what was measured. Millimetres, sRGB hex. */
export interface Occurrence {
  id: string;
  /** Local, `2033-05-24T04:50`. */
  when: string;
  place: string;
  water: string | null;
  /** Scientific name and its rank. */
  taxon: readonly [name: string, rank: string] | null;
  stage: string | null;
  sex: string | null;
  method: string;
  specimens: { id: string; mm: number; halfMm: number | null; out: string | null }[];
  caseMm: number | null;
  overallMm: number | null;
  colours: Readonly<Record<string, string>>;
  /** What the standard has no term for, by our names. */
  more: Readonly<Record<string, string>>;
  /** What another program said of it and Aubade has no place for: by its term, a measurement by `MEASUREMENT` and its kind. */
  extra: Readonly<Record<string, string>>;
}

/** Before the kind of a measurement that is kept as another program gave it. */
export const MEASUREMENT = 'measurement:';

export interface DarwinCoreWords {
  title: string;
  /** What the set is, for who finds it. */
  abstract: string;
  /** Local day of the export. */
  made: string;
  language: string;
}

export const DWC = 'http://rs.tdwg.org/dwc/terms/';
/** Columns of the core file, in order; the first is the id that measurements refer to. */
const CORE = [
  'occurrenceID',
  'basisOfRecord',
  'eventDate',
  'locality',
  'dataGeneralizations',
  'habitat',
  'scientificName',
  'taxonRank',
  'lifeStage',
  'sex',
  'individualCount',
  'occurrenceStatus',
  'dynamicProperties',
] as const;
/** Columns of the measurements, after the id of their occurrence. */
const MEASURED = [
  'measurementID',
  'measurementType',
  'measurementValue',
  'measurementUnit',
  'measurementAccuracy',
  'measurementMethod',
  'measurementRemarks',
] as const;

const DEGREES = /-?\d{1,3}\.\d{2,}/g;
/** Minutes and seconds after the degrees. */
const MINUTES = /°[\d\s.'′"″]*/g;
/** A part of a place that is coordinates alone. */
const COORDINATES = /^[NSEW]?\s*-?\d[\d\s.°'′"″-]*[NSEW]?$/i;

/** A place as it may be told to everyone: the water without the spot on it, coordinates to a tenth of a degree (some 10 km). */
export function generalPlace(place: string): string {
  const [water = '', ...rest] = place.split(',').map((part) => part.trim());
  const told = [water, ...rest.filter((part) => COORDINATES.test(part))].join(', ');
  return told
    .replace(DEGREES, (degrees) => (Math.round(Number(degrees) * 10) / 10).toFixed(1))
    .replace(MINUTES, '°')
    .trim();
}

/** A cell of the files: no tab, no line break, nothing that a spreadsheet would run. */
const cell = (value: string | number | null | undefined) => String(value ?? '').replace(/[\t\r\n]+/g, ' ');

const table = (headings: readonly string[], rows: readonly Record<string, string | number | null>[]) =>
  `${Papa.unparse(
    { fields: [...headings], data: rows.map((row) => headings.map((name) => cell(row[name]))) },
    { delimiter: '\t', newline: '\n', escapeFormulae: true },
  )}\n`;

function fieldsOf(terms: readonly string[], from: number): string {
  return terms
    .map(
      (term, index) => `    <field index="${index + from}" term="${term.includes(':') ? xmlText(term) : DWC + term}"/>`,
    )
    .join('\n');
}

const FORM =
  'encoding="UTF-8" fieldsTerminatedBy="\\t" linesTerminatedBy="\\n" fieldsEnclosedBy="&quot;" ignoreHeaderLines="1"';

const meta = (core: readonly string[]) => `<?xml version="1.0" encoding="UTF-8"?>
<archive xmlns="http://rs.tdwg.org/dwc/text/" metadata="eml.xml">
  <core ${FORM} rowType="${DWC}Occurrence">
    <files><location>occurrence.txt</location></files>
    <id index="0"/>
${fieldsOf(core, 0)}
  </core>
  <extension ${FORM} rowType="${DWC}MeasurementOrFact">
    <files><location>measurementorfact.txt</location></files>
    <coreid index="0"/>
${fieldsOf(MEASURED, 1)}
  </extension>
</archive>
`;

function eml({ title, abstract, made, language }: DarwinCoreWords, id: string): string {
  return `<?xml version="1.0" encoding="UTF-8"?>
<eml:eml xmlns:eml="https://eml.ecoinformatics.org/eml-2.2.0" packageId="${xmlText(id)}" system="aubade" xml:lang="${xmlText(language)}">
  <dataset>
    <title>${xmlText(title)}</title>
    <creator><positionName>${xmlText(title)}</positionName></creator>
    <pubDate>${xmlText(made)}</pubDate>
    <language>${xmlText(language)}</language>
    <abstract><para>${xmlText(abstract)}</para></abstract>
    <contact><positionName>${xmlText(title)}</positionName></contact>
  </dataset>
</eml:eml>
`;
}

/**
 * Samples as the texts of a Darwin Core archive: occurrences, measurements that refer to them, what the columns mean and what the set is. Places are told
 * in general unless `exact`. Source: the Darwin Core text guidelines (rs.tdwg.org/dwc/text) and the terms of Occurrence and MeasurementOrFact.
 */
export function darwinCoreFiles(
  occurrences: readonly Occurrence[],
  words: DarwinCoreWords,
  { exact = false }: { exact?: boolean } = {},
): { path: string; text: string }[] {
  const terms = [...new Set(occurrences.flatMap(({ extra }) => Object.keys(extra)))].filter(
    (term) => !term.startsWith(MEASUREMENT),
  );
  // A term of ours that another program said otherwise stands in its own column.
  const strange = terms.filter((term) => !CORE.some((own) => DWC + own === term)).sort();
  const core = occurrences.map((own) => {
    const locality = exact ? own.place : generalPlace(own.place);
    return {
      occurrenceID: own.id,
      basisOfRecord: 'HumanObservation',
      eventDate: own.when,
      locality,
      dataGeneralizations: locality === own.place ? '' : 'place generalised',
      habitat: own.water,
      scientificName: own.taxon?.[0] ?? null,
      taxonRank: `${DWC}scientificName` in own.extra ? null : (own.taxon?.[1] ?? null),
      lifeStage: own.stage,
      sex: own.sex,
      individualCount: own.specimens.filter(({ out }) => out === null).length || null,
      occurrenceStatus: 'present',
      dynamicProperties: Object.keys(own.more).length > 0 ? JSON.stringify(own.more) : null,
      ...Object.fromEntries(
        Object.entries(own.extra).map(([term, value]) => [CORE.find((known) => DWC + known === term) ?? term, value]),
      ),
    };
  });
  const measured = occurrences.flatMap((own) => {
    const row = (
      id: string,
      type: string,
      value: string | number,
      unit: string,
      more: Record<string, string | number | null> = {},
    ) => ({
      id: own.id,
      measurementID: `${own.id}:${id}`,
      measurementType: type,
      measurementValue: value,
      measurementUnit: unit,
      measurementAccuracy: null,
      measurementMethod: own.method,
      measurementRemarks: null,
      ...more,
    });
    return [
      ...own.specimens.map(({ id, mm, halfMm, out }) =>
        row(id, 'body length', mm, 'mm', {
          measurementAccuracy: halfMm,
          measurementRemarks: out === null ? null : `left out: ${out}`,
        }),
      ),
      ...(own.caseMm === null ? [] : [row('case', 'case length', own.caseMm, 'mm')]),
      ...(own.overallMm === null ? [] : [row('overall', 'overall length', own.overallMm, 'mm')]),
      ...Object.entries(own.colours).map(([region, hex]) =>
        row(`colour-${region}`, `colour of ${region}`, hex, 'sRGB hex'),
      ),
      ...Object.entries(own.extra)
        .filter(([term]) => term.startsWith(MEASUREMENT))
        .map(([term, said]) => {
          const [value = '', ...unit] = said.split(' ');
          return row(term, term.slice(MEASUREMENT.length), value, unit.join(' '), { measurementMethod: null });
        }),
    ];
  });
  return [
    { path: 'meta.xml', text: meta([...CORE, ...strange]) },
    { path: 'eml.xml', text: eml(words, `aubade-${words.made}`) },
    { path: 'occurrence.txt', text: table([...CORE, ...strange], core) },
    { path: 'measurementorfact.txt', text: table(['id', ...MEASURED], measured) },
  ];
}
