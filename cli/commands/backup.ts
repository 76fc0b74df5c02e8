import { readFileSync, statSync } from 'node:fs';
import { ZIP_LIMITS } from '../../src/core/archive';
import { readAnyBackup, readBackup, type BackupRead } from '../../src/records/backup';
import type { Speech } from '../../src/speech';
import { inputFault } from '../args';
import type { Answered, Command } from '../command';
import type { Reader } from '../read';

const VERBS = ['check', 'show'] as const;

/** The bytes of a backup: it may be larger than a table. Null, with the fault noted, when it cannot be read. */
export function backupBytes(read: Reader, field: string, path: string): Uint8Array | null {
  try {
    if (path !== '-' && statSync(path).size > ZIP_LIMITS.packed)
      return read.fault(inputFault(field, 'too-large', path));
    return new Uint8Array(readFileSync(path === '-' ? 0 : path));
  } catch {
    return read.fault(inputFault(field, 'file-missing', path));
  }
}

function show(read: Reader, path: string, bytes: Uint8Array): Answered | null {
  const result = readAnyBackup(bytes);
  if (!result.ok) return read.fault(inputFault('file', result.fault.code, path, { params: result.fault.params }));
  const { manifest, carried } = result.backup;
  const kinds: Record<string, number> = {};
  for (const { kind } of carried.records) kinds[kind] = (kinds[kind] ?? 0) + 1;
  return {
    json: { version: manifest?.version ?? null, made: manifest?.made ?? null, kinds, bytes: bytes.length },
    text: [
      `${path}: ${manifest ? `version ${manifest.version}, made ${manifest.made}, ` : ''}${bytes.length} bytes`,
      ...Object.entries(kinds).map(([kind, count]) => `  ${kind} ${count}`),
    ].join('\n'),
    exit: 0,
  };
}

function check(path: string, bytes: Uint8Array, speech: Speech): Answered {
  const result: BackupRead = readBackup(bytes);
  const rows = result.ok ? result.backup.carried.records.length : 0;
  const problems = result.ok
    ? []
    : [
        {
          line: null,
          column: null,
          record: typeof result.fault.params.what === 'string' ? result.fault.params.what || null : null,
          rule: result.fault.code,
          message: speech.say(result.fault, 'fault'),
          got: null,
          accepted: null,
        },
      ];
  return {
    json: { file: path, rows, good: rows, bad: problems.length, problems },
    text: result.ok ? `${path}: whole, ${rows} records` : `${path}: ${problems[0]!.message}`,
    exit: result.ok ? 0 : 2,
  };
}

export const backupCommand: Command = {
  name: 'backup',
  summary: 'whether a backup is whole, and what is in it',
  flags: [],
  words: ['check|show', 'FILE'],
  example: 'aubade backup show aubade-2033-06-01.zip',
  shape: 'check: { file, rows, good, bad, problems[] } | show: { version, made, kinds: { kind: count }, bytes }',
  run(read, speech) {
    const verb = read.id<(typeof VERBS)[number]>(
      'command',
      read.words[0] ?? '',
      VERBS.map((id) => ({ id, name: id })),
    );
    const path = read.words[1] ?? null;
    if (path === null) read.fault(inputFault('file', 'flag-missing', null));
    if (verb === null || path === null) return null;
    const bytes = backupBytes(read, 'file', path);
    if (bytes === null || read.faults.length > 0) return null;
    return verb === 'show' ? show(read, path, bytes) : check(path, bytes, speech);
  },
};
