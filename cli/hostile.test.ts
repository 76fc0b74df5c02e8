import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { odd } from '../tools/faults/corpus';
import { run } from './run';

const folder = mkdtempSync(join(tmpdir(), 'aubade-hostile-'));
const at = (name: string) => join(folder, name);
const OUT = at('out');
/** Every command that reads a file, with what else it asks for. */
const COMMANDS: readonly (readonly [name: string, args: (file: string) => string[]])[] = [
  ['session', (file) => ['session', '--card', file, '--count', '2']],
  ['journal stats', (file) => ['journal', 'stats', file]],
  ['ride', (file) => ['ride', '--card', file]],
  ['backup check', (file) => ['backup', 'check', file]],
  ['backup show', (file) => ['backup', 'show', file]],
  ['export', (file) => ['export', '--from', file, '--what', 'samples', '--as', 'csv', '--out', OUT]],
  ['dressings check', (file) => ['dressings', 'check', file]],
  ['hooks check', (file) => ['hooks', 'check', file]],
  ['box match', (file) => ['box', 'match', '--box', file, '--order', 'mayfly', '--stage', 'dun', '--length', '8']],
  [
    'match with a drawer',
    (file) => ['match', '--order', 'mayfly', '--stage', 'dun', '--length', '8', '--drawer', file],
  ],
  [
    'match with hooks',
    (file) => ['match', '--order', 'mayfly', '--stage', 'dun', '--length', '8', '--catalogue', file],
  ],
];

test('no file of the corpus is taken by a command that it is not for: each ends with a reason, writes nothing and runs nothing', async () => {
  for (const { name, bytes, good = false } of await odd(new Uint8Array([0x50, 0x4b, 3, 4, 1, 2, 3]), 60_000_000)) {
    if (good) continue;
    const file = at('file');
    writeFileSync(file, bytes);
    for (const [command, args] of COMMANDS) {
      const outcome = await run([...args(file), '--json']);
      const { error, good: rows } = JSON.parse(outcome.stdout) as { error?: { message?: string }; good?: number };
      // A check tells of every row instead of one fault.
      const told = error?.message ?? (rows === 0 ? 'checked' : undefined);
      expect([name, command, outcome.exit, typeof told]).toEqual([name, command, 2, 'string']);
    }
    expect(readdirSync(folder)).toEqual(['file']);
    expect('polluted' in {}).toBe(false);
  }
}, 120_000);
