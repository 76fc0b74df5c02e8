import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogueOf, demoRows, hooksFromRows, REFERENCE_ROWS, shippedSchool } from '../src/catalogue';
import type { Sample } from '../src/core/answer';

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
