import { command } from './command';
import { DEVICE_ID, deviceSchema } from './device/schema';
import { noEntities, type Entities } from './kinds';
import { modelIdOf } from './model/queries';
import { SETTINGS_ID, settingsSchema } from './settings/schema';

/** A store with nothing in it but how the app is set. */
export function cleanEntities(): Entities {
  return {
    ...noEntities(),
    settings: { [SETTINGS_ID]: settingsSchema.cast({}) },
    device: { [DEVICE_ID]: deviceSchema.cast({}) },
  };
}

/** Takes the demo out, except what the tier changed; a match and its natural, a fly and its box stay or leave together. */
export const leaveDemo = command<object>('leave-demo', (draft) => {
  const matchesKept = new Set(
    Object.entries(draft.match)
      .filter(([, match]) => !match.demo || draft.sample[match.sampleId]?.demo === false)
      .map(([id]) => id),
  );
  const samplesKept = new Set([...matchesKept].map((id) => draft.match[id]!.sampleId));
  const modelsKept = new Set(
    Object.values(draft.packet)
      .filter((packet) => !packet.demo)
      .map((packet) => modelIdOf(packet.hookId)),
  );
  const makersKept = new Set(
    Object.entries(draft.model)
      .filter(([id, model]) => !model.demo || modelsKept.has(id))
      .map(([, model]) => model.makerId),
  );
  const boxesKept = new Set(
    Object.values(draft.fly)
      .filter((fly) => !fly.demo)
      .flatMap((fly) => fly.tally.places.map((place) => place.boxId)),
  );
  const watersKept = new Set(
    Object.values(draft.outing)
      .filter((outing) => !outing.demo)
      .flatMap(({ waterId }) => waterId ?? []),
  );
  const kept: Partial<Record<keyof Entities, ReadonlySet<string>>> = {
    match: matchesKept,
    sample: samplesKept,
    maker: makersKept,
    model: modelsKept,
    box: boxesKept,
    water: watersKept,
  };
  for (const kind of Object.keys(draft) as (keyof Entities)[]) {
    for (const [id, record] of Object.entries(draft[kind])) {
      if (!(record as { demo?: boolean }).demo) continue;
      if (kept[kind]?.has(id)) (record as { demo: boolean }).demo = false;
      else delete draft[kind][id];
    }
  }
});

/** Whether a table holds a demo record; a table that did not change is not looked through again. */
const demoIn = new WeakMap<object, boolean>();

function tableHasDemo(table: Record<string, unknown>): boolean {
  const known = demoIn.get(table);
  if (known !== undefined) return known;
  const found = Object.values(table).some((record) => (record as { demo?: boolean }).demo);
  demoIn.set(table, found);
  return found;
}

/** Whether a list holds one of the tier's own: then the demo's among them are marked. */
export function holdsOwn(list: readonly { demo: boolean }[]): boolean {
  return list.some((item) => !item.demo);
}

export function hasDemo(entities: Entities): boolean {
  return (Object.keys(entities) as (keyof Entities)[]).some((kind) => tableHasDemo(entities[kind]));
}
