import fc from 'fast-check';
import { ANSWERS, COLOUR_WORDS, GROUPS, GROWING_ON, KEY } from '@/catalogue/key';
import cases from '@/catalogue/cases.json';
import type { StageId } from '@/catalogue/ids';
import { labOfHex } from '../colour';
import {
  believe,
  byGroup,
  byStage,
  driftedLab,
  gainBits,
  growingOn,
  leadsTo,
  lookalike,
  nextSign,
  NOTHING_SEEN,
  prepareKey,
  weightsOfEvidence,
  ranked,
  unshrunk,
  written,
  type AskedId,
  type Sighting,
} from './index';
import {
  caseLikelihood,
  colourLikelihood,
  lengthLikelihood,
  monthLikelihood,
  usualColour,
  waterLikelihood,
} from './evidence';

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
  test('every stage says something of every sign, or that it does not apply, which only what needs another sign may', () => {
    for (const [stage, { signs }] of Object.entries(KEY.data.stages)) {
      expect([stage, Object.keys(signs)]).toEqual([stage, asked]);
      for (const sign of asked)
        if (signs[sign] === null)
          expect([stage, sign, KEY.data.signs[sign]!.needs !== undefined]).toEqual([stage, sign, true]);
    }
  });
  test('what a sign needs is an answer of a sign that needs nothing', () => {
    for (const { needs } of Object.values(KEY.data.signs))
      if (needs) {
        expect(KEY.data.signs[needs.sign]!.needs).toBeUndefined();
        for (const answer of needs.answers) expect(ANSWERS[needs.sign]).toContain(answer);
      }
  });
  test('a row is what is written but for the error of its observers, and nothing falls under that error', () => {
    for (const sign of asked) {
      const { error } = KEY.data.signs[sign]!;
      const moved = new Set(
        KEY.data.mistakes.filter((mistake) => mistake.sign === sign).flatMap(({ stages }) => stages),
      );
      KEY.table[sign].forEach((row, stage) => {
        const said = written(KEY.data.stages[KEY.ids[stage]!]!.signs[sign], KEY.answers[sign]);
        expect(row.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
        if (!moved.has(KEY.ids[stage]!))
          row.forEach((value, index) => expect(value).toBeCloseTo((1 - error) * said[index]! + error / row.length, 12));
        expect(Math.min(...row)).toBeGreaterThanOrEqual(error / row.length - 1e-12);
      });
    }
  });
  test('a sign that needs another is read by it: there, it says what it says; not there, nothing; unsaid, it speaks for stages that have it', () => {
    const dust = { 'wing-skin': 'powdery' } as const;
    expect(first(see(dust)).stage).toBe('water-moth/adult');
    const against = (signs: Sighting['signs']) =>
      odds(see(signs), 'shrimp/adult') / odds(see(signs), 'water-moth/adult');
    expect(against(dust)).toBeLessThan(against({}) / 50);
    expect(believe(KEY, see({ ...dust, wings: 'none' })).p).toEqual(believe(KEY, see({ wings: 'none' })).p);
    const long = { 'tail-length': 'long' } as const;
    for (const stage of ['caddis/adult', 'midge/pupa'] as const)
      expect(odds(see(long), stage)).toBeLessThan(odds(see({}), stage));
    const roofed = (skin?: string) =>
      odds(see({ wings: 'roof', ...(skin ? { 'wing-skin': skin } : {}) }), 'caddis/adult');
    expect(roofed('hairy')).toBeGreaterThan(roofed());
  });
  test('weights name only known stages, signs and answers', () => {
    for (const [stage, { signs }] of Object.entries(KEY.data.stages)) {
      expect(KEY.ids).toContain(stage);
      for (const [sign, weights] of Object.entries(signs))
        for (const answer of Object.keys(weights ?? {})) expect(ANSWERS[sign as AskedId]).toContain(answer);
    }
    for (const table of [...Object.values(KEY.odds.seen), ...Object.values(KEY.odds.rise)])
      for (const stage of Object.keys(table)) expect(KEY.ids).toContain(stage);
  });
  test('114 groups: lengths in order, months of the year, stages of the list, colours that have a centre', () => {
    expect(GROUPS).toHaveLength(114);
    for (const group of GROUPS) {
      for (const month of group.months) expect(month).toBeGreaterThanOrEqual(1);
      for (const entry of group.stages) {
        expect(KEY.ids).toContain(entry.stage);
        if (entry.length_mm)
          expect([group.id, entry.stage, [...entry.length_mm].sort((a, b) => a - b)]).toEqual([
            group.id,
            entry.stage,
            [...entry.length_mm],
          ]);
        for (const shade of entry.shades)
          expect(KEY.colours.hues[shade.split('-')[1]!]![shade.split('-')[0]!]).toHaveLength(3);
      }
    }
  });
  test('no film emerger for what climbs out', () => {
    for (const group of GROUPS.filter((item) => item.hatch === 'climbs'))
      expect(
        group.stages.filter((entry) =>
          ['mayfly/emerger', 'mayfly/cripple', 'caddis/emerging-pupa'].includes(entry.stage),
        ),
      ).toEqual([]);
  });
  test('a known mistake moves its share from the true answer to the one that is given', () => {
    const only = (mistakes: typeof KEY.data.mistakes) => prepareKey({ ...KEY, data: { ...KEY.data, mistakes } });
    const plain = only([]);
    const lost = only([{ sign: 'tails', from: '2', to: '1', rate: 0.25, stages: ['mayfly/spent'] }]);
    const spent = KEY.ids.indexOf('mayfly/spent');
    const [one, two] = [ANSWERS.tails.indexOf('1'), ANSWERS.tails.indexOf('2')];
    const { error } = KEY.data.signs.tails!;
    // Observers' error is laid over both alike.
    const bare = (key: typeof KEY, answer: number) =>
      (key.table.tails[spent]![answer]! - error / ANSWERS.tails.length) / (1 - error);
    expect(bare(lost, two)).toBeCloseTo(bare(plain, two) * 0.75, 9);
    expect(bare(lost, one)).toBeCloseTo(bare(plain, one) + bare(plain, two) * 0.25, 9);
  });
});

describe('what is believed', () => {
  test.each<[Sighting['signs'], StageId]>([
    [{ wings: 'cloudy-upright', tails: '2' }, 'mayfly/dun'],
    [{ wings: 'flat-out', doing: 'spent' }, 'mayfly/spent'],
    [{ wings: 'roof', 'wing-skin': 'hairy' }, 'caddis/adult'],
    [{ case: 'stone' }, 'caddis/cased-larva'],
    [{ claws: '2', tails: '2', wings: 'pads' }, 'stonefly/nymph'],
    [{ gills: 'breathers' }, 'midge/pupa'],
    [{ tails: 'plates' }, 'damselfly/nymph'],
    [{ legs: 'many', body: 'curved' }, 'shrimp/adult'],
    [{ shuck: 'trailing', found: 'film', tails: '3' }, 'mayfly/emerger'],
  ])('%j is a %s', (signs, stage) => expect(first(see(signs)).stage).toBe(stage));
  test('odds sum to 1 and are never lost, whatever was noted', () => {
    const signs = fc.record(
      Object.fromEntries(asked.map((sign) => [sign, fc.option(fc.constantFrom(...ANSWERS[sign]), { nil: undefined })])),
    );
    fc.assert(
      fc.property(
        signs,
        fc.option(fc.integer({ min: 1, max: 12 })),
        fc.option(fc.double({ min: 0.5, max: 120, noNaN: true })),
        (noted, month, mm) => {
          const { p } = believe(
            KEY,
            see(noted as Sighting['signs'], { month, lengthMm: mm === null ? null : { mm, sd: 0.4 } }),
          );
          expect(p.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
          expect(p.every((value) => Number.isFinite(value) && value >= 0)).toBe(true);
        },
      ),
      { numRuns: 40 },
    );
  });
  test('the order in which signs are given does not matter, and an answer can be taken back', () => {
    const one = believe(KEY, see({ wings: 'roof', tails: '0' })).p;
    const other = believe(KEY, see({ tails: '0', wings: 'roof' })).p;
    one.forEach((value, index) => expect(other[index]).toBeCloseTo(value, 12));
    expect(believe(KEY, see({ wings: undefined })).p).toEqual(believe(KEY, see({})).p);
  });
  test('an unknown answer is no evidence', () =>
    expect(believe(KEY, see({ wings: 'unknown' })).p).toEqual(believe(KEY, see({})).p));
  test('one wrong sign does not undo three right ones', () =>
    expect(first(see({ tails: '1', claws: '2', wings: 'pads', body: 'flat', found: 'under-stone' })).stage).toBe(
      'stonefly/nymph',
    ));
  test('signs of one cause count less than signs of two where they are tempered', () => {
    const tempered = { ...KEY, data: { ...KEY.data, temper: 0.8 } };
    const adult = see({ wings: 'clear-upright', finish: 'glossy', 'tail-length': 'long' });
    const stage = KEY.ids.indexOf('mayfly/spinner');
    expect(believe(tempered, adult).p[stage]).toBeLessThan(believe(KEY, adult).p[stage]!);
  });
  test('tails count once: three of them lift a nymph against an adult only as far as the groups have them', () => {
    const three = byStage(KEY, believe(KEY, see({ tails: '3', found: 'sleeve' }, { month: 6 })));
    expect(three[0]!.stage).toMatch(/^mayfly\/(dun|spinner)$/);
    const member = KEY.members[KEY.ids.indexOf('mayfly/dun')]!.find(({ group }) => group.adult_tails?.join() === '3')!;
    expect(member.tails[ANSWERS.tails.indexOf('3')]).toBeGreaterThan(10 * member.tails[ANSWERS.tails.indexOf('1')]!);
    expect(member.tails.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
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
    const big = byGroup(
      KEY,
      believe(
        KEY,
        see({ wings: 'cloudy-upright' }, { month: 5, region: 'palearctic-west', lengthMm: { mm: 19, sd: 0.5 } }),
      ),
    )[0]!;
    expect(big.group.scientific).toMatch(/Ephemera/);
    const yellow = byGroup(
      KEY,
      believe(
        KEY,
        see({ wings: 'cloudy-upright' }, { month: 6, lengthMm: { mm: 9.5, sd: 0.5 }, belly: labOfHex('#d8c24a') }),
      ),
    )[0]!;
    expect(yellow.group.colours.dun).toMatch(/yellow/);
  });
  test('tails of the adults are a fact of the group', () => {
    const share = (tails: string) =>
      byGroup(KEY, believe(KEY, see({ wings: 'cloudy-upright', tails }, { month: 5 })), 0)
        .filter(({ group }) => group.adult_tails?.length === 1 && group.adult_tails[0] === 3)
        .reduce((sum, { p }) => sum + p, 0);
    expect(share('3')).toBeGreaterThan(2 * share('2'));
  });
  test('what is seen on the water, and how fish rise, shifts the odds without a specimen', () => {
    expect(odds(see({}, { seen: ['females-on-posts'] }), 'mayfly/diver')).toBeGreaterThan(
      5 * odds(see({}), 'mayfly/diver'),
    );
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
    const doubt = (p: readonly number[]) =>
      -p.reduce((sum, value) => (value > 0 ? sum + value * Math.log2(value) : sum), 0);
    fc.assert(
      fc.property(
        fc.constantFrom(...asked),
        fc.dictionary(fc.constantFrom(...asked), fc.nat(1), { maxKeys: 4 }),
        fc.option(fc.constantFrom(3, 7, 10)),
        (sign, heard, month) => {
          const signs = Object.fromEntries(
            Object.entries(heard).map(([other, index]) => [other, ANSWERS[other as AskedId][index]]),
          );
          const sighting = see(signs, { month, lengthMm: { mm: 8, sd: 0.4 } });
          const belief = believe(KEY, sighting);
          // By the definition: the odds of an answer are what the belief holds of it, and what cannot be seen leaves things as they are.
          const needs = KEY.data.signs[sign]!.needs;
          const parent = needs && signs[needs.sign];
          const silent = parent !== undefined && parent !== null && !needs!.answers.includes(parent);
          const rows = needs && parent === undefined ? KEY.alone[sign] : KEY.table[sign];
          const row = (stage: number, index: number) =>
            sign === 'tails'
              ? KEY.members[stage]!.reduce(
                  (sum, { tails }, member) => sum + belief.groupWeights[stage]![member]! * tails[index]!,
                  0,
                )
              : rows[stage]![index]!;
          const expected = silent
            ? 0
            : ANSWERS[sign].reduce((gain, answer, index) => {
                const chance = belief.p.reduce((sum, p, stage) => sum + p * row(stage, index), 0);
                return (
                  gain +
                  chance *
                    (doubt(belief.p) - doubt(believe(KEY, { ...sighting, signs: { ...signs, [sign]: answer } }).p))
                );
              }, 0);
          expect(signs[sign] === undefined ? gainBits(KEY, sighting, belief, sign) : expected).toBeCloseTo(expected, 5);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('the next sign is open, not skipped, and worth the most', () => {
    const sighting = see({ found: 'surface' }, { month: 5 });
    const belief = believe(KEY, sighting);
    const next = nextSign(KEY, sighting, belief)!;
    expect(next.sign).not.toBe('found');
    for (const sign of asked.filter((other) => other !== 'found'))
      expect(gainBits(KEY, sighting, belief, sign)).toBeLessThanOrEqual(next.bits + 1e-9);
    expect(nextSign(KEY, sighting, belief, [next.sign])!.sign).not.toBe(next.sign);
  });
  test('it ends when everything is answered', () => {
    const signs = Object.fromEntries(asked.map((sign) => [sign, ANSWERS[sign][0]]));
    expect(nextSign(KEY, see(signs), believe(KEY, see(signs)))).toBeNull();
  });
  test('each answered sign says which way it pulls', () => {
    const sighting = see({ wings: 'cloudy-upright', tails: '1' });
    const drawn = weightsOfEvidence(KEY, sighting, believe(KEY, sighting));
    expect(drawn.find((item) => item.sign === 'wings')!.bits).toBeGreaterThan(1);
    expect(drawn.map((item) => Math.abs(item.bits))).toEqual(
      [...drawn.map((item) => Math.abs(item.bits))].sort((a, b) => b - a),
    );
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
  const of = (stage: StageId, mm: number) =>
    new Map(growingOn(GROWING_ON, stage, mm).map((grown) => [`${grown.direction} ${grown.stage}`, grown]));
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
        const back = growingOn(GROWING_ON, grown.stage, grown.usualMm).find(
          (other) => other.stage === stage && other.direction !== grown.direction,
        );
        if (back) expect(back.usualMm).toBeCloseTo(10, 0);
      }
    }
  });
  test('the belly of a spinner is usually darker and redder than the dun, back again lighter, and a way with no step of its own says nothing', () => {
    const spinner = of('mayfly/dun', 8).get('later mayfly/spinner')!;
    expect(spinner.drift).toEqual([
      [-14, -2],
      [1, 10],
      [-4, 6],
    ]);
    const dun = of('mayfly/spinner', 8).get('earlier mayfly/dun')!;
    expect(dun.drift).toEqual([
      [2, 14],
      [-10, -1],
      [-6, 4],
    ]);
    expect(of('mayfly/dun', 8).get('later mayfly/spent')!.drift).toEqual([
      [-16, 4],
      [-2, 11],
      [-8, 8],
    ]);
    expect(of('mayfly/emerger', 8).get('later mayfly/dun')!.drift).toBeNull();
    expect(driftedLab([60, 0, 30], spinner.drift!)).toEqual({
      usual: [52, 5.5, 31],
      low: [46, 1, 26],
      high: [58, 10, 36],
    });
    expect(driftedLab([1, 0, 0], spinner.drift!).usual[0]).toBe(0);
  });
  test('a stage that is not offered is not named', () =>
    expect(
      growingOn(GROWING_ON, 'mayfly/mature-nymph', 10, (stage) => stage !== 'mayfly/emerger').map(
        (grown) => grown.stage,
      ),
    ).not.toContain('mayfly/emerger'));
  test('no film emerger is offered where only kinds that climb out are left', () => {
    const climbing = {
      ...KEY,
      members: KEY.members.map((members) => members.filter(({ group }) => group.hatch === 'climbs')),
    };
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

describe('what is no sign weighs as a likelihood that sums to one over what could have been said', () => {
  const group = (id: string) => GROUPS.find((item) => item.id === id)!;
  const entry = (id: string, stage: StageId) => group(id).stages.find((item) => item.stage === stage)!;
  test('months and waters', () => {
    for (const { members } of [KEY])
      for (const [index] of KEY.ids.entries())
        for (const member of members[index]!) {
          expect(
            [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].reduce(
              (sum, month) => sum + monthLikelihood(member.group, member.entry, member.young, month),
              0,
            ),
          ).toBeCloseTo(1, 9);
          expect(
            ['fast', 'slow', 'still'].reduce((sum, water) => sum + waterLikelihood(member.group, water), 0),
          ).toBeCloseTo(1, 9);
        }
  });
  test('lengths: a density over the millimetre, and spans that are its shares', () => {
    for (const range of [[6, 8, 10.5], [2, 2.4, 9], null] as const) {
      let area = 0;
      for (let mm = 0.5; mm < 120; mm += 0.01) area += 0.01 * lengthLikelihood(range, { mm, sd: 0.4 });
      expect(area).toBeCloseTo(1, 2);
      const bounds = [null, 3, 5, 7, 10, 14, 20, 30, null];
      expect(
        bounds
          .slice(1)
          .reduce<number>((sum, toMm, index) => sum + lengthLikelihood(range, { fromMm: bounds[index]!, toMm }), 0),
      ).toBeCloseTo(1, 9);
    }
  });
  test('an open end is one-sided: forty millimetres of nymph go with over 30, not with 20 to 30', () => {
    const giant = entry('s01', 'stonefly/nymph');
    expect(lengthLikelihood(giant.length_mm, { fromMm: 30, toMm: null })).toBeGreaterThan(0.7);
    expect(lengthLikelihood(giant.length_mm, { fromMm: 20, toMm: 30 })).toBeLessThan(0.2);
    expect(
      byGroup(KEY, believe(KEY, see({ gills: 'leg-roots', tails: '2' }, { lengthMm: { fromMm: 30, toMm: null } })))[0]!
        .group.id,
    ).toBe('s01');
  });
  test('colours: every word has an equal share, so that four words are no better than one for the colour of one', () => {
    const lab = KEY.colours.hues.olive!.mid!;
    const one = colourLikelihood(KEY, ['mid-olive'], lab, 0);
    expect(colourLikelihood(KEY, ['mid-olive', 'mid-orange', 'pale-white', 'dark-black'], lab, 0)).toBeLessThan(
      one / 3,
    );
    expect(colourLikelihood(KEY, [], lab, usualColour(KEY, lab))).toBeGreaterThan(
      colourLikelihood(KEY, ['mid-orange'], lab, 0),
    );
  });
  test('every word of the list is told from the others by its own centre', () => {
    for (const [hue, tones] of Object.entries(COLOUR_WORDS.hues))
      for (const [tone, lab] of Object.entries(tones))
        for (const other of Object.keys(COLOUR_WORDS.hues)) {
          expect(colourLikelihood(KEY, [`${tone}-${hue}`], lab, 0)).toBeGreaterThanOrEqual(
            colourLikelihood(KEY, [`${tone}-${other}`], lab, 0),
          );
        }
  });
  test('a case that was measured speaks for what lives in one, and for the size of it', () => {
    expect(first(see({}, { caseMm: { mm: 22, sd: 0.5 } })).stage).toBe('caddis/cased-larva');
    const purse = entry('c08', 'caddis/cased-larva');
    expect(caseLikelihood(purse, { mm: 4, sd: 0.4 })).toBeGreaterThan(50 * caseLikelihood(purse, { mm: 22, sd: 0.4 }));
  });
  test('each figure of what weighs, worked by hand', () => {
    const made = (stage: StageId, more: object) => ({
      ...group('m01'),
      waters: ['fast'],
      months: [5, 6],
      ...more,
      stages: [{ stage, length_mm: null, shades: [] }],
    });
    const dun = made('mayfly/dun', {});
    // Months asked 0.4 0.5 0.8 and six of 1 then 0.8 0.5 0.4; a month beside the season 0.45, further off 0.08: together 3.332.
    expect([5, 4, 3, 12].map((month) => monthLikelihood(dun, dun.stages[0]!, false, month))).toEqual(
      [1 / 3.332, 0.45 / 3.332, 0.064 / 3.332, 0.032 / 3.332].map((value) => expect.closeTo(value, 6)),
    );
    expect(monthLikelihood(made('mayfly/nymph', {}), made('mayfly/nymph', {}).stages[0]!, true, 1)).toBeCloseTo(
      0.4 / 9.4,
      6,
    );
    expect([
      waterLikelihood(dun, 'fast'),
      waterLikelihood(dun, 'still'),
      waterLikelihood({ ...dun, waters: [] }, 'still'),
    ]).toEqual([1 / 1.5, 0.25 / 1.5, 1 / 3].map((value) => expect.closeTo(value, 9)));
    // Of any length 0.03, as likely in each doubling from 0.5 to 120 mm (ln 240 = 5.4806).
    expect(lengthLikelihood([6, 8, 10.5], { mm: 60, sd: 0.4 })).toBeCloseTo(0.03 / (60 * 5.4806), 8);
    expect(lengthLikelihood([8, 8, 8], { mm: 8, sd: 0 })).toBeCloseTo((0.97 * 0.398942) / 0.3 + 0.03 / (8 * 5.4806), 4);
    // A bound of 11 by eye is good to 0.88: with 0.3 of the range 0.9297, so that 1.0756 deviations lie above.
    expect(lengthLikelihood([9.99, 10, 10.01], { fromMm: 11, toMm: null })).toBeCloseTo(
      0.97 * 0.14105 + 0.03 * 0.43601,
      4,
    );
    // A larva of 10 has a case of 10.5, 12, 15: sides 0.75 and 1.5.
    expect(
      caseLikelihood({ stage: 'caddis/cased-larva', length_mm: [10, 10, 10], shades: [] }, { mm: 12, sd: 0 }),
    ).toBeCloseTo((0.97 * 2 * 0.398942) / 2.25 + 0.03 / (12 * 5.4806), 4);
    expect(colourLikelihood(KEY, [], [50, 0, 0], 0)).toBeCloseTo(0.25 / 800_000, 12);
  });
  test('nothing is said of the water until it is', () =>
    expect(believe(KEY, see({ tails: '3' })).p).not.toEqual(believe(KEY, see({ tails: '3' }, { water: 'slow' })).p));
});

test('everything said says what it did, signs and the rest alike: the odds with it over the odds without', () => {
  const sighting = see(
    { wings: 'cloudy-upright', found: 'surface' },
    {
      month: 5,
      water: 'slow',
      lengthMm: { mm: 8, sd: 0.4 },
      belly: labOfHex('#8a8a4a'),
      seen: ['duns'],
      rise: 'ring-with-bubble',
    },
  );
  const drawn = weightsOfEvidence(KEY, sighting, believe(KEY, sighting));
  expect(drawn.map(({ sign }) => sign).sort()).toEqual([
    'belly',
    'found',
    'length',
    'month',
    'rise',
    'seen',
    'water',
    'wings',
  ]);
  const ratio = (p: number) => p / (1 - p);
  const dun = (more: Partial<Sighting>) => ratio(odds({ ...sighting, ...more }, 'mayfly/dun'));
  expect(drawn.find(({ sign }) => sign === 'month')!.bits).toBeCloseTo(Math.log2(dun({}) / dun({ month: null })), 6);
  expect(drawn.find(({ sign }) => sign === 'seen')!.bits).toBeCloseTo(Math.log2(dun({}) / dun({ seen: [] })), 6);
});

describe('of the insects that readers named', () => {
  test.each<[string, Sighting['signs'], Partial<Sighting>, StageId]>([
    [
      'a raft in winter is a cluster',
      { found: 'surface', doing: 'rafted', wings: 'flat-on-back' },
      { month: 1, lengthMm: { mm: 2.5, sd: 0.4 } },
      'midge/cluster',
    ],
    [
      'two claws on an upright-winged fly do not make it a nymph',
      { claws: '2', wings: 'cloudy-upright' },
      {},
      'mayfly/dun',
    ],
    [
      'a grub on top of a stone in fast water is a black fly',
      { found: 'on-stone', body: 'grub', legs: 'none' },
      { water: 'fast' },
      'black-fly/larva',
    ],
    ['two tails in gravel', { tails: '2', found: 'gravel', legs: 'six' }, {}, 'stonefly/nymph'],
    ['a sealed case of plant holds a pupa', { case: 'plant', 'case-end': 'sealed' }, {}, 'caddis/pupa'],
    ['a waist and elbowed feelers', { waist: 'narrow', antennae: 'elbowed', wings: 'none' }, {}, 'ant/worker'],
    ['crossed wings and oars', { wings: 'crossed', legs: 'rowing' }, { water: 'still' }, 'water-boatman/adult'],
    ['wings rolled round the body', { wings: 'rolled' }, {}, 'stonefly/adult'],
    ['wings half out, three tails', { wings: 'half-out', tails: '3' }, {}, 'mayfly/emerger'],
  ])('%s', (_, signs, more, stage) => expect(first(see(signs, more)).stage).toBe(stage));
  test('a web hangs with adults', () =>
    expect(odds(see({ found: 'web' }), 'mayfly/nymph')).toBeLessThan(
      0.1 * odds(see({ found: 'web' }), 'mayfly/spinner'),
    ));
});

test('of the written cases at least 85 in a hundred are first and 95 in two', () => {
  expect(cases.length).toBeGreaterThanOrEqual(160);
  const results = cases.map((item) => {
    const signs = {
      ...item.signs,
      ...(item.found ? { found: item.found } : {}),
      ...(item.doing ? { doing: item.doing } : {}),
      ...(item.light ? { light: item.light } : {}),
    } as Sighting['signs'];
    return ranked(
      believe(
        KEY,
        see(signs, {
          month: item.month,
          water: item.water,
          lengthMm: item.length_mm === null ? null : { mm: item.length_mm, sd: 0.5 },
        }),
      ).p,
    ).findIndex((index) => KEY.ids[index] === item.truth);
  });
  expect(results.filter((place) => place === 0).length / results.length).toBeGreaterThanOrEqual(0.85);
  expect(results.filter((place) => place < 2).length / results.length).toBeGreaterThanOrEqual(0.95);
});
