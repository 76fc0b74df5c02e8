import { KNOWN } from '@/catalogue/known-ids';
import type { Catalogue } from '@/core/answer';
import { readDressings, type DressingsRead } from '@/core/exchange/dressings-file';
import { dressingFaults } from '@/core/faults';

/** Dressings of a file, and of how many of them something is wrong; of a great many only the first are looked over. */
export interface DressingsAnswer {
  what: 'dressings';
  read: DressingsRead;
  faulty: number;
  looked: number;
}

/** So many are laid out on hooks to see what is wrong with them: a few seconds' work. */
const LOOKED_OVER = 100;

/** Reads a text of dressings beside the catalogue of who reads it. */
export function readDressingsText(text: string, catalogue: Catalogue): DressingsAnswer {
  const read = readDressings(text, KNOWN, catalogue);
  const beside = { ...catalogue, materials: [...read.materials, ...catalogue.materials] };
  const looked = read.dressings.slice(0, LOOKED_OVER);
  return {
    what: 'dressings',
    read,
    faulty: looked.filter((dressing) => dressingFaults(dressing, beside).length > 0).length,
    looked: looked.length,
  };
}
