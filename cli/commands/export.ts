import { writeFileSync } from 'node:fs';
import {
  collectionFile,
  FORMS,
  KIND_OF,
  readAnyBackup,
  TABLE_NAMES,
  type Form,
  type TableName,
} from '../../src/records/backup';
import { inputFault } from '../args';
import type { Command } from '../command';
import { entitiesOf } from '../entities';
import { backupBytes } from './backup';

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
    const as = read.flagId<Form>(
      'as',
      FORMS.map((id) => ({ id, name: id })),
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
    const clocks = new Map(
      backup.carried.records.flatMap((item) => (item.clocks ? [[`${item.kind}/${item.id}`, item.clocks]] : [])),
    );
    const latest = Object.values(entities.sample)
      .map(({ when }) => when)
      .sort()
      .at(-1);
    const { rows, bytes: made } = collectionFile(
      { what, as, exact: read.has('exact') },
      { entities, clocks, events: backup.carried.events },
      {
        made: (backup.manifest?.made ?? latest ?? '').slice(0, 10),
        title: speech.t('darwin-core.title'),
        abstract: speech.t('darwin-core.abstract'),
      },
    );
    try {
      writeFileSync(out, made);
    } catch {
      return read.fault(inputFault('out', 'file-unwritten', out));
    }
    return { json: { out, rows }, text: speech.t('cli.exported', { out, rows }), exit: 0 };
  },
};
