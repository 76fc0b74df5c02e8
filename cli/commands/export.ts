import { writeFileSync } from 'node:fs';
import { Packer } from '../../src/core/archive';
import { darwinCoreFiles } from '../../src/core/exchange/darwin-core';
import {
  noEntities,
  recordsFile,
  foldAll,
  isOwner,
  type Entities,
  type EventTypes,
  type Kind,
  type OwnerKind,
} from '../../src/records';
import { csvOf, readAnyBackup, TABLE_NAMES, TABLES, type Backup, type TableName } from '../../src/records/backup';
import { occurrencesOf } from '../../src/records/sample/occurrence';
import { inputFault } from '../args';
import type { Command } from '../command';
import { backupBytes } from './backup';

const AS = ['csv', 'json', 'dwca'] as const;
/** What each table is about: the kind of record that its JSON holds. */
const KIND_OF: Readonly<Record<TableName, Kind>> = {
  samples: 'sample',
  matches: 'match',
  boxes: 'box',
  flies: 'fly',
  'fly-moves': 'fly',
  packets: 'packet',
  'packet-moves': 'packet',
  hooks: 'model',
  'taped-hooks': 'model',
  materials: 'material',
  dressings: 'dressing',
  groups: 'group',
  guesses: 'eye',
};

/** Records of a backup as they would stand in the app, their ledgers summed. */
function entitiesOf({ carried }: Backup): Entities {
  const entities = noEntities();
  const ledgers = new Map<string, Record<string, EventTypes[OwnerKind]>>();
  for (const { kind, owner, id, on, event } of carried.events) {
    const key = `${kind}/${owner}`;
    const own = ledgers.get(key) ?? {};
    if (on) own[id] = event;
    ledgers.set(key, own);
  }
  for (const { kind, id, data } of carried.records)
    (entities[kind] as Record<string, unknown>)[id] = isOwner(kind)
      ? { ...data, tally: foldAll(kind, ledgers.get(`${kind}/${id}`) ?? {}) }
      : data;
  return entities;
}

export const exportCommand: Command = {
  name: 'export',
  summary: 'one collection of a backup as a table, as JSON, or samples as a Darwin Core archive',
  flags: [
    { name: 'from', takes: 'one', value: 'BACKUP', help: 'the backup, or a file of records or matches' },
    { name: 'what', takes: 'one', value: 'KIND', help: TABLE_NAMES.join(', ') },
    { name: 'as', takes: 'one', value: 'FORM', help: 'csv, json or dwca (samples alone)' },
    { name: 'exact', takes: 'nothing', help: 'dwca: places as they were noted, not in general' },
    { name: 'out', takes: 'one', value: 'PATH', help: 'where to write it' },
  ],
  words: [],
  example: 'aubade export --from aubade-2033-06-01.zip --what samples --as dwca --out samples.zip',
  shape: '{ out, rows }',
  run(read, speech) {
    for (const name of ['from', 'what', 'as', 'out']) read.needed(name);
    const what = read.flagId<TableName>(
      'what',
      TABLE_NAMES.map((id) => ({ id, name: id, alias: [KIND_OF[id]] })),
    );
    const as = read.flagId<(typeof AS)[number]>(
      'as',
      AS.map((id) => ({ id, name: id })),
    );
    if (as === 'dwca' && what !== null && what !== 'samples')
      read.fault(inputFault('as', 'not-one-of', as, { params: { allowed: 'csv, json' }, allowed: ['csv', 'json'] }));
    const [from, out] = [read.one('from'), read.one('out')];
    if (from === null || out === null || what === null || as === null || read.faults.length > 0) return null;
    const bytes = backupBytes(read, 'from', from);
    if (bytes === null) return null;
    const result = readAnyBackup(bytes);
    if (!result.ok) return read.fault(inputFault('from', result.fault.code, from, { params: result.fault.params }));
    const { backup } = result;
    const entities = entitiesOf(backup);
    const kind = KIND_OF[what];
    let rows: number;
    let made: string | Uint8Array;
    if (as === 'csv') {
      const table = TABLES[what](entities, backup.carried.events);
      rows = table.rows.length;
      made = csvOf(table);
    } else if (as === 'json') {
      const keys = Object.keys(entities[kind]).map((id) => `${kind}/${id}`);
      rows = keys.length;
      const clocks = new Map(
        backup.carried.records.flatMap((item) => (item.clocks ? [[`${item.kind}/${item.id}`, item.clocks]] : [])),
      );
      made = recordsFile(
        entities,
        clocks,
        keys,
        backup.carried.events.filter((op) => op.kind === kind),
      );
    } else {
      const occurrences = occurrencesOf(entities);
      rows = occurrences.length;
      const packer = new Packer();
      const words = {
        title: speech.t('darwin-core.title'),
        abstract: speech.t('darwin-core.abstract'),
        made: (
          backup.manifest?.made ??
          occurrences
            .map(({ when }) => when)
            .sort()
            .at(-1) ??
          ''
        ).slice(0, 10),
        language: 'en',
      };
      for (const { path, text } of darwinCoreFiles(occurrences, words, { exact: read.has('exact') }))
        packer.add(path, new TextEncoder().encode(text));
      made = new Uint8Array(Buffer.concat(packer.end()));
    }
    try {
      writeFileSync(out, made);
    } catch {
      return read.fault(inputFault('out', 'file-unwritten', out));
    }
    return { json: { out, rows }, text: speech.t('cli.exported', { out, rows }), exit: 0 };
  },
};
