import { readTable, slug } from '../src/core/exchange';
import { inputFault, type Flag } from './args';
import { ownLibrary } from './own-dressings';
import type { Reader } from './read';

export const STASH_FLAG: Flag = {
  name: 'stash',
  takes: 'one',
  value: 'FILE',
  help: 'materials to hand: a CSV with a column material',
};

/** Materials to hand from `--stash`: a CSV with a `material` column of ids or names. Null when none was given. */
export function stashFrom(read: Reader): ReadonlySet<string> | null {
  const path = read.one('stash');
  if (path === null) return null;
  const text = read.file('stash', path);
  if (text === null) return null;
  const table = readTable(text);
  if (!table.headings.includes('material')) {
    read.fault(
      inputFault('stash', 'column-missing', null, { params: { column: 'material' }, line: 1, column: 'material' }),
    );
    return null;
  }
  const { materials } = ownLibrary(read);
  const have = new Set<string>();
  for (const { line, cells } of table.rows) {
    const wanted = cells.material ?? '';
    const found = materials.find(
      (material) => material.id === slug(wanted) || material.name.toLowerCase() === wanted.toLowerCase(),
    );
    if (found) have.add(found.id);
    else
      read.fault(
        inputFault('stash', 'cell-not-one-of', wanted, {
          params: {
            column: 'material',
            allowed: read.nearest(
              slug(wanted),
              materials.map((material) => material.id),
            ),
          },
          line,
          column: 'material',
        }),
      );
  }
  return have;
}
