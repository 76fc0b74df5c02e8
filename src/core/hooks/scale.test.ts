import fc from 'fast-check';
import { beadMass, beadRange, boreNeeded, usualBead, woundMass } from './bead';
import { hookLength, landmarks } from './landmarks';
import { labelDimensions } from './label-dimensions';
import {
  hookMass,
  reads,
  readsGape,
  referenceEye,
  referenceEyeHole,
  referenceGape,
  referenceShank,
  referenceWire,
  throatOf,
  wireClass,
} from './scale';
import { readSizeLabel, sizeLabelOf } from './size-label';

describe('reference scale: golden figures of formulas §1', () => {
  test.each([
    [8, 11.62],
    [12, 8.28833],
    [16, 5.91193],
    [20, 4.21688],
    [0, 22.8392],
  ])('number %s', (n, mm) => expect(referenceShank(n)).toBeCloseTo(mm, 4));
  test.each([
    [7.6, 13.0264],
    [8.2, 12.1268],
  ])('%s mm reads', (mm, n) => expect(reads(mm)).toBeCloseTo(n, 4));
  test('a 14 and a 20', () => {
    expect(referenceWire(7)).toBeCloseTo(0.405143, 6);
    expect(referenceEyeHole(7)).toBeCloseTo(0.60223, 6);
    expect(referenceEye(7)).toBeCloseTo(1.41252, 5);
    expect(referenceGape(7)).toBeCloseTo(4.294, 4);
    expect(referenceWire(referenceShank(20))).toBeCloseTo(0.288494, 6);
    expect(referenceEye(referenceShank(20))).toBeCloseTo(1.01019, 5);
    expect(referenceGape(referenceShank(20))).toBeCloseTo(2.76293, 5);
    expect(readsGape(5)).toBeCloseTo(11.9287, 4);
    expect(hookMass(7, referenceGape(7), referenceWire(7), referenceEye(7))).toBeCloseTo(20.459, 3);
  });
  test('reading inverts the scale', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 32, noNaN: true }), (n) =>
        expect(reads(referenceShank(n))).toBeCloseTo(n, 9),
      ),
    );
    fc.assert(
      fc.property(fc.double({ min: -5, max: 32, noNaN: true }), (n) =>
        expect(readsGape(referenceGape(referenceShank(n)))).toBeCloseTo(n, 9),
      ),
    );
  });
  test('wire classes against the gape reading', () => {
    expect(wireClass(0.95 * 0.405143, 4.294)).toBe('light');
    expect(wireClass(0.97 * 0.405143, 4.294)).toBe('standard');
    expect(wireClass(1.08 * 0.405143, 4.294)).toBe('standard');
    expect(wireClass(1.1 * 0.405143, 4.294)).toBe('heavy');
  });
});

describe('labels', () => {
  test.each([
    ['14', { kind: 'number', n: 14 }],
    ['1/0', { kind: 'number', n: 0 }],
    ['2/0', { kind: 'number', n: -1 }],
    ['V45', { kind: 'gape', gapeMm: 4.5 }],
    ['small', { kind: 'text' }],
  ])('%s', (label, read) => expect(readSizeLabel(label)).toEqual(read));
  test('whole numbers back to labels', () =>
    expect([14, 1, 0, -1].map(sizeLabelOf)).toEqual(['14', '1', '1/0', '2/0']));
  test('12, 2X long under both schools: golden', () => {
    expect(labelDimensions('12', 2, 0, 'number')!.shankMm).toBeCloseTo(9.81377, 5);
    expect(labelDimensions('12', 2, 0, 'catalogue-step')!.shankMm).toBeCloseTo(11.62, 4);
  });
  test('the X changes the shank, never gape or eye', () => {
    const plain = labelDimensions('12', 0, 0, 'number')!;
    const long = labelDimensions('12', 3, 1, 'number')!;
    expect(long.gapeMm).toBe(plain.gapeMm);
    expect(long.eyeMm).toBe(plain.eyeMm);
    expect(long.wireMm / plain.wireMm).toBeCloseTo(1.058, 9);
  });
  test('a gape code is read as gape', () => expect(labelDimensions('V45', 0, 0, 'number')!.gapeMm).toBe(4.5));
});

describe('stations', () => {
  const marks = landmarks({
    shankMm: 7,
    gapeMm: referenceGape(7),
    eyeMm: referenceEye(7),
    pathMm: 8.4,
    behindBeadMm: 2.4,
  });
  test('golden: over the point, outside of the bend', () => {
    expect(marks['hook-point']).toBeCloseTo(5.2824, 4);
    expect(hookLength(7, referenceGape(7), referenceWire(7))).toBeCloseTo(9.55214, 5);
  });
  test('they lie in order from the eye', () => {
    expect(marks['behind-eye']).toBe(0);
    expect(marks['one-eye'] * 2).toBeCloseTo(marks['two-eyes']);
    expect(marks.barb).toBeGreaterThan(marks['hook-point']);
    expect(marks.barb).toBeLessThanOrEqual(marks['bend-start']);
    expect(marks['into-bend']).toBe(8.4);
    expect(marks['behind-bead']).toBe(2.4);
  });
});

describe('beads and weight: golden figures of formulas §7', () => {
  const [gape, wire] = [referenceGape(7), referenceWire(7)];
  test.each([
    ['drilled', 0.697434],
    ['countersunk', 0.515716],
    ['slotted', 0.455143],
  ] as const)('bore of a %s 2.4', (kind, bore) =>
    expect(boreNeeded(2.4, kind, gape, wire, false)).toBeCloseTo(bore, 5),
  );
  test('a barb left up needs half a wire more', () =>
    expect(boreNeeded(2.4, 'slotted', gape, wire, true) - boreNeeded(2.4, 'slotted', gape, wire, false)).toBeCloseTo(
      wire / 2,
      9,
    ));
  test('masses', () => {
    expect(beadMass(2.8, 'tungsten', 'drilled')).toBeCloseTo(156.319, 3);
    expect(woundMass(7, 0.5, 0.4, 'lead')).toBeCloseTo(43.9136, 4);
  });
  test('the usual bead is the stocked one nearest its share, more on a jig', () => {
    expect(usualBead(4.294, 'round')).toBe(2.4);
    expect(usualBead(4.9, 'jig')).toBe(2.8);
    expect(beadRange(4, 'jig')).toEqual([1.8, 2.4, 3]);
  });
  test('throat is nine tenths of the gape', () => expect(throatOf(5)).toBe(4.5));
});
