import type { Entered } from '@/records/ledger';
import type { OutingEvent } from '@/core/outing';
import type { OutingRecord } from '@/records';
import { readOps } from './storage/events';
import type { Ports } from './ports';

/** Every entry of an outing, the earliest first: those held beside it, and with them what lies in the store. */
export async function outingEvents({ storage }: Pick<Ports, 'storage'>, id: string): Promise<Entered<OutingEvent>[]> {
  const ops = await readOps(storage, [{ kind: 'outing', owner: id }]);
  return ops.map((op) => ({ id: op.id, event: op.event as OutingEvent }));
}

/** Entries in the order of their time; of two that are the same one. What was taken out since the store was read is not among them. */
export function inOrder(
  { tally }: Pick<OutingRecord, 'tally'>,
  stored: readonly Entered<OutingEvent>[],
): Entered<OutingEvent>[] {
  const [oldest] = tally.latest.slice(-1);
  // Beside the outing lie its latest entries: of their time nothing else stands.
  const before = oldest ? stored.filter(({ event }) => event.at < oldest.event.at) : stored;
  const held = new Set(tally.latest.map(({ id }) => id));
  const same = stored.filter(({ id, event }) => oldest && event.at === oldest.event.at && !held.has(id));
  return [...before, ...same, ...tally.latest].sort(
    (a, b) => a.event.at.localeCompare(b.event.at) || a.id.localeCompare(b.id),
  );
}
