import fc from 'fast-check';
import { STYLES } from '@/catalogue';
import type { Source } from '@/catalogue/ids';
import { NUMBER_STEP } from '../constants';
import { beadPlace, carry, eyeShare, pathFactor, pinnedPathFactor, raftLength, room, target } from './carry';
import { modelSdSteps, rungBounds, rungProbabilities } from './probability';
import { referenceEye, referenceGape, referenceShank, referenceWire, reads, stepsBetween } from './scale';
import { barbAllowed, gapeClear, suit } from './suit';

const style = (id: string) => STYLES.find((item) => item.id === id)!;
const reference = (n: number, bend: 'round' | 'curved-shank' | 'jig' = 'round', beadMm = 0) => {
  const shankMm = referenceShank(n);
  return { shankMm, eyeMm: referenceEye(shankMm), bend, pathFactor: 1, beadMm, seatMm: 0, reading: 'default' as const };
};
const mean = (8.1 + 8.4 + 7.9) / 3;

describe('carry: golden figures of formulas §3', () => {
  const dun = style('upright-dun');
  test.each([
    [12, 9.07809],
    [14, 7.70626],
  ])('straight %s', (n, mm) => expect(carry(dun, reference(n))).toBeCloseTo(mm, 5));
  test('against the mean of three', () => {
    expect(stepsBetween(carry(dun, reference(12)), mean)).toBeCloseTo(1.30098, 4);
    expect(stepsBetween(carry(dun, reference(14)), mean)).toBeCloseTo(-0.638554, 5);
  });
  test('a curved shank at W 1.20', () =>
    expect(carry(style('low-emerger'), { ...reference(14, 'curved-shank'), pathFactor: 1.2 })).toBeCloseTo(8.75313, 5));
  test('a jig with a 2.8 bead', () => expect(carry(style('jig-nymph'), reference(14, 'jig', 2.8))).toBeCloseTo(8.4, 9));
  test('an 8 mm dun wants this shank', () => {
    const wanted = 7.27548;
    expect(carry(dun, { ...reference(14), shankMm: wanted, eyeMm: referenceEye(wanted) })).toBeCloseTo(8, 2);
    expect(reads(wanted)).toBeCloseTo(13.543, 3);
  });
  test('offset one packet up, and a crane fly at 0.40', () => {
    expect(target(dun, mean, 1)).toBeCloseTo(9.63025, 5);
    expect(target(style('detached-body'), 20, 0)).toBeCloseTo(8, 9);
  });
  test('schools of the eye', () => {
    expect(eyeShare(dun, 'round', 'as-measured')).toBe(0);
    expect(eyeShare(dun, 'round', 'as-it-looks')).toBe(1);
    expect(eyeShare(dun, 'curved-shank', 'default')).toBe(0.25);
    expect(eyeShare(style('jig-nymph'), 'jig', 'default')).toBe(0);
  });
  test('a bend the style is not meant for is left out, and pinned takes the column to its left', () => {
    expect(pathFactor(dun, 'curved-shank')).toBeNull();
    expect(pinnedPathFactor(style('post-dun'), 'continuous-curve')).toEqual({ factor: 1.12, borrowed: true });
    expect(pathFactor(style('jig-nymph'), 'jig')).toBe(1);
  });
  test('room is the path less bead and reserve', () =>
    expect(
      room(style('post-dun'), { shankMm: 7, eyeMm: 1.4, bend: 'round', pathFactor: 1.04, beadMm: 2, seatMm: 0 }),
    ).toBeCloseTo(1.04 * 7 - 2 - 1.5 * 1.4, 9));
  test('on a jig half the bead stands on the neck: carry counts it, room and the bead’s rear face do not', () => {
    const jig = { ...reference(14, 'jig', 2.8) };
    expect(beadPlace(jig)).toEqual({ frontMm: -1.4, rearMm: 1.4 });
    expect(room(style('jig-nymph'), jig)).toBeCloseTo(7 - 1.4, 9);
    expect(room(style('jig-pupa'), { ...jig, pathFactor: 1.04 })).toBeCloseTo(1.04 * 7 - 1.4 - jig.eyeMm, 9);
  });
  test('set back one eye it takes that eye of the room, and on a jig stands less far out in front', () => {
    const back = { ...reference(14, 'round', 2.4), seatMm: referenceEye(7) };
    expect(beadPlace(back)).toEqual({ frontMm: back.eyeMm, rearMm: back.eyeMm + 2.4 });
    expect(room(style('bead-nymph'), back)).toBeCloseTo(7 - 2.4 - back.eyeMm - 0.25 * back.eyeMm, 9);
    expect(carry(style('bead-nymph'), back)).toBeCloseTo(carry(style('bead-nymph'), { ...back, seatMm: 0 }), 9);
    const jig = { ...reference(14, 'jig', 2.8), seatMm: 0.4 };
    expect(carry(style('jig-nymph'), jig)).toBeCloseTo(8.4 - 0.4, 9);
    expect(carry(style('jig-nymph'), { ...jig, seatMm: 2 })).toBeCloseTo(7, 9);
  });
  test('a raft covers the root of its number', () => {
    expect(raftLength(2.75)).toBeCloseTo(5.5, 9);
    expect(raftLength(12)).toBe(12);
  });
});

const dims = (n: number) => ({ gapeMm: referenceGape(referenceShank(n)), wireMm: referenceWire(referenceShank(n)) });

describe('suit', () => {
  const dun = style('upright-dun');
  const base = { bend: 'round' as const, wire: 'standard' as const, ...dims(14), carryMm: 8, targetMm: 8, thickMm: 1 };
  test('nothing to pay at an exact match', () => expect(suit(dun, base).steps).toBe(0));
  test('wire apart, bend by its place, a bend not listed', () => {
    expect(suit(dun, { ...base, wire: 'heavy' }).steps).toBe(1);
    expect(suit(dun, { ...base, bend: 'wide' }).steps).toBe(0.25);
    expect(suit(dun, { ...base, bend: 'jig' }).steps).toBe(1);
    expect(suit(style('grub'), { ...base, wire: 'light' }).steps).toBe(2);
  });
  test('a crowded gape costs four a share', () => {
    const crowded = suit(dun, { ...base, thickMm: 5 });
    const clear = gapeClear(5, base.wireMm, base.gapeMm);
    expect(clear).toBeLessThan(0.6);
    expect(crowded.steps).toBeCloseTo(4 * (0.6 - clear), 9);
    expect(crowded.reasons.map((item) => item.code)).toContain('gape-crowded');
  });
  test('never less than at an exact match, and it grows with the difference', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 1.001, max: 2, noNaN: true }),
        (targetMm, factor) => {
          const at = (carryMm: number) => suit(dun, { ...base, targetMm, carryMm }).steps;
          expect(at(targetMm)).toBeLessThan(at(targetMm * factor));
          expect(at(targetMm / factor)).toBeCloseTo(at(targetMm * factor), 9);
        },
      ),
    );
  });
  test('barb rules', () => {
    expect(barbAllowed('barbed', 'flattened')).toEqual({ allowed: true, flatten: true });
    expect(barbAllowed('none', 'flattened')).toEqual({ allowed: true, flatten: false });
    expect(barbAllowed('micro', 'barbless').allowed).toBe(false);
    expect(barbAllowed('barbed', 'any')).toEqual({ allowed: true, flatten: false });
  });
});

describe('probability and how far a rung holds: golden figures of formulas §4', () => {
  const dun = style('upright-dun');
  const rungs = [8, 10, 12, 14, 16, 18].map((n) => ({ id: String(n), carryMm: carry(dun, reference(n)) }));
  const se = 0.308805 / mean;
  test('right size', () => {
    const p = rungProbabilities(rungs, mean, se, 0);
    expect(p.get('12')).toBeCloseTo(0.2306, 4);
    expect(p.get('14')).toBeCloseTo(0.76922, 4);
    expect(p.get('16')).toBeCloseTo(0.00018, 5);
  });
  test('shares of the hatch', () => {
    const share = rungProbabilities(rungs, mean, 0.582918 / mean, 0);
    expect(share.get('12')).toBeCloseTo(0.34443, 4);
    expect(share.get('14')).toBeCloseTo(0.62273, 4);
    expect(share.get('16')).toBeCloseTo(0.02912, 4);
  });
  test('the 14 holds', () => {
    const holds = rungBounds(rungs).get('14')!;
    expect(holds.lowMm).toBeCloseTo(7.10113, 5);
    expect(holds.highMm).toBeCloseTo(8.3641, 5);
    expect(holds).toMatchObject({ below: '16', above: '12' });
  });
  test('the ends are open', () => {
    expect(rungBounds(rungs).get('8')).toMatchObject({ highMm: null, above: null });
    expect(rungBounds(rungs).get('18')).toMatchObject({ lowMm: null, below: null });
  });
  test('the sizes of a model sum to 1', () => {
    const shanks = fc.uniqueArray(fc.double({ min: 2, max: 30, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(
        shanks,
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 0.005, max: 0.4, noNaN: true }),
        (carries, targetMm, spread) => {
          const p = rungProbabilities(
            carries.map((carryMm, index) => ({ id: `h${index}`, carryMm })),
            targetMm,
            spread,
            0.2,
          );
          const values = [...p.values()];
          expect(values.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
          expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  test('a model known from labels is less sure than a measured one', () => {
    const shank = (source: Source, sd: number | null = null) => ({ value: 7, sd, source });
    expect(modelSdSteps([shank('measured'), shank('typed')])).toBeCloseTo(0.18, 9);
    expect(modelSdSteps([shank('model')])).toBeCloseTo(0.5, 9);
    expect(modelSdSteps([shank('label'), shank('measured')])).toBeCloseTo(Math.sqrt((0.25 + 0.0324) / 2), 9);
    expect(modelSdSteps([shank('model', 7 * NUMBER_STEP * 0.2)])).toBeCloseTo(0.2, 9);
  });
});
