/**
 * Writes src/catalogue/hooks.csv from the laws of hook-laws.ts: every model follows its law with the small irregularities
 * of real wire (shank ±1.5 %, gape ±2 %), the same at every run. Run once; the CSV is the data.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import makers from '../src/catalogue/makers.json';
import {
  hookMass,
  labelDimensions,
  readSizeLabel,
  referenceEye,
  referenceShank,
  referenceWire,
  reads,
  readsGape,
  scaleLengthOfGape,
  throatOf,
  type XLabelSchool,
} from '../src/core/hooks';
import { MODEL_LAWS } from './hook-laws';

/** A number in −1…1 that depends on nothing but the text. */
function wobble(text: string): number {
  let hash = 2166136261;
  for (const letter of text) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return ((hash >>> 0) / 0xffffffff) * 2 - 1;
}

const WIRE_RATIO = { light: 0.9, standard: 1.02, heavy: 1.17 } as const;
const round = (value: number, digits: number) => Number(value.toFixed(digits));

const rows = MODEL_LAWS.flatMap((law) => {
  const maker = makers.find((item) => item.id === law.maker)!;
  return law.sizes.map((size) => {
    const id = `${law.maker}:${law.model}:${size}`;
    const label = labelDimensions(size, law.xLong, law.xHeavy, maker.xLabel as XLabelSchool)!;
    const shank = round(label.shankMm * law.level * (1 + 0.015 * wobble(`${id}:shank`)), 2);
    const gape = round(label.gapeMm * law.gape * (1 + 0.02 * wobble(`${id}:gape`)), 2);
    const wire = round(
      referenceWire(scaleLengthOfGape(gape)) * WIRE_RATIO[law.wire] * (1 + 0.012 * wobble(`${id}:wire`)),
      3,
    );
    const read = readSizeLabel(size);
    const scaleLength = referenceShank(read.kind === 'number' ? read.n : readsGape(gape));
    const eye = round(referenceEye(scaleLength) * (1 + 0.02 * wobble(`${id}:eye`)), 2);
    const cells = {
      bite_mm: round(throatOf(gape) * (1 + 0.02 * wobble(`${id}:bite`)), 2),
      wire_mm: wire,
      eye_mm: eye,
      mass_mg: round(hookMass(shank, gape, wire, eye) * (1 + 0.02 * wobble(`${id}:mass`)), 1),
    };
    const left = (name: keyof typeof cells) => (law.leaves.includes(name) ? '' : cells[name]);
    return {
      maker: law.maker,
      maker_name: maker.name,
      model: law.model,
      model_name: law.name,
      size,
      bend: law.bend,
      eye: law.eye,
      point: law.point,
      barb: law.barb,
      wire: law.wire,
      x_long: law.xLong,
      x_heavy: law.xHeavy,
      labels_direction: law.maker === 'vantry' ? 'bigger-bigger' : 'bigger-smaller',
      shank_mm: shank,
      gape_mm: gape,
      bite_mm: left('bite_mm'),
      wire_mm: left('wire_mm'),
      eye_mm: left('eye_mm'),
      mass_mg: left('mass_mg'),
      source: 'measured',
    };
  });
});

writeFileSync(join(__dirname, '..', 'src/catalogue/hooks.csv'), `${Papa.unparse(rows, { newline: '\r\n' })}\r\n`);
const shanks = rows.map((row) => row.shank_mm);
process.stdout.write(
  `${rows.length} hooks, ${MODEL_LAWS.length} models, shanks ${Math.min(...shanks)} to ${Math.max(...shanks)} mm; a Ravelin 14 reads ${reads(rows.find((row) => row.maker === 'ravelin' && row.size === '14')!.shank_mm).toFixed(2)}\n`,
);
