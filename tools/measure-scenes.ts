/** Takes and measures simulated photographs: scenes as JSON on stdin, what was measured and what is true on stdout. For tests and benchmarks. */
import { readFileSync } from 'node:fs';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { measurePhoto, photographOf, type PhotoAsked, type PhotoMeasure } from '../src/core/photo';
import { takePhoto, type InsectTruth, type Scene } from '../src/standins/camera';

export interface Measured extends PhotoMeasure {
  truths: InsectTruth[];
}

const ASKED: PhotoAsked = { view: 'belly', surface: 'dry', printedScale: 1 };

const wanted = JSON.parse(readFileSync(0, 'utf8')) as { scene: Scene; asked?: Partial<PhotoAsked> }[];
const results = wanted.map(({ scene, asked }): Measured => {
  const { photo, truths } = takePhoto(scene, FIELD_CARDS);
  return { ...measurePhoto(photographOf(photo), { ...ASKED, ...asked }, FIELD_CARDS), truths };
});
process.stdout.write(JSON.stringify(results));
