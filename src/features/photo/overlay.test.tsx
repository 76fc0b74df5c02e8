import type { PhotoAnswer } from '@/workers';
import { USUAL_CUTS } from '@/core/photo/trace';
import { swapped } from './colour-row';
import { coloursBare, faceOf, handOf, overlayOf, traceNow, type Colours } from './overlay';
import { lengthNow } from '@/records';

const INSECT = {
  n: 1,
  view: 'side',
  surface: 'dry',
  what: 'body',
  confidence: 1,
  midlineMm: [
    [30, 20],
    [34, 20],
    [38, 20],
  ],
  bodyMm: 8,
  sdMm: 0.05,
  overallMm: 9,
  widthMm: 1.4,
  widthsMm: [0, 1.4, 0],
  turn: 0,
  heightFactor: 0.99,
  headLean: 1,
  regions: {},
  warnings: [],
};
const answer = (
  insects: object[],
  crop: PhotoAnswer['crop'] = { url: 'data:,', leftMm: 28, topMm: 18, widthMm: 12, heightMm: 6 },
) =>
  ({ measure: { refused: null, card: { printedScale: 0.97 }, light: null, insects }, crop }) as unknown as PhotoAnswer;

test('what was found is kept with the crop: body millimetres of a card millimetre hold the height and the printed scale', () => {
  const overlay = overlayOf(answer([INSECT]))!;
  expect(overlay).toMatchObject({
    by: 'card',
    view: 'side',
    leftMm: 28,
    insects: [{ n: 1, specimenId: null, hand: null, bodyMm: 8, overallMm: 9 }],
  });
  expect(overlay.insects[0]!.factor).toBeCloseTo(0.99 * 0.97, 9);
  expect([overlayOf(answer([])), overlayOf(answer([INSECT], null))]).toEqual([null, null]);
});

test('a hand leads over what was found, and its trace is the one that is drawn', () => {
  const found = overlayOf(answer([INSECT]))!.insects[0]!;
  expect(lengthNow(found)).toMatchObject({ bodyMm: 8 });
  const trace = {
    nodes: [
      [30, 20],
      [39, 20],
    ] as [number, number][],
    cuts: [0.1, 0.3, 0.4, 0.9] as const,
  };
  const moved = { ...found, hand: handOf(trace, { bodyMm: 9, sdMm: 0.1 }) };
  expect([lengthNow(moved).bodyMm, traceNow(moved)]).toEqual([9, trace]);
  expect(traceNow(found).nodes[0]).toEqual([30, 20]);
});

test('a side counts as the belly, which is what a fish sees', () =>
  expect([faceOf('side'), faceOf('belly'), faceOf('back')]).toEqual(['belly', 'belly', 'back']));

test('tones swapped twice are as they were; a region of one tone has nothing to swap', () => {
  const colours: Colours = {
    'abdomen-belly': { lab: [25, 6, 10], spread: 2, second: { lab: [62, 4, 32], share: 0.4 } },
    wing: { lab: [80, 0, 0], spread: 1, second: null },
  };
  const once = swapped(colours, 'abdomen-belly');
  expect(once['abdomen-belly']).toMatchObject({ lab: [62, 4, 32], second: { lab: [25, 6, 10], share: 0.6 } });
  expect(swapped(once, 'abdomen-belly')).toEqual(colours);
  expect(swapped(colours, 'wing')).toBe(colours);
});

test('a veiled region has no colour until it was put on a bare place', () => {
  const insect = overlayOf(answer([{ ...INSECT, veiled: ['abdomen-belly'] }]))!.insects[0]!;
  const one = (l: number) => ({ lab: [l, 0, 0] as const, spread: 1, second: null });
  const colours = { 'abdomen-belly': one(50), 'thorax-belly': one(30) } as unknown as Colours;
  const trace = { nodes: [], cuts: USUAL_CUTS };
  expect(Object.keys(coloursBare(colours, insect, trace))).toEqual(['thorax-belly']);
  expect(coloursBare(colours, insect, { ...trace, cuts: [0.1, 0.34, 0.42, 0.8] })).toBe(colours);
  expect(coloursBare(colours, { ...insect, veiled: undefined }, trace)).toEqual(colours);
});
