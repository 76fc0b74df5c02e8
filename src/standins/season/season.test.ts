import shipped from '@/catalogue/demo-season.json';
import { GROUPS } from '@/catalogue';
import triggers from '@/catalogue/triggers.json';
import {
  bandSeen,
  BANDS,
  bandsOf,
  comesOf,
  dayOfYear,
  hourOf,
  learnt,
  lightOf,
  toldBefore,
  type BandId,
  type HatchDay,
  type Witness,
} from '@/core/hatch';
import { demoSeason } from '../../../tools/write-season';
import { season, temperatures, type SeasonOuting, type World } from '.';
import valley from './valley.json';

const WORLD = valley as unknown as World;
const YEARS = [2030, 2031, 2032];
const KIND = { auldry: 'river', staith: 'stream', ellanmere: 'lake' } as const;

const dayOf = (water: string, start: string, more: Partial<SeasonOuting['more']> = {}): HatchDay => {
  const date = start.slice(0, 10);
  const { waterC = null, sky = null, wind = null } = more;
  const kind = KIND[water as keyof typeof KIND];
  return { date, light: lightOf(date, WORLD.place), south: false, fauna: 'palearctic-west', kind, waterC, sky, wind };
};

const witnesses = (outings: readonly SeasonOuting[], water: string, band: BandId): Witness[] =>
  outings
    .filter((own) => own.water === water)
    .map(({ start, end, more, events }) => {
      const noted = events.filter(([, what, of]) => bandSeen({ [what]: of }) === band).map(([at]) => hourOf(at));
      return {
        day: dayOfYear(start),
        comes: comesOf(band, dayOf(water, start, more), GROUPS, triggers),
        seen: noted.length > 0 ? ([noted[0]!, noted.at(-1)!] as const) : null,
        from: hourOf(start),
        to: hourOf(end),
      };
    });

test('the same seed writes the same season, another one another; the demo ships what the tool writes', () => {
  expect(season(WORLD, { seed: 1, years: [2030] })).toEqual(season(WORLD, { seed: 1, years: [2030] }));
  expect(season(WORLD, { seed: 2, years: [2030] })).not.toEqual(season(WORLD, { seed: 1, years: [2030] }));
  expect(shipped).toEqual(JSON.parse(JSON.stringify(demoSeason())));
});

test('outings of a season are whole: each ends after it began, its events and its flies lie within it, and only what hatches then is seen', () => {
  for (const { start, end, events, team, water } of season(WORLD, { seed: 4, years: YEARS })) {
    expect(end > start).toBe(true);
    for (const [at, what, of] of events) {
      expect(at >= start && at <= end).toBe(true);
      const band = bandSeen({ [what]: of });
      const kinds = WORLD.waters.find(({ key }) => key === water)!.kinds;
      const day = dayOfYear(start);
      if (band) expect(kinds.some((kind) => kind.band === band && day >= kind.from && day <= kind.to)).toBe(true);
      if (what === 'took') expect(team.map((_, n) => `t${n + 1}`)).toContain(of);
    }
    for (const [, , , on, off] of team) expect(on >= start && (off === null || (off > on && off <= end))).toBe(true);
  }
});

test('water is coldest in January and warmest in July, swings with its own swing, and never freezes', () => {
  const [river] = WORLD.waters;
  const year = temperatures(1, river!, '2031-01-01', 365);
  const mean = (month: string) => {
    const own = year.filter(({ date }) => date.slice(5, 7) === month);
    return own.reduce((sum, day) => sum + day.mean, 0) / own.length;
  };
  expect(mean('07') - mean('01')).toBeGreaterThan(1.4 * river!.swing);
  for (const { low, mean: of, high } of year) expect(0 < low && low <= of && of < high).toBe(true);
});

test.each([1, 2, 3, 4, 5, 6])(
  'what a water teaches: of season %i the hours that are told before each outing are nearer than the book’s, and so are the chances',
  (seed) => {
    const outings = season(WORLD, { seed, years: YEARS });
    const { hours, chance } = toldBefore(
      WORLD.waters.flatMap(({ key }) => BANDS.map((band) => witnesses(outings, key, band))),
    );
    expect(hours.n).toBeGreaterThan(10);
    expect(hours.own).toBeLessThan(hours.book);
    expect(chance.own).toBeLessThan(chance.book);
  },
);

test('after many seasons the strip has the truth that made them: spring duns on the river from 13:06, spinners before sunset, and no stoneflies', () => {
  const outings = season(WORLD, { seed: 7, years: Array.from({ length: 12 }, (_, n) => 2019 + n) });
  const date = '2032-04-12';
  const taught = Object.fromEntries(
    BANDS.map((band) => [band, learnt(dayOfYear(date), witnesses(outings, 'auldry', band))]),
  );
  const bands = bandsOf(dayOf('auldry', date), GROUPS, triggers, taught);
  const by = Object.fromEntries(bands.map((band) => [band.id, band]));
  const duns = by['mayfly/hatch']!;
  expect(Math.abs(duns.spans[0]![0] - 13.1)).toBeLessThan(0.75);
  expect(Math.abs(duns.book[0] - 13.1)).toBeGreaterThan(1.5);
  expect(duns.p).toBeGreaterThan(0.6);
  expect(by['stonefly/hatch']!.p).toBeLessThan(0.25);
});
