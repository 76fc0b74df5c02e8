/** Measures drawn photographs of a folder: their numbers as JSON on stdin, what was found beside what is true on stdout. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { deltaE, labOfHex } from '../src/core/colour';
import { measurePhoto, photographOf, type View } from '../src/core/photo';

/** What is true of a drawing, and what was found. Lengths mm. */
export interface Read {
  seed: number;
  kind: string;
  bodyMm: number;
  hex: string;
  view: View;
  found: { bodyMm: number; sdMm: number; confidence: number; deltaE: number | null; said: string } | null;
  refused?: string;
}

async function read(folder: string, seed: number): Promise<Read> {
  const truth = JSON.parse(readFileSync(join(folder, `${seed}.json`), 'utf8')) as Omit<Read, 'found'>;
  const { data, info } = await sharp(join(folder, `${seed}.jpg`)).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const result = measurePhoto(photographOf({ width: info.width, height: info.height, rgba: data }), { view: truth.view, surface: 'dry', printedScale: 1 }, FIELD_CARDS);
  const insect = result.insects[0];
  if (!insect) return { ...truth, found: null, refused: result.refused!.code };
  const belly = insect.regions['abdomen-belly'];
  return { ...truth, found: { bodyMm: insect.bodyMm, sdMm: insect.sdMm, confidence: insect.confidence, deltaE: belly ? deltaE(belly.lab, labOfHex(truth.hex)) : null, said: [`n ${result.insects.length}`, ...insect.warnings.map((warning) => warning.code)].join(' ') } };
}

async function main(): Promise<void> {
  const seeds = JSON.parse(readFileSync(0, 'utf8')) as number[];
  const out: Read[] = [];
  for (const seed of seeds) out.push(await read(process.argv[2]!, seed));
  process.stdout.write(JSON.stringify(out));
}

void main();
