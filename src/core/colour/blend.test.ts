import { differenceCiede2000 } from 'culori';
import fc from 'fast-check';
import {
  blendPower,
  blendReflectance,
  blendsOf,
  solveBlend,
  spread,
  TWENTIETHS,
  type Blend,
  type BlendAsked,
  type BlendShade,
} from './blend';
import { ciede2000, lightnessWeight } from './ciede2000';
import { deltaE, hexOfLab, labOfHex, labOfReflectance, reflectanceOf, type Lab, type Reflectance } from './colour';
import { filmFromPad, over, thinFilm, wetFilm, wetHex, wetPad } from './film';

/** Pairs published with the formula (Sharma, Wu and Dalal 2005), with their difference. */
const PAIRS: readonly (readonly [Lab, Lab, number])[] = [
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
  [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
  [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
  [[50, -1.1848, -84.8006], [50, 0, -82.7485], 1],
  [[50, -0.9009, -85.5211], [50, 0, -82.7485], 1],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, -1, 2], [50, 0, 0], 2.3669],
  [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.001], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
  [[50, 2.49, -0.001], [50, -2.49, 0.0012], 7.2195],
  [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.001, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[50, 2.5, 0], [61, -5, 29], 22.8977],
  [[50, 2.5, 0], [56, -27, -3], 31.903],
  [[50, 2.5, 0], [58, 24, 15], 19.4535],
  [[50, 2.5, 0], [50, 3.1736, 0.5854], 1],
  [[50, 2.5, 0], [50, 3.2972, 0], 1],
  [[50, 2.5, 0], [50, 1.8634, 0.5757], 1],
  [[50, 2.5, 0], [50, 3.2592, 0.335], 1],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
  [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
  [[61.2901, 3.7196, -5.3901], [61.4292, 2.248, -4.962], 1.8731],
  [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
  [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
  [[36.4612, 47.858, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
  [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
  [[90.9257, -0.5406, -0.9208], [88.6381, -0.8985, -0.7239], 1.5381],
  [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
];

const lab = fc.tuple(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.double({ min: -90, max: 90, noNaN: true }),
  fc.double({ min: -90, max: 90, noNaN: true }),
);

describe('the difference of two colours', () => {
  test.each(PAIRS)('%j and %j lie %d apart, by the library and in plain numbers', (a, b, apart) => {
    expect(ciede2000(...a, ...b)).toBeCloseTo(apart, 4);
    expect(deltaE(a, b)).toBeCloseTo(apart, 4);
  });
  test('in plain numbers it is the library’s, either way round, and never less than its lightness alone', () =>
    fc.assert(
      fc.property(lab, lab, (a, b) => {
        const own = ciede2000(...a, ...b);
        const library = differenceCiede2000()(
          { mode: 'lab65', l: a[0], a: a[1], b: a[2] },
          { mode: 'lab65', l: b[0], a: b[1], b: b[2] },
        );
        expect(own).toBeCloseTo(library, 7);
        expect(ciede2000(...b, ...a)).toBeCloseTo(own, 7);
        expect(own).toBeGreaterThanOrEqual(Math.abs(a[0] - b[0]) / lightnessWeight((a[0] + b[0]) / 2) - 1e-9);
      }),
      { numRuns: 2000 },
    ));
});

const hex = lab.map((colour) => hexOfLab(colour));
const unit = fc.double({ min: 0, max: 1, noNaN: true });
const shades = (least: number, most: number) =>
  fc
    .array(fc.record({ hex, absorbency: unit, transmittance: fc.double({ min: 0.05, max: 0.8, noNaN: true }) }), {
      minLength: least,
      maxLength: most,
    })
    .map((all) => all.map((own, index): BlendShade => ({ ...own, id: `s${index}` })));
const ASKED: Omit<BlendAsked, 'target'> = { wet: false, over: null, parts: 3, top: 3 };

/** How far a mix lies from a colour, worked out the long way round: no shortcut, films looked for step by step. */
function mixed(
  parts: readonly (readonly [BlendShade, number])[],
  { wet, over: under }: Omit<BlendAsked, 'target'>,
  target: Lab,
): number {
  const mean = (of: (own: BlendShade) => number) =>
    parts.reduce((sum, [own, part]) => sum + (of(own) * part) / TWENTIETHS, 0);
  const [absorbency, through] = [mean((own) => own.absorbency), mean((own) => own.transmittance)];
  const seen = [0, 1, 2].map((channel) => {
    const pad = blendReflectance(mean((own) => blendPower(reflectanceOf(own.hex)[channel]!)));
    if (under === null) return wet ? wetPad(pad, absorbency) : pad;
    const film = filmFromPad(pad, through);
    return over(wet ? wetFilm(film, absorbency) : film, reflectanceOf(under)[channel]!);
  }) as Reflectance;
  return deltaE(target, labOfReflectance(seen));
}

describe('a mix of fibres', () => {
  test('golden figures of formulas §9', () => {
    expect(blendPower(0.6)).toBeCloseTo(4.06091, 5);
    expect(blendPower(0.1)).toBeCloseTo(38.2979, 4);
    expect(blendReflectance((blendPower(0.6) + blendPower(0.1)) / 2)).toBeCloseTo(0.196311, 6);
  });
  test('a shade mixed with itself is the shade, and power goes there and back', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.012, max: 1, noNaN: true }), (R) =>
        expect(blendReflectance(blendPower(R))).toBeCloseTo(R, 9),
      ),
    ));
  test('a thin film in one step is the film that is looked for step by step', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.95, noNaN: true }),
        fc.double({ min: 0.03, max: 0.95, noNaN: true }),
        (pad, through) => {
          const [one, other] = [thinFilm(pad, through), filmFromPad(pad, through)];
          for (const part of ['R', 'T', 'Sx', 'Kx'] as const) expect(one[part]).toBeCloseTo(other[part], 5);
        },
      ),
    ));
  test('so many compositions there are: of sixty shades sixty, 33,630 pairs and 5,851,620 triples', () => {
    expect([blendsOf(60, 1), blendsOf(60, 2) - 60, blendsOf(60, 3) - blendsOf(60, 2)]).toEqual([60, 33_630, 5_851_620]);
    const three = ['#112233', '#445566', '#778899'].map((own, at) => ({
      id: `s${at}`,
      hex: own,
      absorbency: 0,
      transmittance: 0,
    }));
    expect(solveBlend(three, { ...ASKED, target: [40, 0, 0] }).tried).toBe(blendsOf(3, 3));
  });
});

describe('the best blend for a colour', () => {
  test.each([
    ['dry', ASKED],
    ['wet', { ...ASKED, wet: true }],
    ['over yellow thread', { ...ASKED, over: '#d8b93e' }],
    ['wet over yellow thread', { ...ASKED, wet: true, over: '#d8b93e' }],
  ])('%s is the same as when every composition is worked out in full', (_, asked) =>
    fc.assert(
      fc.property(shades(3, 5), lab, (known, target) => {
        const { blends } = solveBlend(known, { ...asked, target, top: 1 });
        const apart: number[] = [];
        const look = (parts: readonly (readonly [BlendShade, number])[]) =>
          void apart.push(mixed(parts, asked, target));
        known.forEach((one, i) => {
          look([[one, 20]]);
          known.slice(i + 1).forEach((two, j) => {
            for (let a = 1; a < 20; a++)
              look([
                [one, a],
                [two, 20 - a],
              ]);
            known.slice(i + j + 2).forEach((three) => {
              for (let a = 1; a < 19; a++)
                for (let b = 1; b < 20 - a; b++)
                  look([
                    [one, a],
                    [two, b],
                    [three, 20 - a - b],
                  ]);
            });
          });
        });
        expect(blends[0]!.deltaE).toBeCloseTo(Math.min(...apart), 6);
      }),
      { numRuns: 15 },
    ),
  );
  test('is never worse than any of many random ones; parts sum to twenty; a single shade that hits it is that shade', () => {
    fc.assert(
      fc.property(shades(6, 9), hex, (known, wanted) => {
        const { blends } = solveBlend(known, { ...ASKED, target: labOfHex(wanted) });
        for (const { parts } of blends) expect(parts.reduce((sum, part) => sum + part.twentieths, 0)).toBe(TWENTIETHS);
        expect(blends.map((own) => own.deltaE)).toEqual([...blends.map((own) => own.deltaE)].sort((a, b) => a - b));
        const exact = solveBlend(known, { ...ASKED, target: labOfReflectance(reflectanceOf(known[2]!.hex)), top: 1 });
        expect(exact.blends[0]!.deltaE).toBeLessThan(0.01);
      }),
      { numRuns: 20 },
    );
  });
  test('of equals the one of fewer parts, then by ids; two of one colour are one', () => {
    const same = ['b', 'a', 'c'].map((id) => ({ id, hex: '#7b6a3c', absorbency: 0.5, transmittance: 0.2 }));
    const { blends } = solveBlend(same, { ...ASKED, target: labOfHex('#7b6a3c'), top: 3 });
    expect(blends.map(({ parts }) => parts)).toEqual([
      [{ id: 'a', twentieths: 20 }],
      [{ id: 'b', twentieths: 20 }],
      [{ id: 'c', twentieths: 20 }],
    ]);
  });
  test('says how far it is and ends when it is told to', () => {
    const many = Array.from({ length: 12 }, (_, at) => ({
      id: `s${String(at).padStart(2, '0')}`,
      hex: hexOfLab([20 + 5 * at, at, -at]),
      absorbency: 0,
      transmittance: 0,
    }));
    const heard: number[] = [];
    solveBlend(many, { ...ASKED, target: [50, 0, 0] }, (done) => heard.push(done) > 0);
    expect(heard).toEqual([...heard].sort((a, b) => a - b));
    expect(heard.at(-1)).toBe(1);
    const { tried } = solveBlend(many, { ...ASKED, target: [50, 0, 0] }, (done) => done < 0.2);
    expect(tried).toBeLessThan(blendsOf(12, 3));
  });
  test('wet, the blend that is darker dry is chosen', () => {
    const greys = [30, 40, 50, 60, 70].map((L) => ({
      id: `g${L}`,
      hex: hexOfLab([L, 0, 0]),
      absorbency: 1,
      transmittance: 0,
    }));
    const target = labOfHex(wetHex(hexOfLab([60, 0, 0])));
    expect(solveBlend(greys, { ...ASKED, wet: true, target, parts: 1, top: 1 }).blends[0]!.parts[0]!.id).toBe('g60');
    expect(solveBlend(greys, { ...ASKED, target, parts: 1, top: 1 }).blends[0]!.parts[0]!.id).not.toBe('g60');
  });
});

describe('alternatives spread apart', () => {
  const of = (ids: string, deltaE: number): Blend =>
    ({ parts: [...ids].map((id) => ({ id, twentieths: 1 })), deltaE }) as unknown as Blend;
  const named = (blends: readonly Blend[]) => blends.map(({ parts }) => parts.map(({ id }) => id).join(''));
  const all = [of('abc', 0), of('abd', 1), of('ae', 2), of('fgh', 3), of('f', 4)];
  test('the best, then those that share at most one part with those before; in their order', () =>
    expect(named(spread(all, 3))).toEqual(['abc', 'ae', 'fgh']));
  test('where too few are apart the next best stand in, and no more than there are', () => {
    expect(named(spread(all, 4))).toEqual(['abc', 'abd', 'ae', 'fgh']);
    expect(named(spread(all.slice(0, 2), 4))).toEqual(['abc', 'abd']);
  });
});
