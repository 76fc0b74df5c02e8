import { joined, Packer } from '@/core/archive';
import { darwinCoreFiles } from '@/core/exchange/darwin-core';
import type { Clocks } from '../clocks';
import { recordsFile } from '../file';
import type { Entities, Kind } from '../kinds';
import type { EventOp } from '../ledger';
import { occurrencesOf } from '../sample/occurrence';
import { csvOf, TABLES, type TableName } from './tables';

/** Forms a collection goes out in; `dwca` is a Darwin Core archive, of samples alone. */
export const FORMS = ['csv', 'json', 'dwca'] as const;
export type Form = (typeof FORMS)[number];

/** What each table is about: the kind of record that its JSON holds. */
export const KIND_OF: Readonly<Record<TableName, Kind>> = {
  samples: 'sample',
  matches: 'match',
  boxes: 'box',
  flies: 'fly',
  'fly-moves': 'fly',
  packets: 'packet',
  'packet-moves': 'packet',
  stash: 'stash',
  'stash-moves': 'stash',
  sessions: 'batch',
  inspections: 'batch',
  waters: 'water',
  outings: 'outing',
  'outing-events': 'outing',
  trials: 'trial',
  hooks: 'model',
  'taped-hooks': 'model',
  materials: 'material',
  dressings: 'dressing',
  groups: 'group',
  guesses: 'eye',
};

const FORM_OF = {
  csv: { end: 'csv', type: 'text/csv' },
  json: { end: 'json', type: 'application/json' },
  dwca: { end: 'zip', type: 'application/zip' },
} as const satisfies Record<Form, { end: string; type: string }>;

export interface CollectionFile {
  name: string;
  type: string;
  /** Rows of a table, records of JSON, occurrences of an archive. */
  rows: number;
  bytes: Uint8Array<ArrayBuffer>;
}

export interface CollectionAsked {
  what: TableName;
  as: Form;
  /** Places as they were noted: an archive tells them in general otherwise. */
  exact: boolean;
}

/** One collection as a file of a form. `made` is the local day of it, `words` what an archive says of itself. */
export function collectionFile(
  { what, as, exact }: CollectionAsked,
  { entities, clocks, events }: { entities: Entities; clocks: ReadonlyMap<string, Clocks>; events: readonly EventOp[] },
  { made, title, abstract }: { made: string; title: string; abstract: string },
): CollectionFile {
  const { end, type } = FORM_OF[as];
  const file = (rows: number, text: string | Uint8Array<ArrayBuffer>): CollectionFile => ({
    name: `aubade-${what}.${end}`,
    type,
    rows,
    bytes: typeof text === 'string' ? new TextEncoder().encode(text) : text,
  });
  if (as === 'csv') {
    const table = TABLES[what](entities, events);
    return file(table.rows.length, csvOf(table));
  }
  if (as === 'json') {
    const kind = KIND_OF[what];
    const keys = Object.keys(entities[kind]).map((id) => `${kind}/${id}`);
    return file(
      keys.length,
      recordsFile(
        entities,
        clocks,
        keys,
        events.filter((op) => op.kind === kind),
      ),
    );
  }
  const occurrences = occurrencesOf(entities);
  const packer = new Packer();
  for (const { path, text } of darwinCoreFiles(occurrences, { title, abstract, made, language: 'en' }, { exact }))
    packer.add(path, new TextEncoder().encode(text));
  return file(occurrences.length, joined(packer.end()));
}
