import { COLOUR_WORDS } from '@/catalogue';
import { colourWord } from './colour-word';
import { colourOf, deltaE, hexOfLab, labOfHex, parseColour } from './colour';
import { filmFromPad, over, stackColour, wetFilm, wetHex, wetOpaque, wetPad } from './film';
import { shadeOf } from './shade';

describe('colours typed', () => {
  test.each(['#ca4', '#CCAA44', 'lab(70 5 40)', 'lab(70, 5, 40)'])('%s is read', (text) =>
    expect(parseColour(text)).not.toBeNull(),
  );
  test.each(['ca4', '#ca', 'lab(170 0 0)', 'lab(70 5)', 'red', ''])('%s is not', (text) =>
    expect(parseColour(text)).toBeNull(),
  );
  test('Lab as typed is kept, and hex comes back from it', () => {
    expect(parseColour('lab(50 10 20)')!.lab).toEqual([50, 10, 20]);
    const lab = labOfHex('#b8a857');
    expect(hexOfLab(lab)).toBe('#b8a857');
  });
  test('white is 100 under D65 and nothing apart from itself', () => {
    expect(labOfHex('#ffffff')[0]).toBeCloseTo(100, 3);
    expect(deltaE(labOfHex('#7a4a28'), labOfHex('#7a4a28'))).toBe(0);
  });
});

describe('wet and layered: golden figures of formulas §9', () => {
  test('opaque, wet in the hand', () => expect(wetOpaque(0.3)).toBeCloseTo(0.195029, 6));
  test('a film of a pad', () => {
    const film = filmFromPad(0.5, 0.6);
    expect(film.Sx).toBeCloseTo(0.472594, 5);
    expect(film.R).toBeCloseTo(0.289531, 5);
    expect(film.Kx).toBeCloseTo(0.118149, 5);
    expect(over(film, 0.8)).toBeCloseTo(0.664348, 5);
    expect(over(wetFilm(film, 1), 0.8)).toBeCloseTo(0.647266, 5);
  });
  test.each([
    [0.1, 0.0501256],
    [0.5, 0.364022],
    [0.8, 0.717624],
  ])('a thick pad of %s', (pad, wet) => expect(wetPad(pad)).toBeCloseTo(wet, 5));
  test('an opaque layer hides what is under it, a thin one does not', () => {
    const under = { hex: '#d8b93e', transmittance: 0, absorbency: 0.5 };
    expect(stackColour([under, { hex: '#3c4630', transmittance: 0, absorbency: 0.5 }]).dry).toBe('#3c4630');
    expect(stackColour([under, { hex: '#d8d8cc', transmittance: 0.75, absorbency: 0 }]).dry).not.toBe('#d8d8cc');
  });
  test('the less a material drinks the less it darkens, over a body as in a thick pad', () => {
    const film = filmFromPad(0.5, 0.6);
    // Scattering falls by 0.55 of what is drunk, absorption stays: formulas §9.
    expect(wetFilm(film, 0.5).Sx).toBeCloseTo(film.Sx * (1 - 0.55 * 0.5), 9);
    expect(wetFilm(film, 0.5).Kx).toBeCloseTo(film.Kx, 9);
    const at = (absorbency: number) => over(wetFilm(film, absorbency), 0.8);
    expect([at(0), at(0.25), at(0.5), at(0.75), at(1)]).toEqual(
      [0.664348, 0.660266, 0.656062, 0.651731, 0.647265].map((value) => expect.closeTo(value, 5)),
    );
    expect(at(0)).toBeGreaterThan(at(0.5));
    expect(at(0.5)).toBeGreaterThan(at(1));
    const pads = [0, 0.25, 0.5, 1].map((absorbency) => wetPad(0.5, absorbency));
    pads.slice(1).forEach((pad, index) => expect(pad).toBeLessThan(pads[index]!));
    const stack = (absorbency: number) =>
      stackColour([
        { hex: '#d8b93e', transmittance: 0, absorbency: 0 },
        { hex: '#8c8c78', transmittance: 0.4, absorbency },
      ]).wet;
    expect(stack(0.2)).not.toBe(stack(0.9));
  });
  test('a film that lets a fiftieth through hides what is under it, one that lets more through does not', () => {
    const wetOver = (transmittance: number) =>
      stackColour([
        { hex: '#d8b93e', transmittance: 0, absorbency: 0.5 },
        { hex: '#3c4630', transmittance, absorbency: 0.5 },
      ]).dry;
    expect(wetOver(0.02)).toBe('#3c4630');
    expect(wetOver(0.2)).not.toBe('#3c4630');
  });
  test('wet is darker', () => expect(labOfHex(wetHex('#b8a857'))[0]).toBeLessThan(labOfHex('#b8a857')[0]));
});

test.each([
  ['#b8a857', 'olive'],
  ['#222222', 'black'],
  ['#5b4430', 'brown'],
  ['#9aa0a6', 'grey'],
  ['#f2f2ee', 'white'],
])('%s is called %s', (hex, hue) => expect(shadeOf(labOfHex(hex)).hue).toBe(hue));

test.each([
  ['olive', '#504c2b #79743e #aaa266'],
  ['brown', '#513829 #815b3c #b48f6c'],
  ['grey', '#51504e #848482 #bdbbb8'],
  ['yellow', '#ac862f #dab14b #f1d58b'],
  ['rust', '#763b23 #9f542d #c58156'],
  ['cream', '#c3ae90 #dccaae #ece1cc'],
  ['black', '#1f1f1f #31302f #484744'],
  ['green', '#3d572f #61873f #99b56c'],
  ['orange', '#b4581e #e37a30 #f7aa6f'],
  ['red', '#6a282a #9f3435 #c5766d'],
  ['white', '#c8c6c3 #e4e2df #f4f3f2'],
] as const)(
  'the words of %s keep their centres: a patch that is shown, and what it is called, dark, mid and pale',
  (hue, patches) => {
    expect(['dark', 'mid', 'pale'].map((tone) => hexOfLab(COLOUR_WORDS.hues[hue]![tone]!)).join(' ')).toBe(patches);
  },
);

test('a colour keeps where it came from', () =>
  expect(colourOf('#CA4', 'wet', 'typed')).toMatchObject({ hex: '#ccaa44', surface: 'wet', source: 'typed' }));

test('a difference has a word', () =>
  expect([0, 1, 1.5, 5, 9, 40].map((deltaE) => colourWord(deltaE))).toEqual([
    'same',
    'same',
    'hard-to-tell',
    'close',
    'related',
    'off',
  ]));
