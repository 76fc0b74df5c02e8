import { GROUPS } from '@/catalogue';
import triggers from '@/catalogue/triggers.json';
import {
  BANDS,
  bandSeen,
  comesOf,
  dayOfYear,
  hourOf,
  lightOf,
  toldBefore,
  type BandId,
  type Witness,
} from '@/core/hatch';
import { season, type World } from '@/standins/season';
import valley from '@/standins/season/valley.json';

/** What the hatch strip learns of waters whose truth was drawn elsewhere: hours off and Brier score, by the book and by the outings so far, over many seasons; the worst of them too. */
const SEEDS = 40;
const YEARS = [2030, 2031, 2032];
const KIND = { auldry: 'river', staith: 'stream', ellanmere: 'lake' } as const;

const all: { hours: { book: number; own: number; n: number }; chance: { book: number; own: number; n: number } }[] = [];
for (let seed = 1; seed <= SEEDS; seed++) {
  const outings = season(valley as unknown as World, { seed, years: YEARS });
  const bands: Witness[][] = [];
  for (const water of ['auldry', 'staith', 'ellanmere'] as const)
    for (const band of BANDS)
      bands.push(
        outings
          .filter((own) => own.water === water)
          .map(({ start, end, more, events }) => {
            const date = start.slice(0, 10);
            const noted = events
              .filter(
                ([, what, of]) => (what === 'seen' || what === 'rise') && bandSeen({ [what]: of } as never) === band,
              )
              .map(([at]) => hourOf(at));
            const day = {
              date,
              light: lightOf(date, valley.place),
              south: false,
              fauna: 'palearctic-west' as const,
              kind: KIND[water],
              waterC: more.waterC,
              sky: more.sky,
              wind: more.wind,
            };
            return {
              day: dayOfYear(date),
              comes: comesOf(band as BandId, day, GROUPS, triggers),
              seen: noted.length > 0 ? ([noted[0]!, noted.at(-1)!] as const) : null,
              from: hourOf(start),
              to: hourOf(end),
            };
          }),
      );
  all.push(toldBefore(bands));
}
const mean = (of: (one: (typeof all)[number]) => number) => all.reduce((sum, one) => sum + of(one), 0) / all.length;
const h = (value: number) => `${Math.round(value * 60)} min`;
console.log(`${SEEDS} times three years of outings on three waters`);
console.log(
  `hour first seen, off on the mean: by the book ${h(mean((o) => o.hours.book))}, by outings so far ${h(mean((o) => o.hours.own))} (${mean((o) => o.hours.n).toFixed(0)} sights each)`,
);
const worst = all.reduce((a, b) => (b.hours.own - b.hours.book > a.hours.own - a.hours.book ? b : a));
console.log(
  `worst: book ${h(worst.hours.book)}, own ${h(worst.hours.own)}; worse than the book ${all.filter((o) => o.hours.own >= o.hours.book).length} of ${SEEDS}`,
);
console.log(
  `chance (Brier): by the book ${mean((o) => o.chance.book).toFixed(3)}, own ${mean((o) => o.chance.own).toFixed(3)}`,
);
const bad = all.reduce((a, b) => (b.chance.own - b.chance.book > a.chance.own - a.chance.book ? b : a));
console.log(
  `worst: book ${bad.chance.book.toFixed(3)}, own ${bad.chance.own.toFixed(3)}; worse ${all.filter((o) => o.chance.own >= o.chance.book).length} of ${SEEDS}`,
);
