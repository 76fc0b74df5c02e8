import told from '@/catalogue/demo-outings.json';
import seasons from '@/catalogue/demo-season.json';
import { placeTenth } from '@/core/hatch/sun';
import type { OutingEvent } from '@/core/outing/events';
import { enter, type Around } from './command';
import type { Entities } from './kinds';
import { outingSchema } from './outing/schema';
import { waterSchema } from './water/schema';

type Happened = [at: string, what: OutingEvent['what'], of: string];
type Tied = [slot: string, name: string, position: string | null, on: string, off: string | null];

const eventOf = ([at, what, of]: Happened): OutingEvent =>
  what === 'seen' || what === 'rise'
    ? ({ at, what, [what]: of } as OutingEvent)
    : { at, what, fly: of === '' ? null : of };

const place = {
  lat: placeTenth(seasons.place.lat),
  lon: placeTenth(seasons.place.lon),
  zone: seasons.place.zone,
};
const daily = seasons.daily as unknown as Record<string, Record<string, [mean: number, low: number, high: number]>>;

/** The valley's waters with their rules, places and temperatures, outings of two seasons, and three of this spring. */
export function goOut(entities: Entities, around: Pick<Around, 'enter'>): void {
  for (const { key, ...water } of told.waters)
    entities.water[`water_demo-${key}`] = waterSchema.cast({
      demo: true,
      ...water,
      place,
      daily: Object.fromEntries(
        Object.entries(daily[key] ?? {}).map(([date, [mean, low, high]]) => [date, { mean, low, high }]),
      ),
    });
  // What lies in the box today was tied this spring: of older outings it is the same dressing, and no more that fly.
  for (const { outings, own } of [
    { outings: told.outings, own: true },
    { outings: seasons.outings, own: false },
  ])
    for (const { key, water, start, end, more, team, events } of outings) {
      const owner = `outing_demo-${key}`;
      entities.outing[owner] = outingSchema.cast({
        demo: true,
        start,
        end,
        waterId: `water_demo-${water}`,
        ...more,
        team: (team as Tied[]).map(([slot, name, position, on, off], at) => {
          const flyId = `fly_demo-${slot}`;
          const { dressingId = null, hookId = null } = entities.fly[flyId] ?? {};
          return { id: `t${at + 1}`, flyId: own ? flyId : null, dressingId, hookId, name, position, on, off };
        }),
      });
      (events as Happened[]).forEach((happened, at) =>
        enter(entities, { kind: 'outing', owner, id: `move_demo-${at + 1}`, event: eventOf(happened) }, around),
      );
    }
}
