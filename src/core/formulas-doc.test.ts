import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { REFERENCE_ONLY } from '../../tools/test-catalogue';
import {
  beadMass,
  boreNeeded,
  carry,
  hookLength,
  hookMass,
  labelDimensions,
  landmarks,
  pathFactor,
  reads,
  readsGape,
  referenceEye,
  referenceGape,
  referenceShank,
  referenceWire,
} from './hooks';
import { blendPower, blendReflectance } from './colour/blend';
import { lengthStats } from './naturals';
import { fliesToCarry } from './numbers';
import { threadDiameter, woundCut } from './tying';

const at14 = { shankMm: 7, gapeMm: referenceGape(7), eyeMm: referenceEye(7), wireMm: referenceWire(7) };
const dun = REFERENCE_ONLY.styles.find((style) => style.id === 'upright-dun')!;
const three = lengthStats([8.1, 8.4, 7.9], 'typed', 0.02);
const carryOf = (n: number) =>
  carry(dun, {
    shankMm: referenceShank(n),
    eyeMm: referenceEye(referenceShank(n)),
    bend: 'round',
    pathFactor: pathFactor(dun, 'round')!,
    beadMm: 0,
    seatMm: 0,
    reading: 'default',
  });
const long = (school: 'number' | 'catalogue-step') => labelDimensions('12', 2, 0, school)!.shankMm;

/** What each row of the table in docs/formulas.md names, computed. */
const COMPUTED: Record<string, () => number> = {
  'carry 7.2 at 0.1': () => fliesToCarry({ hours: 7.2, rate: 1, risk: 0.1 }),
  'carry 1.5 at 0.05': () => fliesToCarry({ hours: 1.5, rate: 1, risk: 0.05 }),
  'carry 25 at 0.01': () => fliesToCarry({ hours: 25, rate: 1, risk: 0.01 }),
  'carry 0.1 at 0.2': () => fliesToCarry({ hours: 0.1, rate: 1, risk: 0.2 }),
  'f of 0.6': () => blendPower(0.6),
  'f of 0.1': () => blendPower(0.1),
  '0.6 and 0.1 half and half': () => blendReflectance((blendPower(0.6) + blendPower(0.1)) / 2),
  'L(8)': () => referenceShank(8),
  'L(12)': () => referenceShank(12),
  'L(16)': () => referenceShank(16),
  'L(20)': () => referenceShank(20),
  'L(1/0)': () => referenceShank(0),
  'reads(7.6)': () => reads(7.6),
  'reads(8.2)': () => reads(8.2),
  'wire of 14': () => at14.wireMm,
  'eye of 14': () => at14.eyeMm,
  'gape of 14': () => at14.gapeMm,
  'gape 5.0 reads': () => readsGape(5),
  'mass of 14': () => hookMass(7, at14.gapeMm, at14.wireMm, at14.eyeMm),
  'se of 8.1 8.4 7.9 typed dun': () => three.seMm,
  'hatch SD of the same': () => three.hatchSdMm,
  'carry of 14 straight': () => carryOf(14),
  'carry of 12 straight': () => carryOf(12),
  'hook point of 14': () => landmarks({ ...at14, pathMm: 7, behindBeadMm: 0 })['hook-point'],
  'H of 14': () => hookLength(7, at14.gapeMm, at14.wireMm),
  '12, 2X long, number': () => long('number'),
  '12, 2X long, catalogue step': () => long('catalogue-step'),
  'bore 2.4 on 14 drilled': () => boreNeeded(2.4, 'drilled', at14.gapeMm, at14.wireMm, false),
  'tungsten 2.8 drilled': () => beadMass(2.8, 'tungsten', 'drilled'),
  'nylon 70': () => threadDiameter(70, 'nylon'),
  '5 turns, D 1.6, pitch 0.9': () => woundCut(5, 1.6, 0.9),
};

const doc = readFileSync(join(__dirname, '../../docs/formulas.md'), 'utf8');
const rows = [...doc.slice(doc.indexOf('## Golden figures')).matchAll(/^\| \d+ \| (.+?) \| ([\d.]+) \|$/gm)].map(
  (match) => [match[1]!, match[2]!] as const,
);

test('every golden figure of docs/formulas.md has its computation', () =>
  expect(rows.map(([name]) => name).sort()).toEqual(Object.keys(COMPUTED).sort()));
test.each(rows)('%s is %s', (name, figure) => {
  const digits = figure.replace('.', '').replace(/^0+/, '').length;
  expect(Number(COMPUTED[name]!().toPrecision(digits))).toBe(Number(figure));
});
