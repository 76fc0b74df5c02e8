import { KNOWN } from '@/catalogue/known-ids';
import type { Catalogue } from '@/core/answer';
import { readDressings, type DressingsRead } from '@/core/exchange/dressings-file';
import { dressingFaults } from '@/core/faults';
import { readFile, type FileRead, type FileReading } from '@/records/sheets';

/** Dressings of a file, and of how many of them something is wrong; of a great many only the first are looked over. */
export interface DressingsAnswer {
  what: 'dressings';
  read: DressingsRead;
  faulty: number;
  looked: number;
}

/** What a file is, as far as it was read. */
export type FileAnswer = FileRead | DressingsAnswer;

/** So many are laid out on hooks to see what is wrong with them: a few seconds' work. */
const LOOKED_OVER = 100;

/** Reads a file of any kind; its dressings are worked out beside the catalogue of who reads it, once that is handed over. */
export function answerOf(
  bytes: Uint8Array,
  how: FileReading,
  catalogue: Catalogue | null,
  progress?: (done: number) => void,
): FileAnswer {
  const found = readFile(bytes, how, progress);
  if (found.what !== 'dressings-text' || !catalogue) return found;
  const read = readDressings(found.text, KNOWN, catalogue);
  const beside = { ...catalogue, materials: [...read.materials, ...catalogue.materials] };
  const looked = read.dressings.slice(0, LOOKED_OVER);
  return {
    what: 'dressings',
    read,
    faulty: looked.filter((dressing) => dressingFaults(dressing, beside).length > 0).length,
    looked: looked.length,
  };
}
