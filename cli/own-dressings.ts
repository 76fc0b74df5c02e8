import { DRESSINGS, KNOWN, MATERIALS, WORKS } from '../src/catalogue';
import type { Dressing } from '../src/core/dressings';
import type { Material } from '../src/core/materials';
import { readDressings } from '../src/core/exchange';
import { inputFault, type Flag } from './args';
import type { Reader } from './read';

/** The flag that adds a tier's own dressings to the shipped ones. */
export const DRESSINGS_FLAG: Flag = {
  name: 'dressings',
  takes: 'many',
  value: 'FILE',
  help: 'own dressings added to the shipped ones',
};

const libraries = new WeakMap<Reader, Library>();

interface Library {
  dressings: readonly Dressing[];
  materials: readonly Material[];
}

/** Shipped dressings and those of `--dressings`; the same id twice keeps the later. */
export function libraryFor(read: Reader): readonly Dressing[] {
  return ownLibrary(read).dressings;
}

/** Dressings, and the materials that these take: those shipped and those that came with `--dressings`. */
export function ownLibrary(read: Reader): Library {
  const known = libraries.get(read);
  if (known) return known;
  const materials = new Map(MATERIALS.map((material) => [material.id, material]));
  const byId = new Map(DRESSINGS.map((dressing) => [dressing.id, dressing]));
  for (const path of read.many('dressings')) {
    const text = read.file('dressings', path);
    if (text === null) continue;
    const { dressings, materials: brought, problems, fault, version } = readDressings(text, KNOWN, WORKS);
    if (fault) read.fault(inputFault('dressings', fault, null, { params: { version } }));
    for (const { record, path: column, message } of problems)
      read.fault(inputFault('dressings', 'dressing-misshapen', record, { params: { record, what: message }, column }));
    for (const dressing of dressings) byId.set(dressing.id, dressing);
    for (const material of brought) materials.set(material.id, material);
  }
  const library: Library = { dressings: [...byId.values()], materials: [...materials.values()] };
  libraries.set(read, library);
  return library;
}
