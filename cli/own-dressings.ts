import { DRESSINGS, KNOWN, WORKS } from '../src/catalogue';
import type { Dressing } from '../src/core/dressings';
import { readDressings } from '../src/core/exchange';
import { inputFault, type Flag } from './args';
import type { Reader } from './read';

/** The flag that adds a tier's own dressings to the shipped ones. */
export const DRESSINGS_FLAG: Flag = { name: 'dressings', takes: 'many', value: 'FILE', help: 'own dressings added to the shipped ones' };

const libraries = new WeakMap<Reader, readonly Dressing[]>();

/** Shipped dressings and those of `--dressings`; the same id twice keeps the later. */
export function libraryFor(read: Reader): readonly Dressing[] {
  const known = libraries.get(read);
  if (known) return known;
  const byId = new Map(DRESSINGS.map((dressing) => [dressing.id, dressing]));
  for (const path of read.many('dressings')) {
    const text = read.file('dressings', path);
    if (text === null) continue;
    const { dressings, problems, fault, version } = readDressings(text, KNOWN, WORKS);
    if (fault) read.fault(inputFault('dressings', fault, null, { params: { version } }));
    for (const { record, path: column, message } of problems) read.fault(inputFault('dressings', 'dressing-misshapen', record, { params: { record, what: message }, column }));
    for (const dressing of dressings) byId.set(dressing.id, dressing);
  }
  const library = [...byId.values()];
  libraries.set(read, library);
  return library;
}
