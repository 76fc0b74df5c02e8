/** What a browser reads before it can draw the first page, packed as it is sent; ends with 1 where it is more than the page may cost. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const MOST_BYTES = 620_000;

export function scriptsOf(page: string): string[] {
  return [...page.matchAll(/<script[^>]* src="([^"]+)"/g)].map((found) => found[1]!);
}

if (require.main === module) {
  const dist = process.argv[2] ?? join(__dirname, '..', 'dist');
  const scripts = scriptsOf(readFileSync(join(dist, 'index.html'), 'utf8'));
  const bytes = scripts.reduce((sum, script) => sum + gzipSync(readFileSync(join(dist, script))).length, 0);
  process.stdout.write(`first page: ${(bytes / 1000).toFixed(0)} kB of script, at most ${MOST_BYTES / 1000}\n`);
  if (scripts.length === 0 || bytes > MOST_BYTES) process.exit(1);
}
