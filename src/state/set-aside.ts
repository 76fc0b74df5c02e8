import { command, KINDS, withoutTally, type Kind } from '@/records';
import { act } from './act';
import { ASIDE, keyOf, type Envelope } from './storage/envelope';
import { broken } from './storage/slice';
import type { Quarantined } from './storage/load';
import type { Store } from './store';

const dropRecords = command<{ records: readonly { kind: Kind; id: string }[] }>('set-aside', (draft, { records }) => {
  for (const { kind, id } of records) delete draft[kind][id];
});

/** Records that a screen cannot show, taken out of use with one step to undo and kept as they are under what is set aside; `why` is what the screen said. */
export async function setAside(
  store: Store,
  records: readonly { kind: Kind; id: string }[],
  why: string,
): Promise<void> {
  const { entities } = store.getState().records;
  const items = records.flatMap(({ kind, id }): Quarantined[] => {
    const data = entities[kind][id] as object | undefined;
    if (data === undefined) return [];
    const key = keyOf(kind, id);
    const envelope: Envelope = {
      v: KINDS[kind].version,
      id,
      rev: 0,
      at: store.ports.now(),
      clocks: store.clocks.get(key),
      data: withoutTally(data),
    };
    return [{ key, reason: 'unshown', detail: why, text: JSON.stringify(envelope) }];
  });
  // Kept first: what could not be kept aside stays where it is.
  await store.ports.storage.setMany(Object.fromEntries(items.map((item) => [ASIDE + item.key, JSON.stringify(item)])));
  store.dispatch(broken(items));
  store.dispatch(act(dropRecords, { records }));
}
