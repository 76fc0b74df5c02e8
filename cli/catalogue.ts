import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogueOf, demoRows, hooksFromRows, KNOWN, REFERENCE_ROWS, shippedSchool } from '../src/catalogue';
import type { Catalogue } from '../src/core/answer';
import { readDrawerFile, readHooksFile } from '../src/core/exchange';
import { hookId, type HookRow, type XLabelSchool } from '../src/core/hooks';
import { cellFault } from './args';
import { withStash } from './stash';
import type { Reader } from './read';

/** Read once, however many command lines one program runs. */
let shippedRows: readonly HookRow[] | null = null;
const rowsShipped = () =>
  (shippedRows ??= [
    ...demoRows(readFileSync(join(__dirname, '../src/catalogue/hooks.csv'), 'utf8')),
    ...REFERENCE_ROWS,
  ]);

/** Rows of the shipped hooks and of `--catalogue`. */
export function shippedAndOwn(read: Reader): HookRow[] {
  const own: HookRow[] = read.many('catalogue').flatMap((path) => {
    const text = read.file('catalogue', path);
    if (text === null) return [];
    const result = readHooksFile(text, KNOWN);
    for (const problem of result.problems) read.fault(cellFault('catalogue', problem));
    return result.rows;
  });
  const shipped = read.has('only-catalogue') ? [] : rowsShipped();
  const rows = new Map<string, HookRow>();
  for (const row of [...shipped, ...own]) rows.set(hookId(row.maker, row.model, row.size), row);
  return [...rows.values()];
}

/** Shipped hooks and dressings, and those of `--catalogue` and `--dressings`; the same one twice keeps the later. */
export function catalogueFor(read: Reader, school: XLabelSchool | undefined): Catalogue {
  return {
    ...catalogueOf(hooksFromRows(shippedAndOwn(read), (maker) => school ?? shippedSchool(maker))),
    ...withStash(read),
  };
}

export function ownedFrom(read: Reader): Record<string, number> {
  const path = read.one('drawer');
  if (path === null) return {};
  const text = read.file('drawer', path);
  if (text === null) return {};
  const result = readDrawerFile(text);
  for (const problem of result.problems) read.fault(cellFault('drawer', problem));
  return result.owned;
}
