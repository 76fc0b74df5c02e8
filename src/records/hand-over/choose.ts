import type { Clocks } from '../clocks';
import { ownKeys } from '../file';
import type { Entities } from '../kinds';
import { modelIdOf } from '../model/queries';

/** What goes to another device. */
export type Goes =
  /** One match with its natural, photographs, and what of the tier's own it is tied from. */
  | { what: 'match'; matchId: string }
  /** What was edited since a moment, ms since 1970, and whose ledger has entries of that time: `stamp` is the same moment in local time, `2033-05-24T04:50`. */
  | { what: 'since'; at: number; stamp: string }
  | { what: 'everything' };

/** What a device is set to stays with it. */
const STAYS = /^device\//;

/** Own things that a match is made of: its natural, photographs, dressing with its materials, hook with its maker. */
function ofMatch({ match, sample, dressing, material, model, maker }: Entities, matchId: string): string[] {
  const own = match[matchId];
  if (!own) return [];
  const keys = [`match/${matchId}`, `sample/${own.sampleId}`];
  keys.push(...(sample[own.sampleId]?.photos ?? []).map((id) => `photo/${id}`));
  for (const { dressingId, hookId } of own.answers) {
    const tied = dressingId ? dressing[dressingId] : undefined;
    if (tied) {
      keys.push(`dressing/${dressingId}`);
      keys.push(
        ...tied.parts.flatMap((part) =>
          part.material && part.material in material ? [`material/${part.material}`] : [],
        ),
      );
    }
    const of = hookId ? modelIdOf(hookId) : '';
    if (model[of] && !model[of].demo)
      keys.push(`model/${of}`, ...(maker[model[of].makerId] ? [`maker/${model[of].makerId}`] : []));
  }
  return [...new Set(keys)];
}

/** When the latest entry of a thing's ledger was made, local time; empty for none. */
function lastEntry({ fly, packet, stash, model, eye, outing }: Entities, key: string): string {
  const at = key.indexOf('/');
  const [kind, id] = [key.slice(0, at), key.slice(at + 1)];
  if (kind === 'model')
    return Object.values(model[id]?.tally ?? {}).reduce((last, taping) => (taping.at > last ? taping.at : last), '');
  const owner =
    kind === 'fly'
      ? fly[id]
      : kind === 'packet'
        ? packet[id]
        : kind === 'stash'
          ? stash[id]
          : kind === 'eye'
            ? eye[id]
            : kind === 'outing'
              ? outing[id]
              : undefined;
  return owner?.tally.latest[0]?.event.at ?? '';
}

/** Keys of the records that go; of what goes by time, ledgers go whole, for each entry is taken once. */
export function keysThatGo(entities: Entities, clocks: ReadonlyMap<string, Clocks>, goes: Goes): string[] {
  if (goes.what === 'match') return ofMatch(entities, goes.matchId);
  const all = ownKeys(entities).filter((key) => !STAYS.test(key));
  if (goes.what === 'everything') return all;
  const edited = new Set(
    all.filter(
      (key) =>
        Object.values(clocks.get(key) ?? {}).some((at) => at >= goes.at) || lastEntry(entities, key) >= goes.stamp,
    ),
  );
  // A match goes with its natural, and a natural with its photographs, whichever of them was edited.
  for (const [id, { sampleId }] of Object.entries(entities.match))
    if (edited.has(`match/${id}`) || edited.has(`sample/${sampleId}`)) {
      edited.add(`match/${id}`).add(`sample/${sampleId}`);
      for (const photo of entities.sample[sampleId]?.photos ?? []) edited.add(`photo/${photo}`);
    }
  for (const [id, fly] of Object.entries(entities.fly))
    if (edited.has(`fly/${id}`)) for (const { boxId } of fly.tally.places) edited.add(`box/${boxId}`);
  for (const [id, { waterId }] of Object.entries(entities.outing))
    if (waterId && edited.has(`outing/${id}`)) edited.add(`water/${waterId}`);
  return [...edited].filter((key) => {
    const [kind, ...rest] = key.split('/');
    return rest.join('/') in entities[kind as keyof Entities];
  });
}
