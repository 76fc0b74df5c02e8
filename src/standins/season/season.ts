import type { BandId } from '@/core/hatch';
import { dayOfYear, daysAfter, lightOf, stampAt, type Light, type Place } from '@/core/hatch/sun';
import type { LoggedId } from '@/core/outing';
import type { Sky, Wind } from '@/core/outing/limits';
import { chance, type Chance } from '../camera/chance';

/** What hatches on a water in truth, of days of the year and hours of the local clock; `beforeSet` is counted from sunset instead. */
export interface Kind {
  band: string;
  from: number;
  to: number;
  on?: number;
  beforeSet?: number;
  hours: number;
  /** Of a day in its season. */
  chance: number;
}

export interface World {
  place: Place;
  waters: { key: string; mean: number; swing: number; visits: number; kinds: Kind[] }[];
  flies: { slot: string; name: string; bands: string[]; bed?: boolean }[];
  /** An hour. */
  takes: { matched: number; otherwise: number; refused: number };
}

/** An outing as the demo's file tells it. */
export interface SeasonOuting {
  key: string;
  water: string;
  start: string;
  end: string;
  more: { waterC: number; airC: number; sky: Sky; wind: Wind; level: 'low' | 'usual' | 'high' };
  team: [slot: string, name: string, position: string | null, on: string, off: string | null][];
  events: [at: string, what: string, of: string][];
}

/** From day to day a hatch begins so much earlier or later, h; an angler sees it so long after it began, on the mean. */
const DAY_SD = 0.55;
const SEEN_LATE = 0.25;
/** What is up is noted again after so long. */
const AGAIN_H = 1.2;

/** What an angler notes of each. */
const NOTED: Readonly<Partial<Record<BandId, [what: 'seen' | 'rise', of: string]>>> = {
  'mayfly/hatch': ['seen', 'duns'],
  'mayfly/fall': ['seen', 'spent-wings'],
  'mayfly/rise': ['rise', 'bulge'],
  'caddis/hatch': ['rise', 'splash'],
  'stonefly/hatch': ['seen', 'skins-on-stones'],
  'midge/hatch': ['rise', 'cruising'],
};

/** Water temperature of a day, °C: the year's swing, weeks that are warm or cold, and the day itself. */
export function temperatures(
  seed: number,
  { mean, swing }: { mean: number; swing: number },
  from: string,
  days: number,
): { date: string; mean: number; low: number; high: number }[] {
  const dice = chance(seed);
  let week = 0;
  return Array.from({ length: days }, (_, n) => {
    const date = daysAfter(from, n);
    week = 0.9 * week + 0.5 * dice.normal();
    const day = mean - swing * Math.cos((2 * Math.PI * (dayOfYear(date) - 25)) / 365.25) + week;
    const half = 0.5 + 0.12 * swing;
    const held = Math.max(0.3, day);
    return { date, mean: held, low: Math.max(0.1, held - half), high: held + half };
  });
}

interface Up {
  band: BandId;
  on: number;
  off: number;
}

const upOn = (kinds: readonly Kind[], day: number, light: Light, dice: Chance): Up[] =>
  kinds.flatMap((kind) => {
    // Drawn whether it is in season or not, so that a season that is moved moves nothing else.
    const [comes, by] = [dice.next() < kind.chance, DAY_SD * dice.normal()];
    if (!comes || day < kind.from || day > kind.to) return [];
    const on = (kind.on ?? light.set - kind.beforeSet!) + by;
    return [{ band: kind.band as BandId, on, off: on + kind.hours }];
  });

/** Seasons of outings to some waters, written from what hatches there in truth: what was seen, which fly was on, what took. The same seed writes the same. */
export function season(world: World, { seed, years }: { seed: number; years: readonly number[] }): SeasonOuting[] {
  const dice = chance(seed);
  const all: SeasonOuting[] = [];
  for (const year of years)
    for (const water of world.waters) {
      const degrees = temperatures(seed + year, water, `${year}-01-01`, 366);
      const days = Array.from({ length: water.visits * 2 }, () => Math.round(dice.between(82, 290))).sort(
        (a, b) => a - b,
      );
      for (const [at, day] of [...new Set(days)].entries()) {
        const own = degrees[day - 1]!;
        all.push(outing(world, water, `${water.key}-${year}-${at + 1}`, own, dice));
      }
    }
  return all.sort((a, b) => a.start.localeCompare(b.start));
}

function outing(
  { place, flies, takes }: World,
  { key: water, kinds }: World['waters'][number],
  key: string,
  { date, mean }: { date: string; mean: number },
  dice: Chance,
): SeasonOuting {
  const light = lightOf(date, place);
  const sky = dice.pick(['sun', 'cloud', 'cloud', 'drizzle'] as const);
  const wind = dice.pick(['still', 'breeze', 'breeze', 'wind'] as const);
  const part = dice.next();
  const start =
    part < 0.15 ? light.rise + dice.between(0, 0.5) : part < 0.6 ? dice.between(9.5, 11.5) : dice.between(15, 17);
  const end = Math.min(light.dark, start + dice.between(4, 7.5));
  const up = upOn(kinds, dayOfYear(date), light, dice).filter(({ band }) => band !== 'mayfly/fall' || wind !== 'wind');
  const events: SeasonOuting['events'] = [];
  const seenAt = (own: Up) => Math.max(own.on, start) - SEEN_LATE * Math.log(1 - dice.next());
  const changes: { at: number; band: BandId | null }[] = [{ at: start + 0.1, band: null }];
  for (const own of up) {
    const [what, of] = NOTED[own.band]!;
    for (let at = seenAt(own); at < Math.min(own.off, end); at += AGAIN_H) {
      if (changes.at(-1)!.band !== own.band) changes.push({ at: at + 0.1, band: own.band });
      events.push([stampAt(date, at), what, of]);
    }
  }
  if (events.length === 0) events.push([stampAt(date, (start + end) / 2), 'seen', 'nothing']);
  changes.sort((a, b) => a.at - b.at);
  const team: SeasonOuting['team'] = [];
  for (const [at, { at: from, band }] of changes.entries()) {
    const until = Math.min(end, changes[at + 1]?.at ?? end);
    const fly = flies.find(({ bands, bed }) => (band === null ? bed : bands.includes(band)));
    if (!fly || until - from < 0.05) continue;
    const last = team.at(-1);
    if (last?.[0] === fly.slot) last[4] = until < end ? stampAt(date, until) : null;
    else
      team.push([
        fly.slot,
        fly.name,
        band === null ? 'point' : null,
        stampAt(date, from),
        until < end ? stampAt(date, until) : null,
      ]);
    const id = `t${team.length}`;
    for (let h = from + 0.2; h < until; h += 0.25) {
      const meets = up.some((own) => fly.bands.includes(own.band) && h >= own.on && h <= own.off);
      const log = (what: LoggedId, rate: number) =>
        dice.next() < rate * 0.25 && events.push([stampAt(date, h), what, id]);
      log('took', meets ? takes.matched : takes.otherwise);
      log('refused', meets ? takes.refused : 0.1);
    }
  }
  events.sort(([a], [b]) => a.localeCompare(b));
  return {
    key,
    water,
    start: stampAt(date, start),
    end: stampAt(date, end),
    more: {
      waterC: Math.round(mean * 10) / 10,
      airC: Math.round((mean + dice.between(1, 6)) * 10) / 10,
      sky,
      wind,
      level: dice.pick(['low', 'usual', 'usual', 'high'] as const),
    },
    team,
    events,
  };
}
