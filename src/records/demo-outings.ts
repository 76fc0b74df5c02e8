import told from '@/catalogue/demo-outings.json';
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

/** The valley's waters with their rules, and three outings of the spring. */
export function goOut(entities: Entities, around: Pick<Around, 'enter'>): void {
  for (const { key, ...water } of told.waters)
    entities.water[`water_demo-${key}`] = waterSchema.cast({ demo: true, ...water });
  for (const { key, water, start, end, more, team, events } of told.outings) {
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
        return { id: `t${at + 1}`, flyId, dressingId, hookId, name, position, on, off };
      }),
    });
    (events as Happened[]).forEach((happened, at) =>
      enter(entities, { kind: 'outing', owner, id: `move_demo-${at + 1}`, event: eventOf(happened) }, around),
    );
  }
}
