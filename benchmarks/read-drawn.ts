/** Measures drawn photographs of a folder: their numbers as JSON on stdin, what was found beside what is true on stdout. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { deltaE, labOfHex } from '../src/core/colour';
import { measurePhoto, photographOf, unsureOf, type PhotoInsect, type View } from '../src/core/photo';
import type { ImagePoint } from '../src/core/photo/card';
import { endShown, traceOf, tracedLength } from '../src/core/photo/trace';
import { chance } from '../src/standins/camera/chance';

/** What is true of a drawing, and what was found. Lengths mm. */
export interface Read {
  seed: number;
  kind: string;
  bodyMm: number;
  hex: string;
  view: View;
  /** Front of the head and end of the abdomen, card mm. */
  head: ImagePoint;
  end: ImagePoint;
  found: { bodyMm: number; sdMm: number; confidence: number; deltaE: number | null; said: string } | null;
  /** Where the end is asked for: the length once it was shown, and taps that took. */
  shown?: { bodyMm: number; sdMm: number; taps: number };
  refused?: string;
}

/** How well a finger shows an end, SD in mm; a head that is farther than this from where it is drawn is shown too. */
const TAP_SD_MM = 0.08;
const HEAD_OFF_MM = 0.25;

/** The end as somebody shows it who sees the picture, and the head where the line does not begin at it. */
function shownBy({ head, end, seed }: Pick<Read, 'head' | 'end' | 'seed'>, insect: PhotoInsect): Read['shown'] {
  const dice = chance(seed * 31 + 7);
  const tap = ([x, y]: ImagePoint): ImagePoint => [x + TAP_SD_MM * dice.normal(), y + TAP_SD_MM * dice.normal()];
  const wide = Math.max(...insect.widthsMm);
  const one = endShown(traceOf(insect), 'end', tap(end), wide);
  const off = Math.hypot(one.nodes[0]![0] - head[0], one.nodes[0]![1] - head[1]);
  const two = off > HEAD_OFF_MM ? endShown(one, 'head', tap(head), wide) : one;
  return { ...tracedLength(two, { ...insect, factor: insect.heightFactor }, PX_PER_MM), taps: two === one ? 1 : 2 };
}
/** Pixels of the kept crop to a millimetre. */
const PX_PER_MM = 30;

async function read(folder: string, seed: number): Promise<Read> {
  const truth = JSON.parse(readFileSync(join(folder, `${seed}.json`), 'utf8')) as Omit<Read, 'found'>;
  const { data, info } = await sharp(join(folder, `${seed}.jpg`))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const result = measurePhoto(
    photographOf({ width: info.width, height: info.height, rgba: data }),
    { view: truth.view, surface: 'dry', printedScale: 1 },
    FIELD_CARDS,
  );
  const insect = result.insects[0];
  if (!insect) return { ...truth, found: null, refused: result.refused!.code };
  const belly = insect.regions['abdomen-belly'];
  const asked = unsureOf(insect.bodyMm, insect.error).length > 0;
  return {
    ...truth,
    ...(asked ? { shown: shownBy(truth, insect) } : {}),
    found: {
      bodyMm: insect.bodyMm,
      sdMm: insect.sdMm,
      confidence: insect.confidence,
      deltaE: belly ? deltaE(belly.lab, labOfHex(truth.hex)) : null,
      said: [`n ${result.insects.length}`, ...insect.warnings.map((warning) => warning.code)].join(' '),
    },
  };
}

async function main(): Promise<void> {
  const seeds = JSON.parse(readFileSync(0, 'utf8')) as number[];
  const out: Read[] = [];
  for (const seed of seeds) out.push(await read(process.argv[2]!, seed));
  process.stdout.write(JSON.stringify(out));
}

void main();
