import { writeFileSync } from 'node:fs';
import { season, temperatures, type World } from '@/standins/season';
import valley from '@/standins/season/valley.json';

/** Writes the demo's seasons of outings and its waters' temperatures from the simulated valley; the same every time. A test holds the file to it. */
const SEED = 1;
const YEARS = [2031, 2032, 2033];
/** The demo's own day. */
const NOW = '2033-05-21';

const world = valley as unknown as World;

export function demoSeason() {
  const outings = season(world, { seed: SEED, years: YEARS }).filter(({ start }) => start < NOW);
  const tenth = (c: number) => Math.round(c * 10) / 10;
  const daily = Object.fromEntries(
    world.waters.map((water) => [
      water.key,
      Object.fromEntries(
        YEARS.flatMap((year) => temperatures(SEED + year, water, `${year}-01-01`, 365))
          .filter(({ date }) => date <= NOW)
          // What a hatch asks of a year lies before its summer.
          .filter(({ date }) => date.slice(5) <= '06-30')
          .map(({ date, mean, low, high }) => [date, [tenth(mean), tenth(low), tenth(high)]]),
      ),
    ]),
  );
  return { place: world.place, outings, daily };
}

if (process.argv[1]?.endsWith('write-season.ts'))
  writeFileSync(new URL('../src/catalogue/demo-season.json', import.meta.url), `${JSON.stringify(demoSeason())}\n`);
