import fc from 'fast-check';
import { ANSWERS, GROUPS, GROWING_ON, KEY } from '@/catalogue/key';
import cases from '@/catalogue/cases.json';
import type { StageId } from '@/catalogue/ids';
import { labOfHex } from '../colour';
import { believe, byGroup, byStage, driftedLab, gainBits, growingOn, leadsTo, lookalike, nextSign, NOTHING_SEEN, prepareKey, pulls, ranked, unshrunk, type AskedId, type Sighting } from './index';

const see = (signs: Sighting['signs'], more: Partial<Sighting> = {}): Sighting => ({ ...NOTHING_SEEN, ...more, signs });
const first = (sighting: Sighting) => byStage(KEY, believe(KEY, sighting))[0]!;
const odds = (sighting: Sighting, stage: StageId) => believe(KEY, sighting).p[KEY.ids.indexOf(stage)]!;
const asked = Object.keys(ANSWERS) as AskedId[];

describe('the key as data', () => {
  test('every stage of the list has a prior and lives in some group', () => {
    for (const [index, id] of KEY.ids.entries()) {
      expect([id, KEY.prior[index]! > 0, KEY.members[index]!.length > 0]).toEqual([id, true, true]);
    }
  });
  test('every sign of every stage is a distribution with nothing under the floor', () => {
    for (const sign of asked) {
      for (const row of KEY.table[sign]) {
        expect(row.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
        expect(Math.min(...row)).toBeGreaterThan(KEY.data.floor * 0.7);
      }
    }
  });
  test('weights name only known stages, signs and answers', () => {
    for (const [stage, { signs }] of Object.entries(KEY.data.stages)) {
      expect(KEY.ids).toContain(stage);
      for (const [sign, weights] of Object.entries(signs)) for (const answer of Object.keys(weights)) expect(ANSWERS[sign as AskedId]).toContain(answer);
    }
    for (const table of [...Object.values(KEY.odds.seen), ...Object.values(KEY.odds.rise)]) for (const stage of Object.keys(table)) expect(KEY.ids).toContain(stage);
  });
  test('109 groups: lengths in order, months of the year, stages of the list, colours that have a centre', () => {
    expect(GROUPS).toHaveLength(109);
    for (const group of GROUPS) {
      for (const month of group.months) expect(month).toBeGreaterThanOrEqual(1);
      for (const entry of group.stages) {
        expect(KEY.ids).toContain(entry.stage);
        if (entry.length_mm) expect([group.id, entry.stage, [...entry.length_mm].sort((a, b) => a - b)]).toEqual([group.id, entry.stage, [...entry.length_mm]]);
        for (const shade of entry.shades) expect(KEY.colours.hues[shade.split('-')[1]!]![shade.split('-')[0]!]).toHaveLength(3);
      }
    }
  });
  test('no film emerger for what climbs out', () => {
    for (const group of GROUPS.filter((item) => item.hatch === 'climbs')) expect(group.stages.filter((entry) => ['mayfly/emerger', 'mayfly/cripple', 'caddis/emerging-pupa'].includes(entry.stage))).toEqual([]);
  });
  test('a known mistake moves its share from the true answer to the one that is given', () => {
    const only = (mistakes: typeof KEY.data.mistakes) => prepareKey({ ...KEY, data: { ...KEY.data, mistakes } });
    const plain = only([]);
    const lost = only([{ sign: 'tails', from: '2', to: '1', rate: 0.25, stages: ['mayfly/spent'] }]);
    const spent = KEY.ids.indexOf('mayfly/spent');
    const [one, two] = [ANSWERS.tails.indexOf('1'), ANSWERS.tails.indexOf('2')];
    expect(lost.table.tails[spent]![two]).toBeCloseTo(plain.table.tails[spent]![two]! * 0.75, 9);
    expect(lost.table.tails[spent]![one]).toBeCloseTo(plain.table.tails[spent]![one]! + plain.table.tails[spent]![two]! * 0.25, 9);
  });
});

describe('what is believed', () => {
  test.each<[Sighting['signs'], StageId]>([
    [{ wings: 'cloudy-upright', tails: '2' }, 'mayfly/dun'], [{ wings: 'flat-out', doing: 'spent' }, 'mayfly/spent'], [{ wings: 'roof', 'wing-skin': 'hairy' }, 'caddis/adult'], [{ case: 'stone' }, 'caddis/cased-larva'],
    [{ claws: '2', tails: '2', wings: 'pads' }, 'stonefly/nymph'], [{ gills: 'breathers' }, 'midge/pupa'], [{ tails: 'plates' }, 'damselfly/nymph'], [{ legs: 'many', body: 'curved' }, 'shrimp/adult'], [{ shuck: 'trailing', found: 'film', tails: '3' }, 'mayfly/emerger'],
  ])('%j is a %s', (signs, stage) => expect(first(see(signs)).stage).toBe(stage));
  test('odds sum to 1 and are never lost, whatever was noted', () => {
    const signs = fc.record(Object.fromEntries(asked.map((sign) => [sign, fc.option(fc.constantFrom(...ANSWERS[sign]), { nil: undefined })])));
    fc.assert(fc.property(signs, fc.option(fc.integer({ min: 1, max: 12 })), fc.option(fc.double({ min: 0.5, max: 120, noNaN: true })), (noted, month, mm) => {
      const { p } = believe(KEY, see(noted as Sighting['signs'], { month, lengthMm: mm === null ? null : { mm, sd: 0.4 } }));
      expect(p.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
      expect(p.every((value) => Number.isFinite(value) && value >= 0)).toBe(true);
    }), { numRuns: 40 });
  });
  test('the order in which signs are given does not matter, and an answer can be taken back', () => {
    const one = believe(KEY, see({ wings: 'roof', tails: '0' })).p;
    const other = believe(KEY, see({ tails: '0', wings: 'roof' })).p;
    one.forEach((value, index) => expect(other[index]).toBeCloseTo(value, 12));
    expect(believe(KEY, see({ wings: undefined })).p).toEqual(believe(KEY, see({})).p);
  });
  test('an unknown answer is no evidence', () => expect(believe(KEY, see({ wings: 'unknown' })).p).toEqual(believe(KEY, see({})).p));
  test('one wrong sign does not undo three right ones', () => expect(first(see({ tails: '1', claws: '2', wings: 'pads', body: 'flat', found: 'under-stone' })).stage).toBe('stonefly/nymph'));
  test('signs of one cause count less than signs of two', () => {
    const untempered = { ...KEY, data: { ...KEY.data, temper: 1 } };
    const adult = see({ wings: 'clear-upright', finish: 'glossy', 'tail-length': 'long' });
    const stage = KEY.ids.indexOf('mayfly/spinner');
    expect(believe(KEY, adult).p[stage]).toBeLessThan(believe(untempered, adult).p[stage]!);
  });
  test('month, turned south of the equator', () => {
    const april = see({ legs: 'long-trailing', body: 'stout' }, { month: 5 });
    const november = see({ legs: 'long-trailing', body: 'stout' }, { month: 11 });
    expect(odds(april, 'hawthorn-fly/adult')).toBeGreaterThan(odds(november, 'hawthorn-fly/adult'));
    expect(odds({ ...november, south: true }, 'hawthorn-fly/adult')).toBeCloseTo(odds(april, 'hawthorn-fly/adult'), 9);
  });
  test('what lives elsewhere is left out of the groups', () => {
    const here = byGroup(KEY, believe(KEY, see({ wings: 'cloudy-upright' }, { region: 'palearctic-west' })), 0);
    expect(here.filter(({ group, p }) => p > 0 && !group.regions.includes('palearctic-west'))).toEqual([]);
  });
  test('a length chooses among groups, and colour too', () => {
    const big = byGroup(KEY, believe(KEY, see({ wings: 'cloudy-upright' }, { month: 5, region: 'palearctic-west', lengthMm: { mm: 19, sd: 0.5 } })))[0]!;
    expect(big.group.scientific).toMatch(/Ephemera/);
    const yellow = byGroup(KEY, believe(KEY, see({ wings: 'cloudy-upright' }, { month: 6, lengthMm: { mm: 9.5, sd: 0.5 }, belly: labOfHex('#d8c24a') })))[0]!;
    expect(yellow.group.colours.dun).toMatch(/yellow/);
  });
  test('tails of the adults are a fact of the group', () => {
    const share = (tails: string) => byGroup(KEY, believe(KEY, see({ wings: 'cloudy-upright', tails }, { month: 5 })), 0).filter(({ group }) => group.adult_tails?.length === 1 && group.adult_tails[0] === 3).reduce((sum, { p }) => sum + p, 0);
    expect(share('3')).toBeGreaterThan(2 * share('2'));
  });
  test('what is seen on the water, and how fish rise, shifts the odds without a specimen', () => {
    expect(odds(see({}, { seen: ['females-on-posts'] }), 'mayfly/diver')).toBeGreaterThan(5 * odds(see({}), 'mayfly/diver'));
    expect(odds(see({}, { rise: 'sip' }), 'mayfly/spent')).toBeGreaterThan(odds(see({}), 'mayfly/spent'));
    expect(odds(see({}, { seen: ['rises'] }), 'mayfly/spent')).toBeCloseTo(odds(see({}), 'mayfly/spent'), 12);
  });
});

describe('what to look at next', () => {
  test('gains are never negative and none is left once the stage is plain', () => {
    const sighting = see({ found: 'surface' }, { month: 5 });
    const belief = believe(KEY, sighting);
    for (const sign of asked) expect(gainBits(KEY, sighting, belief, sign)).toBeGreaterThan(-0.05);
  });
  test('what a sign would tell is the doubt that is left after each of its answers, by their odds', () => {
    const doubt = (p: readonly number[]) => -p.reduce((sum, value) => (value > 0 ? sum + value * Math.log2(value) : sum), 0);
    fc.assert(fc.property(fc.constantFrom(...asked), fc.dictionary(fc.constantFrom(...asked), fc.nat(1), { maxKeys: 4 }), fc.option(fc.constantFrom(3, 7, 10)), (sign, heard, month) => {
      const signs = Object.fromEntries(Object.entries(heard).map(([other, index]) => [other, ANSWERS[other as AskedId][index]]));
      const sighting = see(signs, { month, lengthMm: { mm: 8, sd: 0.4 } });
      const belief = believe(KEY, sighting);
      const expected = ANSWERS[sign].reduce((left, answer, index) => {
        const chance = belief.p.reduce((sum, p, stage) => sum + p * KEY.table[sign][stage]![index]!, 0);
        return left - chance * doubt(believe(KEY, { ...sighting, signs: { ...signs, [sign]: answer } }).p);
      }, doubt(belief.p));
      expect(gainBits(KEY, sighting, belief, sign)).toBeCloseTo(expected, 5);
    }), { numRuns: 60 });
  });
  test('the next sign is open, not skipped, and worth the most', () => {
    const sighting = see({ found: 'surface' }, { month: 5 });
    const belief = believe(KEY, sighting);
    const next = nextSign(KEY, sighting, belief)!;
    expect(next.sign).not.toBe('found');
    for (const sign of asked.filter((other) => other !== 'found')) expect(gainBits(KEY, sighting, belief, sign)).toBeLessThanOrEqual(next.bits + 1e-9);
    expect(nextSign(KEY, sighting, belief, [next.sign])!.sign).not.toBe(next.sign);
  });
  test('it ends when everything is answered', () => {
    const signs = Object.fromEntries(asked.map((sign) => [sign, ANSWERS[sign][0]]));
    expect(nextSign(KEY, see(signs), believe(KEY, see(signs)))).toBeNull();
  });
  test('each answered sign says which way it pulls', () => {
    const sighting = see({ wings: 'cloudy-upright', tails: '1' });
    const drawn = pulls(KEY, sighting, believe(KEY, sighting));
    expect(drawn.find((item) => item.sign === 'wings')!.bits).toBeGreaterThan(1);
    expect(drawn.map((item) => Math.abs(item.bits))).toEqual([...drawn.map((item) => Math.abs(item.bits))].sort((a, b) => b - a));
    expect(KEY.ids[drawn[0]!.stage]).toBe('mayfly/dun');
  });
  test('dun and spinner are parted by the wings or the shine', () => {
    const sighting = see({ tails: '2', found: 'surface', antennae: 'short', legs: 'six' }, { month: 6 });
    const like = lookalike(KEY, sighting, believe(KEY, sighting))!;
    expect(asked).toContain(like.separateBy);
    expect(sighting.signs[like.separateBy]).toBeUndefined();
  });
});

describe('growing on', () => {
  const of = (stage: StageId, mm: number) => new Map(growingOn(GROWING_ON, stage, mm).map((grown) => [`${grown.direction} ${grown.stage}`, grown]));
  test('a nymph becomes dun and spinner, shorter by the usual share', () => {
    const grown = of('mayfly/nymph', 10);
    expect(grown.get('later mayfly/dun')).toMatchObject({ lowMm: 8.8, usualMm: 9.5, highMm: 10 });
    expect(grown.get('later mayfly/spinner')!.lowMm).toBeCloseTo(8.8 * 0.95, 9);
  });
  test('an adult tells the nymph to tie, both ways', () => {
    const grown = of('stonefly/adult', 17);
    expect(grown.get('earlier stonefly/nymph')!.usualMm).toBeCloseTo(20, 9);
    expect(grown.get('earlier stonefly/nymph')!.lowMm).toBeCloseTo(17 / 0.95, 9);
  });
  test('a range never crosses itself, and there and back is where it was', () => {
    for (const stage of KEY.ids) {
      for (const grown of growingOn(GROWING_ON, stage, 10)) {
        expect(grown.lowMm).toBeLessThanOrEqual(grown.usualMm);
        expect(grown.usualMm).toBeLessThanOrEqual(grown.highMm);
        const back = growingOn(GROWING_ON, grown.stage, grown.usualMm).find((other) => other.stage === stage && other.direction !== grown.direction);
        if (back) expect(back.usualMm).toBeCloseTo(10, 0);
      }
    }
  });
  test('the belly of a spinner is usually darker and redder than the dun, back again lighter, and a way with no step of its own says nothing', () => {
    const spinner = of('mayfly/dun', 8).get('later mayfly/spinner')!;
    expect(spinner.drift).toEqual([[-14, -2], [1, 10], [-4, 6]]);
    const dun = of('mayfly/spinner', 8).get('earlier mayfly/dun')!;
    expect(dun.drift).toEqual([[2, 14], [-10, -1], [-6, 4]]);
    expect(of('mayfly/dun', 8).get('later mayfly/spent')!.drift).toEqual([[-16, 4], [-2, 11], [-8, 8]]);
    expect(of('mayfly/emerger', 8).get('later mayfly/dun')!.drift).toBeNull();
    expect(driftedLab([60, 0, 30], spinner.drift!)).toEqual({ usual: [52, 5.5, 31], low: [46, 1, 26], high: [58, 10, 36] });
    expect(driftedLab([1, 0, 0], spinner.drift!).usual[0]).toBe(0);
  });
  test('a stage that is not offered is not named', () => expect(growingOn(GROWING_ON, 'mayfly/mature-nymph', 10, (stage) => stage !== 'mayfly/emerger').map((grown) => grown.stage)).not.toContain('mayfly/emerger'));
  test('no film emerger is offered where only kinds that climb out are left', () => {
    const climbing = { ...KEY, members: KEY.members.map((members) => members.filter(({ group }) => group.hatch === 'climbs')) };
    const belief = (key: typeof KEY) => believe(key, see({ wings: 'dark-pads' }));
    expect(leadsTo(KEY, belief(KEY), 'mayfly/mature-nymph', 'mayfly/emerger')).toBe(true);
    expect(leadsTo(climbing, belief(climbing), 'mayfly/mature-nymph', 'mayfly/emerger')).toBe(false);
    expect(leadsTo(climbing, belief(climbing), 'mayfly/mature-nymph', 'mayfly/dun')).toBe(true);
  });
  test('a soft larva was longer before the spirit, a nymph was not', () => {
    expect(unshrunk(GROWING_ON, 'midge/larva', 9.6)).toBeCloseTo(10, 9);
    expect(unshrunk(GROWING_ON, 'mayfly/nymph', 9.6)).toBe(9.6);
  });
});

test('of the written cases at least 85 in a hundred are first and 95 in two', () => {
  expect(cases.length).toBeGreaterThanOrEqual(80);
  const results = cases.map((item) => {
    const signs = { ...item.signs, ...(item.found ? { found: item.found } : {}), ...(item.doing ? { doing: item.doing } : {}), ...(item.light ? { light: item.light } : {}) } as Sighting['signs'];
    return ranked(believe(KEY, see(signs, { month: item.month, water: item.water, lengthMm: item.length_mm === null ? null : { mm: item.length_mm, sd: 0.5 } })).p).findIndex((index) => KEY.ids[index] === item.truth);
  });
  expect(results.filter((place) => place === 0).length / results.length).toBeGreaterThanOrEqual(0.85);
  expect(results.filter((place) => place < 2).length / results.length).toBeGreaterThanOrEqual(0.95);
});
