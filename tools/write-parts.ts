/**
 * After an export: what several parts of the app share is not read before the first page. The bundler puts it into every page as a
 * script; here its address is left in the page instead, and src/features/shell/shared-part.ts fetches it before the first part.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const SHARED = /<script src="([^"]*\/__common-[^"]+\.js)" defer><\/script>/;

export function leaveForLater(page: string): string {
  const shared = SHARED.exec(page);
  if (!shared) throw new Error('The export has no script that the parts share');
  return page.replace(shared[0], '').replace('</head>', `<meta name="shared-part" content="${shared[1]}" /></head>`);
}

if (require.main === module) {
  const page = join(process.argv[2] ?? join(__dirname, '..', 'dist'), 'index.html');
  writeFileSync(page, leaveForLater(readFileSync(page, 'utf8')));
}
