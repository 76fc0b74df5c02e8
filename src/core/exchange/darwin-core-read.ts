import { XMLParser } from 'fast-xml-parser';
import Papa from 'papaparse';
import { textOf } from '../archive/text';
import type { Coded } from '../code';
import { DWC } from './darwin-core';
import { unguard } from './table';

/** One measurement or fact, as its archive gives it. */
export interface GivenMeasurement {
  id: string;
  type: string;
  value: string;
  unit: string;
  accuracy: string;
  method: string;
  remarks: string;
}

/** One occurrence: what its archive says of it by full term, empty cells left out, and what was measured. */
export interface GivenOccurrence {
  /** Line of its file. */
  line: number;
  id: string;
  terms: Readonly<Record<string, string>>;
  measured: readonly GivenMeasurement[];
}

export type DarwinCoreRead =
  | {
      ok: true;
      occurrences: GivenOccurrence[];
      /** Kinds of row of extensions that are not read, each with how many rows there are. */
      unread: { rowType: string; rows: number }[];
    }
  | { ok: false; fault: Coded };

const OCCURRENCE = `${DWC}Occurrence`;
const MEASURED = /\/(?:Extended)?MeasurementOrFact$/;

interface Section {
  rowType?: string;
  encoding?: string;
  fieldsTerminatedBy?: string;
  fieldsEnclosedBy?: string;
  ignoreHeaderLines?: string;
  files?: { location?: string[] };
  id?: { index?: string };
  coreid?: { index?: string };
  field?: { index?: string; term?: string; default?: string }[];
}

const many = (name: string) => ['field', 'extension', 'location'].includes(name);
const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseAttributeValue: false,
  parseTagValue: false,
  isArray: (name: string) => many(name),
});

const refused = (code: string, what = ''): DarwinCoreRead => ({ ok: false, fault: { code, params: { what } } });

/** `\t` and `\n` as the guidelines write them. */
const char = (said: string | undefined, usual: string) =>
  (said ?? usual).replace(/\\t/g, '\t').replace(/\\n/g, '\n').replace(/\\r/g, '\r');

/** A file of an archive by its name, whatever folder the archive was packed with. */
const fileIn = (files: ReadonlyMap<string, Uint8Array>, folder: string, name: string) =>
  files.get(folder + name) ?? files.get(name);

/** Rows of a section as they stand in its files: null where one is missing or none of its encoding. */
function rowsOf(
  { files: named, encoding = 'UTF-8', fieldsTerminatedBy, fieldsEnclosedBy, ignoreHeaderLines }: Section,
  files: ReadonlyMap<string, Uint8Array>,
  folder: string,
): { line: number; cells: string[] }[] | null {
  const rows: { line: number; cells: string[] }[] = [];
  for (const location of named?.location ?? []) {
    const bytes = fileIn(files, folder, location);
    const text = bytes && textOf(bytes, encoding);
    if (text === undefined || text === null) return null;
    const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
      delimiter: char(fieldsTerminatedBy, '\t'),
      quoteChar: char(fieldsEnclosedBy, '') || '\u0000',
    });
    const skip = Number(ignoreHeaderLines ?? 0);
    for (const [index, cells] of data.entries())
      if (index >= skip && cells.some((cell) => cell.trim() !== '')) rows.push({ line: index + 1, cells });
  }
  return rows;
}

/** Cells of a row by term, those of a default as well; what is empty is not said. */
function termsOf({ field = [] }: Section, cells: readonly string[]): Record<string, string> {
  return Object.fromEntries(
    field.flatMap(({ index, term, default: usual }): [string, string][] => {
      const value = unguard((index === undefined ? '' : (cells[Number(index)] ?? '')).trim()) || (usual ?? '');
      return term && value !== '' ? [[term, value]] : [];
    }),
  );
}

/** What the files of an archive say: its occurrences with their measurements, and what of it is not read. Nothing of a DOCTYPE is read. Source: the Darwin Core text guidelines (rs.tdwg.org/dwc/text). */
export function readDarwinCore(files: ReadonlyMap<string, Uint8Array>): DarwinCoreRead {
  const path = [...files.keys()].find((name) => /(^|\/)meta\.xml$/.test(name));
  const text = path === undefined ? null : textOf(files.get(path)!);
  if (path === undefined || text === null) return refused('dwca-other');
  const folder = path.slice(0, -'meta.xml'.length);
  if (/<!(?:DOCTYPE|ENTITY)/i.test(text)) return refused('dwca-doctype');
  let archive: { core?: Section; extension?: Section[] } | undefined;
  try {
    archive = (parser.parse(text, true) as { archive?: typeof archive }).archive;
  } catch {
    return refused('dwca-broken', 'meta.xml');
  }
  const core = archive?.core;
  if (!core?.files?.location?.length) return refused('dwca-broken', 'meta.xml');
  if (core.rowType !== OCCURRENCE) return refused('dwca-core', (core.rowType ?? '').split('/').at(-1));
  const rows = rowsOf(core, files, folder);
  if (rows === null) return refused('dwca-broken', core.files.location[0]);
  const measured = new Map<string, GivenMeasurement[]>();
  const unread: { rowType: string; rows: number }[] = [];
  for (const extension of archive?.extension ?? []) {
    const own = rowsOf(extension, files, folder);
    if (own === null) return refused('dwca-broken', extension.files?.location?.[0]);
    if (!MEASURED.test(extension.rowType ?? '')) {
      unread.push({ rowType: (extension.rowType ?? '').split('/').at(-1)!, rows: own.length });
      continue;
    }
    for (const { cells } of own) {
      const of = cells[Number(extension.coreid?.index ?? 0)] ?? '';
      const terms = termsOf(extension, cells);
      const term = (name: string) => terms[DWC + name] ?? '';
      const given: GivenMeasurement = {
        id: term('measurementID'),
        type: term('measurementType'),
        value: term('measurementValue'),
        unit: term('measurementUnit'),
        accuracy: term('measurementAccuracy'),
        method: term('measurementMethod'),
        remarks: term('measurementRemarks'),
      };
      const others = measured.get(of);
      if (others) others.push(given);
      else measured.set(of, [given]);
    }
  }
  return {
    ok: true,
    unread,
    occurrences: rows.map(({ line, cells }) => {
      const terms = termsOf(core, cells);
      const key = cells[Number(core.id?.index ?? 0)] ?? '';
      return { line, id: terms[`${DWC}occurrenceID`] ?? key, terms, measured: measured.get(key) ?? [] };
    }),
  };
}
