import { GROUPS, GROWING_ON, KEY, labOfShade, STAGES } from '@/catalogue';
import { believe } from '../belief';
import { labOfHex } from '../colour';
import {
  bodiesOf,
  boxWantedOf,
  choicesOf,
  insectOf,
  monthOf,
  NOTHING_NOTED,
  pickingOf,
  sampleOf,
  sightingOf,
  waitsFor,
  type Natural,
} from './index';

const DATA = { growing: GROWING_ON, labOfShade, key: KEY, stages: STAGES };
const WORLD = { south: false };
const noted = (more: Partial<Natural> = {}): Natural => ({ ...NOTHING_NOTED, ...more });

describe('what is still missing', () => {
  test.each<[string, Partial<Natural>, Parameters<typeof waitsFor>[1], 'stage' | 'length' | null]>([
    ['nothing at all', {}, null, 'stage'],
    ['a length without a stage', { specimens: [insectOf(8)] }, undefined, 'stage'],
    ['a stage without a length', {}, 'mayfly/dun', 'length'],
    ['a body', { specimens: [insectOf(8)] }, 'mayfly/dun', null],
    ['a length by eye', { rough: { mm: 8, halfMm: 1, how: 'chip' } }, 'mayfly/dun', null],
    ['a case', { case: { mm: 12 } }, 'caddis/cased-larva', null],
    ['the whole with its wings', { overall: { mm: 12 } }, 'caddis/adult', null],
    ['an insect still to be measured', { specimens: [{ ...insectOf(8), body: { mm: null } }] }, 'mayfly/dun', 'length'],
    ['one that was set aside', { specimens: [{ ...insectOf(8), out: 'damaged' }] }, 'mayfly/dun', 'length'],
    ['one of the other sex', { sex: 'female', specimens: [{ ...insectOf(8), sex: 'male' }] }, 'mayfly/dun', 'length'],
  ])('%s', (_, more, stage, missing) => expect(waitsFor(noted(more), stage, GROWING_ON)).toBe(missing));
});

describe('the sample', () => {
  test('a measured body takes the place of a length by eye', () => {
    const rough = { mm: 9, halfMm: 2, how: 'chip' as const };
    expect(sampleOf(noted({ rough, method: 'calliper' }), 'mayfly/dun', DATA)).toMatchObject({
      lengthsMm: [9],
      halfWidthMm: 2,
      method: 'eye',
    });
    expect(sampleOf(noted({ rough, method: 'calliper', specimens: [insectOf(8)] }), 'mayfly/dun', DATA)).toMatchObject({
      lengthsMm: [8],
      halfWidthMm: null,
      method: 'calliper',
    });
  });
  test('the ± is that of the readings where every one has its own', () => {
    const both = [
      { ...insectOf(8), halfMm: 0.3 },
      { ...insectOf(9), halfMm: 0.4 },
    ];
    expect(sampleOf(noted({ specimens: both }), 'mayfly/dun', DATA).halfWidthMm).toBeCloseTo(
      Math.sqrt((0.09 + 0.16) / 2),
      9,
    );
    expect(sampleOf(noted({ specimens: [both[0]!, insectOf(9)] }), 'mayfly/dun', DATA).halfWidthMm).toBeNull();
  });
  test('by eye it is the tier’s own eye, where that is known', () => {
    const eye = { bias: 0, halfShare: 0.2, n: 9 } as Parameters<typeof sampleOf>[3];
    expect(
      sampleOf(noted({ method: 'eye', specimens: [insectOf(8), insectOf(10)] }), 'mayfly/dun', DATA, eye).halfWidthMm,
    ).toBeCloseTo(1.8, 9);
    expect(
      sampleOf(noted({ method: 'eye', specimens: [insectOf(8)] }), 'mayfly/dun', DATA, null).halfWidthMm,
    ).toBeNull();
    expect(
      sampleOf(noted({ method: 'ruler', specimens: [insectOf(8)] }), 'mayfly/dun', DATA, eye).halfWidthMm,
    ).toBeNull();
  });
  test('a colour takes the place of its word; words that are none are nothing', () => {
    const { colours } = sampleOf(
      noted({
        colours: { 'abdomen-belly': '#8a7f3c' },
        shades: { 'abdomen-belly': 'pale-olive', wing: 'mid-grey', legs: 'no-word' },
      }),
      'mayfly/dun',
      DATA,
    );
    expect(colours['abdomen-belly']).toEqual({ hex: '#8a7f3c', source: 'typed' });
    expect([colours.wing?.source, colours.legs]).toEqual(['estimated', undefined]);
  });
  test('spirit is reckoned back only for a stage that shrinks', () => {
    const kept = noted({ preserved: true, specimens: [insectOf(9.6)] });
    expect(bodiesOf(kept, 'caddis/free-larva', GROWING_ON)[0]).toBeGreaterThan(9.9);
    expect([bodiesOf(kept, 'caddis/adult', GROWING_ON), bodiesOf(kept, null, GROWING_ON)]).toEqual([[9.6], [9.6]]);
  });
});

describe('what the key hears', () => {
  test.each([
    ['2033-05-24T04:50', 5],
    ['0000-12', 12],
    ['2033-13-01', null],
    ['-', null],
    ['', null],
    ['5', null],
  ])('of %s the month is %s', (when, month) => expect(monthOf({ when })).toBe(month));
  test('all of it; what is left out is not said', () => {
    const all = noted({
      when: '2033-05-24T04:50',
      water: 'fast',
      found: 'bed',
      doing: 'crawling',
      signs: { wings: 'cloudy-upright' },
      seen: ['duns'],
      rise: 'sip',
      specimens: [insectOf(8), insectOf(9)],
      case: { mm: 12 },
      colours: { 'abdomen-belly': '#8a7f3c' },
    });
    expect(sightingOf(all, { south: true, fauna: 'north-west-europe' as never }, DATA)).toMatchObject({
      signs: { wings: 'cloudy-upright', found: 'bed', doing: 'crawling' },
      seen: ['duns'],
      rise: 'sip',
      water: 'fast',
      month: 5,
      south: true,
      lengthMm: { mm: 8.5 },
      caseMm: { mm: 12 },
      belly: labOfHex('#8a7f3c'),
    });
    expect(sightingOf({ ...all, leftOut: ['month', 'length', 'belly', 'case-length'] }, WORLD, DATA)).toMatchObject({
      month: null,
      lengthMm: null,
      caseMm: null,
      belly: null,
      region: null,
    });
  });
  test('a span that was tapped is a span, another length by eye is about so much, and a belly in words is heard until it is taken back', () => {
    expect(sightingOf(noted({ rough: { mm: 38, halfMm: 8, how: 'chip' } }), WORLD, DATA).lengthMm).toEqual({
      fromMm: 30,
      toMm: null,
    });
    expect(
      sightingOf(noted({ rough: { mm: 9, halfMm: 1.95996, how: 'fingers' } }), WORLD, DATA).lengthMm,
    ).toMatchObject({ mm: 9, sd: expect.closeTo(1, 4) });
    expect(
      sightingOf(noted({ shades: { 'abdomen-belly': 'mid-olive' }, leftOut: ['belly'] }), WORLD, DATA).belly,
    ).toEqual(labOfShade('mid-olive'));
  });
});

describe('what counts when a dressing is chosen', () => {
  test('levels of where it was and what it did, each once; the month as in the north', () => {
    const natural = noted({ when: '2033-05-24', found: 'film', doing: 'hanging' });
    expect(pickingOf(natural, WORLD, null, [], GROWING_ON)).toMatchObject({
      levels: ['film'],
      month: 5,
      groups: [],
      skill: null,
      tools: null,
    });
    expect(pickingOf(natural, { south: true }, null, [], GROWING_ON).month).toBe(11);
    expect(pickingOf(noted({ when: '2033-11-02' }), { south: true }, null, [], GROWING_ON).month).toBe(5);
  });
  test('groups that its length can be, in the tier’s part of the world', () => {
    const natural = noted({ specimens: [insectOf(8)] });
    const all = pickingOf(natural, WORLD, 'mayfly/dun', GROUPS, GROWING_ON).groups;
    const [fauna] = GROUPS.find((group) => group.id === all[0])!.regions;
    expect(all.length).toBeGreaterThan(
      pickingOf(natural, { south: false, fauna }, 'mayfly/dun', GROUPS, GROWING_ON).groups.length,
    );
  });
  test('tails counted are those it has; what is in the stash and what flies took goes with it', () => {
    const stash = new Set(['thread-olive-70']);
    const choices = choicesOf(
      noted({ signs: { tails: '2' } }),
      'mayfly/dun',
      WORLD,
      { barbRule: 'barbless', picking: { ...pickingOf(noted(), WORLD, null, [], GROWING_ON), stash } },
      GROUPS,
      GROWING_ON,
    );
    expect(choices).toMatchObject({ barbRule: 'barbless', tails: [2] });
    expect(choices.picking.stash).toBe(stash);
    expect(choicesOf(noted({ signs: { tails: 'some' } }), 'mayfly/dun', WORLD, {}, GROUPS, GROWING_ON).tails).toEqual([
      2, 3,
    ]);
  });
});

describe('what a box is asked', () => {
  const belief = believe(KEY, sightingOf(noted({ signs: { wings: 'cloudy-upright' } }), WORLD, DATA));
  test('one kept stage is sure; two share by their odds; two of no odds share alike', () => {
    expect(boxWantedOf(noted(), ['mayfly/dun'], belief, DATA).belief).toEqual([{ stage: 'mayfly/dun', p: 1 }]);
    const two = boxWantedOf(noted(), ['mayfly/dun', 'midge/larva'], belief, DATA).belief;
    expect(two.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 9);
    expect(two[0]!.p).toBeGreaterThan(0.9);
    expect(boxWantedOf(noted(), ['mayfly/dun', 'midge/larva'], null, DATA).belief.map(({ p }) => p)).toEqual([
      0.5, 0.5,
    ]);
  });
  test('without a kept stage all that are likely enough, and the length of the likeliest', () => {
    const wanted = boxWantedOf(
      noted({ specimens: [insectOf(8)], shades: { 'abdomen-belly': 'mid-olive' } }),
      [],
      belief,
      DATA,
    );
    expect(wanted.belief.every(({ p }) => p >= 0.01)).toBe(true);
    expect(wanted).toMatchObject({ length: { mm: 8 }, belly: labOfShade('mid-olive') });
    expect(boxWantedOf(noted(), [], null, DATA)).toEqual({ belief: [], length: null, belly: null });
  });
});
