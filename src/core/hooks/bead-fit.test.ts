import { beadFit, beadOnHook, tippetFit, tippetMm, weightFit, type FitHook } from './bead-fit';
import { referenceEye, referenceGape, referenceShank, referenceWire } from './scale';

const hook = (n: number, more: Partial<FitHook> = {}): FitHook => {
  const shankMm = referenceShank(n);
  return {
    bend: 'round',
    barb: 'none',
    shankMm,
    gapeMm: referenceGape(shankMm),
    wireMm: referenceWire(shankMm),
    eyeMm: referenceEye(shankMm),
    ...more,
  };
};
const codes = (bead: { warnings: { code: string }[] }) => bead.warnings.map((item) => item.code);

describe('beads on a hook', () => {
  test('golden: bore a 2.4 needs on a reference 14', () => {
    expect(beadOnHook(hook(14), 2.4, 'drilled').boreNeededMm).toBeCloseTo(0.697434, 5);
    expect(beadOnHook(hook(14), 2.4, 'slotted').boreNeededMm).toBeCloseTo(0.455143, 5);
    expect(beadOnHook(hook(14), 2.8, 'drilled').tungstenMg).toBeCloseTo(156.319, 2);
  });
  test('the range by the gape, the usual one marked, one stocked size beyond on either side', () => {
    const { rangeMm, beads } = beadFit(hook(14));
    expect(rangeMm.map((mm) => mm / referenceGape(7))).toEqual([
      expect.closeTo(0.45, 9),
      expect.closeTo(0.55, 9),
      expect.closeTo(0.7, 9),
    ]);
    expect(beads.map((bead) => bead.diameterMm)).toEqual([1.5, 2, 2.4, 2.8, 3.2]);
    expect(beads.filter((bead) => bead.usual).map((bead) => bead.diameterMm)).toEqual([2.4]);
    expect(beads.map(codes).map((list) => list[0] ?? null)).toEqual(['bead-small', null, null, null, 'bead-large']);
  });
  test('kind by the bend; a slotted one on a curve may turn', () => {
    expect(beadFit(hook(14, { bend: 'jig' })).kinds[0]).toBe('slotted');
    expect(beadFit(hook(14)).kinds[0]).toBe('countersunk');
    expect(codes(beadOnHook(hook(14, { bend: 'curved-shank' }), 2.4, 'slotted'))).toContain('bead-turns');
    expect(codes(beadOnHook(hook(14, { bend: 'jig' }), 2.4, 'slotted'))).not.toContain('bead-turns');
  });
  test('a bore too small and a gape too full are said, never forbidden', () => {
    expect(codes(beadOnHook(hook(14), 2.4, 'drilled', 0.6))).toContain('bead-bore');
    expect(codes(beadOnHook(hook(14), 2.4, 'drilled', 0.8))).not.toContain('bead-bore');
    expect(codes(beadOnHook(hook(14), 4.6, 'drilled'))).toContain('gape-crowded');
  });
  test('a barb left up needs more', () =>
    expect(beadOnHook(hook(14, { barb: 'barbed' }), 2.4, 'slotted').boreNeededMm).toBeGreaterThan(
      beadOnHook(hook(14), 2.4, 'slotted').boreNeededMm,
    ));
  test('even the smallest and largest hooks have a bead', () => {
    for (const n of [-6, 30]) expect(beadFit(hook(n)).beads.length).toBeGreaterThan(0);
  });
});

describe('wire for weight', () => {
  const fit = weightFit(hook(8), 'lead');
  test("as thick as the hook's own, from two eyes behind the eye to the ramp", () => {
    expect(fit.wireMm).toBe(0.51);
    expect(fit.coverMm).toBeCloseTo(11.62 - 3 * referenceEye(11.62), 2);
    expect(fit.turns * fit.wireMm).toBeLessThanOrEqual(fit.coverMm);
  });
  test('two strips lie flatter and weigh less than as much wound', () => {
    expect(fit.sidesMg).toBeCloseTo(2 * fit.coverMm * 11.3 * (Math.PI / 4) * 0.51 ** 2, 6);
    expect(fit.sidesMg).toBeLessThan(fit.woundMg);
    expect(fit.sidesWideMm).toBeCloseTo(referenceWire(11.62) + 1.02, 2);
    expect(weightFit(hook(8), 'tin').woundMg / fit.woundMg).toBeCloseTo(7.3 / 11.3, 9);
  });
  test('a hook too short for any takes none', () =>
    expect(weightFit(hook(28, { eyeMm: 2 }), 'lead')).toMatchObject({ turns: 0, sidesMg: 0 }));
});

describe('tippet through the eye', () => {
  test('5X is 0.1524 mm', () => expect(tippetMm(5)).toBeCloseTo(0.1524, 9));
  test('the hole takes 2.2 of it', () => {
    const fit = tippetFit(hook(14));
    expect(fit.holeMm).toBeCloseTo(0.60223, 5);
    expect(fit.thickestMm).toBeCloseTo(0.60223 / 2.2, 5);
    expect(fit).toMatchObject({ usualX: 5, passes: true });
    expect(tippetMm(fit.thickestX)).toBeLessThanOrEqual(fit.thickestMm);
    expect(tippetMm(fit.thickestX - 1)).toBeGreaterThan(fit.thickestMm);
  });
  test('a hole that is too small says so', () => expect(tippetFit({ ...hook(14), eyeMm: 1.0 }).passes).toBe(false));
});
