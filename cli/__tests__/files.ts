import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { run, type Outcome } from '../run';

/** A folder of this test file's own, for what a command reads and writes. */
export const folder = mkdtempSync(join(tmpdir(), 'aubade-'));

/** A file in it; its path. */
export function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

/** A command that answers at once: every one but those of pictures and PDF. */
export const runNow = (...argv: string[]) => run(argv) as Outcome;

/** The same as JSON. */
export function json(...argv: string[]) {
  const { stdout, exit } = runNow(...argv, '--json');
  return { exit, value: JSON.parse(stdout) };
}
