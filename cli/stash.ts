import { KNOWN, SHADES } from '../src/catalogue';
import type { Dressing } from '../src/core/dressings';
import { headFault, readStash, readTable, tableOf, type StashRead } from '../src/core/exchange';
import { idsHeld, withHeld, type Held, type Material } from '../src/core/materials';
import { cellFault, inputFault, type Flag } from './args';
import { ownLibrary } from './own-dressings';
import type { Reader } from './read';

export const STASH_FLAG: Flag = {
  name: 'stash',
  takes: 'one',
  value: 'FILE',
  help: 'materials to hand: a table or JSON with a column material, and shade, hex, amount, low, place, note where they are known',
};

/** A file of a stash as it was read, its faults beside their cells; null where nothing of it can be read. */
export function readStashFile(read: Reader, field: string, path: string): StashRead | null {
  const text = read.file(field, path);
  if (text === null) return null;
  const fault = headFault(text.slice(0, 4096));
  // A list of names alone is a stash: nothing but its column has to be there.
  if (fault && fault.code !== 'file-not-table')
    return read.fault(inputFault(field, fault.code, null, { params: fault.params }));
  const table = /^\uFEFF?\s*[[{]/.test(text) ? tableOf(text) : readTable(text);
  if (table === null || 'newer' in table) return read.fault(inputFault(field, 'file-no-json', null));
  const { materials } = ownLibrary(read);
  const result = readStash(table, { materials, shades: SHADES, functions: KNOWN.functions });
  const whole = result.problems.find(({ line }) => line === null || line === 1);
  if (whole && result.rows.length === 0 && whole.code === 'column-missing') return read.fault(cellFault(field, whole));
  return result;
}

const drawers = new WeakMap<Reader, Held[] | null>();

/** What `--stash` says is to hand, with its shades; null when none was given. Read once a command. */
export function heldFrom(read: Reader): Held[] | null {
  if (!drawers.has(read)) drawers.set(read, readHeld(read));
  return drawers.get(read)!;
}

function readHeld(read: Reader): Held[] | null {
  const path = read.one('stash');
  if (path === null) return null;
  const result = readStashFile(read, 'stash', path);
  if (result === null) return null;
  for (const problem of result.problems) read.fault(cellFault('stash', problem));
  return result.rows.filter(({ amount }) => amount !== 0).map(({ held }) => held);
}

/** Ids of the materials and shades that `--stash` says are to hand; null when none was given. */
export function stashFrom(read: Reader): ReadonlySet<string> | null {
  const held = heldFrom(read);
  return held && idsHeld(held);
}

/** Dressings and materials, those of `--stash` in the shades that are had. */
export function withStash(read: Reader): { dressings: readonly Dressing[]; materials: readonly Material[] } {
  const { dressings, materials } = ownLibrary(read);
  const held = heldFrom(read);
  return { dressings, materials: held ? withHeld(materials, held) : materials };
}
