import fc from 'fast-check';
import { GROUPS } from '@/catalogue';
import triggers from '@/catalogue/triggers.json';
import {
  bandOfStage,
  BANDS,
  bandSeen,
  bandsOf,
  broughtOn,
  clockOf,
  comesOf,
  dayOfYear,
  daysAfter,
  degreeDays,
  fitDegreeDays,
  FROM_H,
  hourAt,
  hourOf,
  hoursSince,
  learnt,
  lightOf,
  nextUp,
  NOT_LEARNT,
  placeTenth,
  proposeMoves,
  shownBands,
  stampAt,
  T0,
  t0Of,
  warmthFrom,
  STAGE_OF,
  toldBefore,
  upAt,
  upNow,
  type BandId,
  type HatchDay,
  type HatchGroup,
  type Witness,
} from '.';
import { hoursAhead, zoneAt } from './zone';
import { chanceOf, curveOf, seasonOf, spansOf, warmEnough, worthOf } from './bands';

const minutes = (hours: number) => Math.round(hours * 60);

describe('light', () => {
  test('of midsummer at 51.5° N on the meridian, as almanacs have it: sunrise 03:43, sunset 20:21 UT, a clock an hour ahead an hour later', () => {
    const there = { lat: 51.5, lon: 0 };
    const { rise, set, firstLight, dark, about } = lightOf('2033-06-21', { ...there, zone: 'UTC' });
    expect(Math.abs(minutes(rise) - (3 * 60 + 43))).toBeLessThanOrEqual(2);
    expect(Math.abs(minutes(set) - (20 * 60 + 21))).toBeLessThanOrEqual(2);
    // Civil twilight there takes about 48 min.
    expect(minutes(rise - firstLight)).toBeGreaterThan(40);
    expect(minutes(dark - set)).toBeLessThan(56);
    expect(about).toBe(false);
    const ahead = lightOf('2033-06-21', { ...there, zone: 'Etc/GMT-1' });
    expect(minutes(ahead.rise - rise)).toBe(60);
  });
  test('is by the clock kept there, in summer an hour on; where a zone is not known, by this device’s', () => {
    const there = { lat: 51.5, lon: 0 };
    const zone = zoneAt(there.lat, there.lon);
    expect([hoursAhead(zone, '2033-06-21'), hoursAhead(zone, '2033-12-21')]).toEqual([1, 0]);
    expect(
      minutes(lightOf('2033-06-21', { ...there, zone }).rise - lightOf('2033-06-21', { ...there, zone: 'UTC' }).rise),
    ).toBe(60);
    // Half hours, the other side of the date line, and the open sea, where a zone is fifteen degrees.
    expect(hoursAhead(zoneAt(27.5, 85.3), '2033-06-21')).toBe(5.75);
    expect([hoursAhead(zoneAt(-41.3, 172.8), '2033-12-21'), hoursAhead(zoneAt(-41.3, 172.8), '2033-06-21')]).toEqual([
      13, 12,
    ]);
    expect(hoursAhead(zoneAt(0, -140), '2033-06-21')).toBe(-9);
    expect(lightOf('2033-06-21', { ...there, zone: 'Nowhere/At_All' })).toEqual(
      lightOf('2033-06-21', { ...there, zone: null }),
    );
  });
  test('where the sun does not set, or does not rise, a day still has a length', () => {
    const north = { lat: 70, lon: 20, zone: 'UTC' };
    const [summer, winter] = [lightOf('2033-06-21', north), lightOf('2033-12-21', north)];
    expect(summer.dark - summer.firstLight).toBe(22);
    expect(winter.rise).toBeLessThan(winter.set);
    expect(winter.dark - winter.firstLight).toBeLessThan(8);
  });
  test('of a place that is not known a middle latitude stands in, turned in the south', () => {
    const north = lightOf('2033-06-21', null);
    expect(north.about).toBe(true);
    expect(north.set - north.rise).toBeGreaterThan(16);
    expect(lightOf('2033-06-21', null, true).set - lightOf('2033-06-21', null, true).rise).toBeLessThan(8.5);
  });
  test('places are kept to a tenth of a degree; hours and days are read from stamps', () => {
    expect([placeTenth(54.2345), placeTenth(-2.37)]).toEqual([54.2, -2.4]);
    expect([hourOf('2033-05-24T16:30'), dayOfYear('2033-03-01'), dayOfYear('2032-12-31T10:00')]).toEqual([
      16.5, 60, 366,
    ]);
    expect([stampAt('2033-05-24', 16.5), stampAt('2033-12-31', 24.25), stampAt('2033-05-24', -0.5)]).toEqual([
      '2033-05-24T16:30',
      '2034-01-01T00:15',
      '2033-05-23T23:30',
    ]);
    expect([hoursSince('2033-05-24T10:00', '2033-05-24T16:30'), hoursSince('2033-05-24', '2033-05-25T00:15')]).toEqual([
      16.5, 24.25,
    ]);
    expect([clockOf(16.5), clockOf(24.75), clockOf(-0.5), clockOf(9.99)]).toEqual(['16:30', '00:45', '23:30', '10:00']);
  });
});

const group = (more: Partial<HatchGroup> = {}): HatchGroup => ({
  id: 'g1',
  order: 'mayfly',
  name: 'olive',
  regions: [],
  waters: ['fast'],
  months: [4, 5],
  hours: [[12, 15]],
  hatch: 'film',
  stages: [{ stage: 'mayfly/dun', length_mm: [7, 8, 9] }],
  ...more,
});
const light = { firstLight: 4, rise: 5, set: 21, dark: 22, about: false };
const day = (more: Partial<HatchDay> = {}): HatchDay => ({
  date: '2033-05-10',
  light,
  south: false,
  fauna: null,
  kind: null,
  waterC: null,
  sky: null,
  wind: null,
  ...more,
});
const at = (band: BandId, own: Partial<HatchGroup> = {}, on: Partial<HatchDay> = {}) =>
  comesOf(band, day(on), [group(own)], []).map((one) => one.at)[0] ?? null;

describe('when a group does what', () => {
  test.each([
    ['in the middle of its months', [4, 5, 6], '2033-05-10', 0.6],
    ['on the first of them', [4, 5], '2033-04-01', (0.6 * 16) / 30],
    ['near the end of them', [4, 5], '2033-05-31', (0.6 * 15) / 30],
    ['a week before', [5], '2033-04-24', 0.12],
    ['three weeks before', [5], '2033-04-10', 0],
    ['half a year away', [5], '2033-11-10', 0],
    ['all the year', [], '2033-11-10', 0.6],
  ])('season: %s', (_, months, date, share) => {
    expect(seasonOf(months, date, false)).toBeCloseTo(share, 9);
  });
  test('south of the equator the year is turned', () => {
    expect(seasonOf([5], '2033-11-10', true)).toBeGreaterThan(0.3);
    expect(seasonOf([5], '2033-05-10', true)).toBe(0);
  });
  test('a water colder than the trigger holds it back: 1.5 °C under it 0.6 of it comes, and only in the months the trigger is of', () => {
    const own = [{ groups: ['g1'], c: [10, 12], months: [4, 5] }];
    const warm = (waterC: number | null, date = '2033-05-10') => warmEnough('g1', day({ waterC, date }), own);
    expect([warm(null), warm(10), warm(14)]).toEqual([1, 1, 1]);
    expect(warm(8.5)).toBeCloseTo(Math.exp(-0.5), 9);
    expect(warm(4)).toBeLessThan(0.001);
    expect(warm(4, '2033-06-10')).toBe(1);
    expect(warmEnough('g2', day({ waterC: 4 }), own)).toBe(1);
  });
  test('hours of each band', () => {
    expect(at('mayfly/hatch')).toEqual([[12, 15]]);
    expect(at('mayfly/hatch', {}, { sky: 'drizzle' })).toEqual([[11.5, 16.5]]);
    expect(at('mayfly/hatch', { stages: [{ stage: 'mayfly/dun', length_mm: [9, 10, 12] }] }, { sky: 'cloud' })).toEqual(
      [[12, 15]],
    );
    expect(at('mayfly/hatch', {}, { sky: 'sun' })).toEqual([[12, 15]]);
    expect(at('mayfly/hatch', { hatch: 'climbs' })).toBeNull();
    expect(at('mayfly/rise')).toEqual([[10, 12.5]]);
    expect(at('mayfly/rise', { hatch: 'climbs' })).toBeNull();
    expect(at('mayfly/fall')).toEqual([[19.5, 22]]);
    const tiny = { stages: [{ stage: 'mayfly/dun', length_mm: [3, 4, 5] }], months: [5, 6, 7, 8] };
    expect(at('mayfly/fall', tiny)).toEqual([[19.5, 22]]);
    expect(at('mayfly/fall', tiny, { date: '2033-07-10' })).toEqual([[8, 10.5]]);
    expect(at('caddis/hatch', { order: 'caddis', hatch: 'rises' })).toEqual([[12, 15]]);
    expect(at('caddis/fall', { order: 'caddis' })).toEqual([[19.5, 22.5]]);
    expect(at('stonefly/hatch', { order: 'stonefly', hatch: 'climbs' })).toEqual([[3, 8]]);
    expect(at('stonefly/fall', { order: 'stonefly' })).toEqual([[12, 15]]);
    expect(at('midge/hatch', { order: 'midge', hours: [] })).toEqual([
      [4, 8.5],
      [19, 22],
    ]);
    expect(at('midge/hatch', { order: 'midge', hours: [], months: [1, 2] }, { date: '2033-01-20' })).toEqual([
      [11, 15],
    ]);
    expect(at('land/blown', { order: 'ant', waters: [], hours: [] })).toEqual([[11, 18]]);
    // A beetle of the stream is not blown onto it.
    expect(at('land/blown', { order: 'beetle' })).toBeNull();
  });
  test('only groups of the fauna and of such waters; wind takes spinners away', () => {
    expect(at('mayfly/hatch', { regions: ['nearctic-east'] }, { fauna: 'palearctic-west' })).toBeNull();
    expect(at('mayfly/hatch', { regions: ['nearctic-east'] })).not.toBeNull();
    expect(at('mayfly/hatch', { waters: ['still'] }, { kind: 'river' })).toBeNull();
    expect(at('mayfly/hatch', { waters: ['slow'] }, { kind: 'stream' })).toBeNull();
    expect(at('mayfly/hatch', { waters: ['still'] }, { kind: 'lake' })).not.toBeNull();
    const q = (wind: HatchDay['wind']) => comesOf('mayfly/fall', day({ wind }), [group()], [])[0]!.q;
    expect(q('breeze') / q('still')).toBeCloseTo(0.8, 9);
    expect(q('wind') / q('still')).toBeCloseTo(0.3, 9);
  });
});

describe('the curve of a band', () => {
  const comes = comesOf('mayfly/hatch', day(), [group()], []);
  test('of one group that lives in a quarter of waters: in its season 0.15, over half of its most within its hours', () => {
    const season = seasonOf([4, 5], '2033-05-10', false);
    expect(chanceOf(comes, NOT_LEARNT)).toBeCloseTo(0.25 * season, 9);
    const curve = curveOf(comes, NOT_LEARNT);
    expect(hourAt(0)).toBe(FROM_H);
    // In the middle each end is 1.5 h away, 1.2 sd: Φ(1.2)² = 0.7831 of it.
    const peak = curve[Math.round((13.5 - FROM_H) * 4)]!;
    expect(peak).toBeCloseTo(0.25 * season * 0.8849 ** 2, 4);
    const [[on, off]] = spansOf(curve) as [[number, number]];
    expect(Math.abs(on - 12)).toBeLessThanOrEqual(0.25);
    expect(Math.abs(off - 15)).toBeLessThanOrEqual(0.25);
  });
  test('two groups together: at least one of them', () => {
    const two = comesOf('mayfly/hatch', day(), [group(), group({ id: 'g2' })], []);
    const one = chanceOf(comes, NOT_LEARNT);
    expect(chanceOf(two, NOT_LEARNT)).toBeCloseTo(1 - (1 - one) ** 2, 9);
  });
  test('stretches: near ones are one, short ones are none', () => {
    const curve = (ups: readonly [number, number][]) =>
      NOT_LEARNT.up.map((_, bin) => (ups.some(([on, off]) => hourAt(bin) >= on && hourAt(bin) <= off) ? 1 : 0));
    expect(
      spansOf(
        curve([
          [6, 8],
          [18, 20],
        ]),
      ),
    ).toEqual([
      [6, 8],
      [18, 20],
    ]);
    expect(
      spansOf(
        curve([
          [6, 8],
          [8.75, 10],
        ]),
      ),
    ).toEqual([[6, 10]]);
    expect(
      spansOf(
        curve([
          [6, 8],
          [9, 10],
        ]),
      ),
    ).toEqual([
      [6, 8],
      [9, 10],
    ]);
    expect(
      spansOf(
        curve([
          [6, 6.25],
          [9, 10],
        ]),
      ),
    ).toEqual([[9, 10]]);
    expect(spansOf(curve([[6, 6.5]]))).toEqual([[6, 6.5]]);
    expect(spansOf(NOT_LEARNT.up)).toEqual([]);
  });
});

describe('learning', () => {
  const comes = comesOf('mayfly/hatch', day(), [group()], []);
  const witness = (more: Partial<Witness> = {}): Witness => ({
    day: 130,
    comes,
    seen: [14, 15],
    from: 10,
    to: 18,
    ...more,
  });
  const q = chanceOf(comes, NOT_LEARNT);
  test('the book counts as one outing: it came on one of one, so (p + 1)/2; on one of two, (p + 1)/3', () => {
    expect(chanceOf(comes, learnt(130, [witness()]))).toBeCloseTo((q + 1) / 2, 9);
    expect(chanceOf(comes, learnt(130, [witness(), witness({ seen: null })]))).toBeCloseTo((q + 1) / (2 + 0.9), 1);
  });
  test('thirty days away it counts 0.6 as much, and over the turn of the year as well', () => {
    const near = Math.exp(-0.5);
    expect(chanceOf(comes, learnt(100, [witness()]))).toBeCloseTo((q + near) / (1 + near), 9);
    expect(chanceOf(comes, learnt(350, [witness({ day: 350 + 30 - 365.25 })]))).toBeCloseTo((q + near) / (1 + near), 9);
    expect(learnt(300, [witness()]).outings).toBe(0);
  });
  test('its hours move to where it was seen, and an hour past the last note', () => {
    const later = learnt(130, [witness({ seen: [16, 17] }), witness({ seen: [16.25, 17] })]);
    const [[on, off]] = spansOf(curveOf(comes, later)) as [[number, number]];
    expect(Math.abs(on - 16)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(off - 18)).toBeLessThanOrEqual(0.5);
  });
  test('it was up from its first note to an hour after its last, and at no other time somebody was there', () => {
    const { up, there } = learnt(130, [witness({ seen: [14, 15] })]);
    const at = (of: readonly number[], hour: number) => of[Math.round((hour - FROM_H) * 4)];
    expect([at(up, 13.75), at(up, 14), at(up, 16), at(up, 16.25)]).toEqual([0, 1, 1, 0]);
    expect([at(there, 9.75), at(there, 10), at(there, 18), at(there, 18.25)]).toEqual([0, 1, 1, 0]);
  });
  test('one who was there for three tenths of it counts by as much, for less not at all', () => {
    const hours = (to: number) => learnt(130, [witness({ seen: null, from: 5, to })]);
    const share = (to: number) => {
      const curve = curveOf(comes, NOT_LEARNT);
      const all = curve.reduce((sum, own) => sum + own, 0);
      return curve.filter((_, bin) => hourAt(bin) >= 5 && hourAt(bin) <= to).reduce((sum, own) => sum + own, 0) / all;
    };
    for (let to = 9; to <= 18; to += 0.25) {
      const said = hours(to);
      expect(said.outings).toBe(share(to) >= 0.3 ? 1 : 0);
      if (said.outings) expect(said.all).toBeCloseTo(share(to), 9);
    }
  });
  test('who was not there says nothing; who was there for little of it says little', () => {
    expect(learnt(130, [witness({ seen: null, from: 18, to: 22 })]).outings).toBe(0);
    const whole = learnt(130, [witness({ seen: null })]);
    const part = learnt(130, [witness({ seen: null, from: 13, to: 15 })]);
    expect(whole.outings).toBe(1);
    expect(part.all).toBeLessThan(0.8 * whole.all);
  });
  test('more that was seen at an hour never makes it less likely there, more that was missed never more', () => {
    const hour = fc.double({ min: 3, max: 20, noNaN: true });
    const one = fc
      .record({ day: fc.integer({ min: 100, max: 160 }), seen: fc.option(hour), from: hour, long: hour })
      .map(({ day: of, seen, from, long }): Witness => ({
        day: of,
        comes,
        seen: seen !== null && seen >= from && seen <= from + long ? [seen, seen] : null,
        from,
        to: from + long,
      }));
    fc.assert(
      fc.property(fc.array(one, { maxLength: 8 }), (witnesses) => {
        const before = curveOf(comes, learnt(130, witnesses));
        const seen = curveOf(comes, learnt(130, [...witnesses, witness({ seen: [14, 14] })]));
        const missed = curveOf(comes, learnt(130, [...witnesses, witness({ seen: null })]));
        const bin = Math.round((14.5 - FROM_H) * 4);
        expect(seen[bin]!).toBeGreaterThanOrEqual(before[bin]! - 1e-9);
        expect(missed[bin]!).toBeLessThanOrEqual(before[bin]! + 1e-9);
        expect(Math.max(...seen, ...missed)).toBeLessThanOrEqual(1);
      }),
      { seed: 3 },
    );
  });
  test('told before it is learnt: the first outing is not counted, nor what was there at once', () => {
    const three = [witness({ seen: [16, 17] }), witness({ seen: [16, 17] }), witness({ seen: [10.1, 11] })];
    const { hours, chance } = toldBefore([three]);
    expect([hours.n, chance.n]).toEqual([1, 2]);
    expect(hours.own).toBeLessThan(hours.book);
    expect(hours.book).toBeCloseTo(16 - spansOf(curveOf(comes, NOT_LEARNT))[0]![0], 9);
    expect(chance.book).toBeCloseTo((1 - q) ** 2, 9);
    expect(toldBefore([[]]).hours.n).toBe(0);
  });
  test('what is seen speaks for one band or for none; so does every stage that is tied for one', () => {
    expect([bandSeen({ seen: 'duns' }), bandSeen({ seen: 'swallows-low' }), bandSeen({ rise: 'cruising' })]).toEqual([
      'mayfly/hatch',
      null,
      'midge/hatch',
    ]);
    expect(bandSeen({ rise: 'sip' })).toBeNull();
    for (const id of BANDS) for (const stage of STAGE_OF[id].slice(0, 1)) expect(bandOfStage(stage)).toBe(id);
    expect(bandOfStage('shrimp/adult')).toBeNull();
  });
});

describe('degree-days', () => {
  const means = (from: string, values: readonly number[]) =>
    Object.fromEntries(values.map((mean, n) => [daysAfter(from, n), mean]));
  test('over what a group counts from: of 6, 2, 10 and 4 °C over 4 °C 2 + 0 + 6 + 0', () => {
    const year = means('2033-01-01', [6, 2, 10, 4]);
    expect(degreeDays(year, '2033-01-01', '2033-01-04', 4)).toBe(8);
    expect(degreeDays(year, '2033-01-01', '2033-01-02', 4)).toBe(2);
    // Four of five days are known: the fifth is as the others.
    expect(degreeDays(year, '2033-01-01', '2033-01-05', 4)).toBe(10);
    expect(degreeDays(year, '2033-01-01', '2033-01-06', 4)).toBeNull();
    expect(degreeDays({}, '2033-01-01', '2033-01-01', 4)).toBeNull();
  });
  test('south of the equator a year’s warmth begins in July: a hatch in November and one in January are of one summer', () => {
    expect(['2033-01-10', '2033-06-30', '2033-07-01', '2033-11-20'].map((date) => warmthFrom(date, true))).toEqual([
      '2032-07-01',
      '2032-07-01',
      '2033-07-01',
      '2033-07-01',
    ]);
    expect(warmthFrom('2033-11-20', false)).toBe('2033-01-01');
    const summers = { ...means('2031-07-01', [9, 9, 9]), ...means('2032-07-01', [14, 14]) };
    expect(fitDegreeDays(summers, ['2031-07-03', '2032-07-02'], 4, true)).toMatchObject({ sum: 17.5, years: 2 });
    expect(fitDegreeDays(summers, ['2031-07-03', '2032-07-02'], 4, false)).toBeNull();
  });
  test('cold kinds count from 0 to 5 °C, warm ones from 8 to 10', () => {
    expect(T0.cold).toBeGreaterThanOrEqual(0);
    expect(T0.cold).toBeLessThanOrEqual(5);
    expect(T0.warm).toBeGreaterThanOrEqual(8);
    expect(T0.warm).toBeLessThanOrEqual(10);
    expect(['m01', 'm18', 'm20', 'd01', 'c02'].map((id) => t0Of(id, triggers, T0.cold))).toEqual([4, 4, 9, 9, 4]);
    // A midge that has no trigger counts as its band does.
    expect(t0Of('d02', triggers, T0.warm)).toBe(9);
  });
  test('are fitted on two years that are known, not on one; and say how surely it is out', () => {
    const two = { ...means('2032-01-01', [14, 14, 14]), ...means('2033-01-01', [9, 9, 9, 9, 9]) };
    expect(fitDegreeDays(two, ['2032-01-03'], 4, false)).toBeNull();
    expect(fitDegreeDays(two, ['2032-01-03', '2031-01-03'], 4, false)).toBeNull();
    const fit = fitDegreeDays(two, ['2032-01-03', '2033-01-04'], 4, false)!;
    expect([fit.sum, fit.years]).toEqual([25, 2]);
    expect(fit.sd).toBeCloseTo(Math.sqrt(50), 9);
    expect(broughtOn(25, fit)).toBeCloseTo(0.5, 9);
    expect(broughtOn(25 + fit.sd, fit)).toBeCloseTo(0.8413, 3);
    // Two years that agree are no surer than 8 % of the sum.
    expect(broughtOn(27, { sum: 25, sd: 0, years: 2 })).toBeCloseTo(0.8413, 3);
  });
  test('a hatch the year has not brought on yet does not come', () => {
    const comes = comesOf('mayfly/hatch', day(), [group()], []);
    expect(chanceOf(comes, { ...NOT_LEARNT, begun: 0.1 })).toBeCloseTo(0.1 * chanceOf(comes, NOT_LEARNT), 9);
    expect(Math.max(...curveOf(comes, { ...NOT_LEARNT, begun: 0 }))).toBe(0);
  });
  test('of two groups the one whose own sum was fitted waits, the other comes; a group the year has not brought on leaves what was seen', () => {
    const [small, large] = [group(), group({ id: 'g2', hours: [[18, 20]] })];
    const one = comesOf('mayfly/hatch', day(), [small], []);
    const both = comesOf('mayfly/hatch', day(), [small, large], []);
    const waits = { ...NOT_LEARNT, begunOf: { g2: 0 } };
    expect(chanceOf(both, waits)).toBeCloseTo(chanceOf(one, NOT_LEARNT), 9);
    const alone = curveOf(one, NOT_LEARNT).map((chance) => expect.closeTo(chance, 9) as number);
    expect(curveOf(both, waits)).toEqual(alone);
    expect(chanceOf(both, { ...waits, begun: 0, begunOf: { g2: 1 } })).toBeCloseTo(chanceOf(one, NOT_LEARNT), 9);
    // One outing that saw it beside the groups' word, each half.
    const seen = { ...waits, all: 1, came: 1 };
    expect(chanceOf(both, seen)).toBeCloseTo((chanceOf(one, NOT_LEARNT) + 1) / 2, 9);
    const bands = bandsOf(day(), [small, large], [], { 'mayfly/hatch': waits });
    expect(bands.find(({ id }) => id === 'mayfly/hatch')!.curve).toEqual(alone);
  });
});

describe('the day of a river in May', () => {
  const may = day({ date: '2033-05-24', fauna: 'palearctic-west', kind: 'river', waterC: 13 });
  const bands = bandsOf(may, GROUPS, triggers);
  const by = Object.fromEntries(bands.map((band) => [band.id, band]));
  test('every band has its chance, its hours and its reasons', () => {
    expect(bands.map(({ id }) => id)).toEqual(BANDS);
    for (const { p, curve, spans, reasons } of bands) {
      expect(p).toBeGreaterThan(0);
      expect(Math.max(...curve)).toBeLessThanOrEqual(p + 1e-9);
      expect(spans.length).toBeGreaterThan(0);
      expect(reasons.at(-1)!.code).toBe('hatch-book');
    }
    expect(by['mayfly/fall']!.spans[0]![0]).toBeGreaterThan(18);
    const cold = bandsOf({ ...may, date: '2033-04-10', waterC: 3 }, GROUPS, triggers);
    expect(cold.find(({ id }) => id === 'mayfly/hatch')!.reasons.map(({ code }) => code)).toContain('hatch-cold');
    expect(
      bandsOf({ ...may, sky: 'rain', wind: 'wind' }, GROUPS, triggers).flatMap(({ reasons }) =>
        reasons.map(({ code }) => code),
      ),
    ).toEqual(expect.arrayContaining(['hatch-dull', 'hatch-wind-wind']));
  });
  test('at most six lanes, none for what seldom comes; what is up, and what comes next', () => {
    const shown = shownBands(bands);
    expect(shown).toHaveLength(6);
    expect([...shown].sort((a, b) => a.spans[0]![0] - b.spans[0]![0])).toEqual(shown);
    const seldom = { ...bands[0]!, p: 0.19 };
    expect(shownBands([seldom])).toEqual([]);
    expect(upNow(bands, 21).map(({ id }) => id)).toContain('mayfly/fall');
    expect(upNow(bands, 14).map(({ id }) => id)).not.toContain('mayfly/fall');
    const next = nextUp(bands, 14)!;
    expect(next.at).toBeGreaterThan(14);
    expect(nextUp(bands, 25)).toBeNull();
    expect(upAt(by['mayfly/fall']!, 21)).toBeGreaterThan(upAt(by['mayfly/fall']!, 12));
    expect(worthOf(0.6)).toBe('likely');
    expect([worthOf(0.3), worthOf(0.29)]).toEqual(['perhaps', 'seldom']);
  });
  test('what comes on fewer than three days in ten is worth no fly and no word', () => {
    const own = { ...by['mayfly/fall']!, p: 0.3 };
    expect(proposeMoves([own], [], 4)).toHaveLength(1);
    expect(proposeMoves([{ ...own, p: 0.29 }], [], 4)).toEqual([]);
    expect(upNow([{ ...own, p: 0.29 }], 21)).toEqual([]);
    expect(shownBands([{ ...own, p: 0.2 }])).toHaveLength(1);
  });
  test('moves: a quarter of an hour before, with the fly that answers the first stage that has one; of the rest of the day alone', () => {
    const flies = [
      { flyId: 'f1', name: 'Dun', stages: ['mayfly/dun'] },
      { flyId: 'f2', name: 'Spent', stages: ['mayfly/spent'] },
    ];
    const moves = proposeMoves(bands, flies, 4);
    const hatch = moves.find(({ id }) => id === 'mayfly/hatch')!;
    expect([hatch.stage, hatch.fly!.flyId, hatch.position]).toEqual(['mayfly/dun', 'f1', 'top']);
    expect(by['mayfly/hatch']!.spans[0]![0] - hatch.at).toBe(0.25);
    expect(moves.find(({ id }) => id === 'caddis/hatch')).toMatchObject({ fly: null, stage: 'caddis/emerging-pupa' });
    expect(moves.map((move) => move.at)).toEqual([...moves.map((move) => move.at)].sort((a, b) => a - b));
    const late = proposeMoves(bands, flies, 22.75);
    expect(late.every((move) => move.at >= 22.75)).toBe(true);
    expect(late.map(({ id }) => id)).not.toContain('stonefly/hatch');
  });
});
