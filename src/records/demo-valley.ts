import { demoRows, KNOWN, SHIPPED_MAKERS } from '@/catalogue';
import hooksCsv from '@/catalogue/hooks.csv';
import packed from '@/catalogue/demo-box.json';
import drawer from '@/catalogue/demo-drawer.json';
import stash from '@/catalogue/demo-stash.json';
import { inYears, yearsUntil } from './in-years';
import valley from '@/catalogue/demo-valley.json';
import type { MoveId, StageId } from '@/catalogue/ids';
import type { HookRow } from '@/core/hooks';
import { boxSchema } from './box/schema';
import { enter, type Around } from './command';
import { cleanEntities } from './demo';
import { goOut } from './demo-outings';
import { layOutVise } from './demo-sessions';
import type { EventOp } from './ledger';
import { flySchema } from './fly/schema';
import type { Entities } from './kinds';
import { matchSchema } from './match/schema';
import { putHooks } from './model/commands';
import { packetSchema } from './packet/schema';
import { sampleSchema, specimen } from './sample/schema';
import { stashKey } from './stash/commands';
import { stashSchema } from './stash/schema';

/** A made-up morning in the valley: one sample with its match. */
interface DemoMatch {
  key: string;
  title: string;
  when: string;
  place: string;
  water: string;
  stages: string[];
  lengths: number[];
  case: number | null;
  overall: number | null;
  method: string;
  surface: string;
  found: string | null;
  colours: Record<string, string>;
}

/** The valley's box: what was tied into it, and what the last evening cost. */
function packBox(entities: Entities, around: Pick<Around, 'enter'>): void {
  const boxId = `box_demo-${packed.box.key}`;
  entities.box[boxId] = boxSchema.cast({ demo: true, ...packed.box });
  const put = (slot: string, fly: object, moves: readonly [MoveId, number, string][]) => {
    const owner = `fly_demo-${slot}`;
    entities.fly[owner] = flySchema.cast({ demo: true, ...fly });
    for (const [why, count, at] of moves)
      if (count !== 0)
        enter(entities, { kind: 'fly', owner, id: `move_demo-${why}`, event: { at, boxId, slot, count, why } }, around);
  };
  for (const item of packed.flies)
    put(item.slot, { dressingId: item.dressing, dressingRev: 1, hookId: item.hook }, [
      ['tied', item.tied, packed.packed],
      ['lost', -item.lost, packed.fished],
    ]);
  for (const { slot, got, ...item } of packed.others) put(slot, item, [['got', got, packed.packed]]);
}

/** The valley's drawer: packets, and one model of which little is known but its labels. */
function fillDrawer(entities: Entities, around: Pick<Around, 'enter'>): void {
  putHooks(
    entities,
    drawer.labelled.sizes.map((size) => ({ ...drawer.labelled.model, size }) as unknown as HookRow),
    true,
  );
  for (const { key, hook, left, low, note, label } of drawer.packets) {
    entities.packet[`packet_demo-${key}`] = packetSchema.cast({ demo: true, hookId: hook, low, note, label });
    enter(
      entities,
      {
        kind: 'packet',
        owner: `packet_demo-${key}`,
        id: 'move_demo-got',
        event: { at: drawer.bought, count: left, why: 'got' },
      },
      around,
    );
  }
}

interface DemoStash {
  material: string;
  shade?: string;
  amount?: number;
  low?: number;
  place?: string;
  note?: string;
}

/** The valley's materials: what is had, in which shades, and what of it was counted. */
function fillStash(entities: Entities, around: Pick<Around, 'enter'>): void {
  for (const {
    material: materialId,
    shade: shadeId = null,
    amount,
    low = null,
    place,
    note,
  } of stash.items as DemoStash[]) {
    const owner = stashKey({ materialId, shadeId });
    entities.stash[owner] = stashSchema.cast({ demo: true, materialId, shadeId, low, place, note });
    if (amount === undefined) continue;
    const event = { at: stash.bought, count: amount, why: 'got' as const };
    enter(entities, { kind: 'stash', owner, id: 'move_demo-got', event }, around);
  }
}

/** Everything the demo valley holds; every record is marked, and leaves with one tap unless the tier changed it. */
export function demoEntities(): Entities {
  return demoStart().entities;
}

/** The demo valley with the events of its ledgers; at `now` its seasons are the last ones, so that what is noted on top of them comes after them. */
export const demoStart = (now: string = valley.clock): { entities: Entities; events: EventOp[] } =>
  inYears(demoAsWritten(), yearsUntil(valley.clock, now));

function demoAsWritten(): { entities: Entities; events: EventOp[] } {
  const entities = cleanEntities();
  const events: EventOp[] = [];
  const around = { enter: (op: EventOp) => void events.push(op) };
  for (const maker of SHIPPED_MAKERS)
    if (maker.id !== 'reference')
      entities.maker[maker.id] = {
        demo: true,
        name: maker.name,
        xLabel: maker.xLabel,
        habit: maker.habit,
        retired: false,
      };
  putHooks(entities, demoRows(hooksCsv), true);
  fillDrawer(entities, around);
  packBox(entities, around);
  fillStash(entities, around);
  layOutVise(entities);
  goOut(entities, around);
  for (const item of valley.matches as unknown as DemoMatch[]) {
    const sampleId = `sample_demo-${item.key}`;
    entities.sample[sampleId] = sampleSchema.cast({
      demo: true,
      when: item.when,
      place: item.place,
      water: item.water,
      method: item.method,
      surface: item.surface,
      found: item.found,
      colours: item.colours,
      specimens: item.lengths.map((mm, index) => specimen(`s${index + 1}`, mm)),
      case: { mm: item.case, typed: null },
      overall: { mm: item.overall, typed: null },
    });
    const answers = item.stages
      .filter((stage) => KNOWN.stages.includes(stage as StageId))
      .map((stage, index) => ({ id: `a${index + 1}`, stage }));
    entities.match[`match_demo-${item.key}`] = matchSchema.cast({
      demo: true,
      title: item.title,
      opened: item.when,
      sampleId,
      answers: answers.length > 0 ? answers : [{ id: 'a1', stage: null }],
      leading: 'a1',
    });
  }
  return { entities, events };
}
