import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogueOf, demoRows, DRESSINGS, hooksFromRows, REFERENCE_ROWS, shippedSchool } from '../src/catalogue';
import { cardFor, NO_CHOICES, type Sample } from '../src/core/answer';
import type { Card } from '../src/core/tying';

const csv = () => readFileSync(join(__dirname, '../src/catalogue/hooks.csv'), 'utf8');

/** The shipped catalogue, for tests in Node. */
export const SHIPPED = catalogueOf(hooksFromRows([...demoRows(csv()), ...REFERENCE_ROWS], shippedSchool));

/** Only the maker-less range. */
export const REFERENCE_ONLY = catalogueOf(hooksFromRows(REFERENCE_ROWS, shippedSchool));

/** A sample with what a test says of it. */
export function sampleOf(stage: Sample['stage'], more: Partial<Sample> = {}): Sample {
  return {
    stage,
    lengthsMm: [8.2],
    overallMm: null,
    caseMm: null,
    widthMm: null,
    method: 'typed',
    sex: null,
    colours: {},
    surface: 'dry',
    water: 'slow',
    ...more,
  };
}

/** The card of a shipped dressing on a plain dry 14, for tests of what is made of a card. */
export function cardOn14(id: string): Card {
  return cardFor({
    dressing: DRESSINGS.find((item) => item.id === id)!,
    hook: SHIPPED.hooks.find((item) => item.id === 'reference:standard-dry:14')!,
    sample: null,
    choices: NO_CHOICES,
    catalogue: SHIPPED,
    count: null,
  });
}
