import { applyPatches, enablePatches, type Patch } from 'immer';
import { gathering } from './table';
import { folded, isOwner, TALLY, type Entities, type EventOp, type Kind, type Tally } from '@/records';

enablePatches();

/** One change that can be taken back. `label` is a message code; `group` joins typing in one field. */
export interface Change {
  label: string;
  group: string | null;
  at: number;
  patches: Patch[];
  inverse: Patch[];
  /** What it entered into ledgers, and took out of them. */
  events: EventOp[];
}

/** Changes that can be taken back, the latest last, and those that can come again. */
export interface History {
  past: Change[];
  future: Change[];
}

export const NO_HISTORY: History = { past: [], future: [] };

/** So many changes can be taken back. */
const MOST = 100;
const GROUP_MS = 1000;

function joins(last: Change | undefined, next: Change): last is Change {
  return last !== undefined && next.group !== null && last.group === next.group && next.at - last.at <= GROUP_MS;
}

/** The history after one more change; what could come again is given up. */
export function remembered({ past }: History, change: Change): History {
  const last = past.at(-1);
  if (!joins(last, change)) return { past: [...past, change].slice(-MOST), future: [] };
  return {
    past: [
      ...past.slice(0, -1),
      {
        ...last,
        at: change.at,
        patches: [...last.patches, ...change.patches],
        inverse: [...change.inverse, ...last.inverse],
        events: [...last.events, ...change.events],
      },
    ],
    future: [],
  };
}

/** What is done to the records, and which events enter or leave. */
export interface Step {
  patches: readonly Patch[];
  events: readonly EventOp[];
}

/** What takes the latest change back, and the history then; null when there is none. */
export function back({ past, future }: History): { step: Step; label: string; history: History } | null {
  const last = past.at(-1);
  if (!last) return null;
  return {
    step: { patches: last.inverse, events: last.events.map((op) => ({ ...op, on: !op.on })).reverse() },
    label: last.label,
    history: { past: past.slice(0, -1), future: [...future, last] },
  };
}

/** What makes the change again that was taken back last, and the history then; null when there is none. */
export function again({ past, future }: History): { step: Step; label: string; history: History } | null {
  const next = future.at(-1);
  return next
    ? { step: next, label: next.label, history: { past: [...past, next], future: future.slice(0, -1) } }
    : null;
}

/** Records that patches touch, each once. */
export function touchedBy(patches: readonly Patch[]): { kind: Kind; id: string }[] {
  return [
    ...new Map(
      patches.map(({ path: [kind, id] }) => [`${kind}/${id}`, { kind: kind as Kind, id: String(id) }]),
    ).values(),
  ];
}

/** Whether a patch is of what a ledger comes to: that follows from its events. */
export const isOfTally = ({ path }: Patch): boolean => isOwner(String(path[0])) && path[2] === TALLY;

/** Patches onto records that may have changed since; one whose place is gone is left out and the rest applied. */
function applied(entities: Entities, patches: readonly Patch[]): Entities {
  const all = gathering(entities);
  for (const patch of patches) {
    const [kind, id] = [patch.path[0] as Kind, String(patch.path[1])];
    const record = all.at(kind, id);
    try {
      if (patch.path.length === 2) all.put(kind, id, patch.op === 'remove' ? null : (patch.value as object));
      else if (record) all.put(kind, id, applyPatches(record, [{ ...patch, path: patch.path.slice(2) }]));
    } catch {
      // Its place is gone.
    }
  }
  return all.entities();
}

interface Owner {
  tally: Tally;
}

/** Tallies after events that enter or leave; an owner that is gone has none. */
function tallied(entities: Entities, events: readonly EventOp[]): Entities {
  const all = gathering(entities);
  for (const op of events) {
    const record = all.at(op.kind, op.owner) as Owner | undefined;
    if (record) all.put(op.kind, op.owner, { ...record, tally: folded(record.tally, op) });
  }
  return all.entities();
}

/** Records after a step back or forth; what a ledger comes to now stays, but for the events of the step. */
export function stepped(entities: Entities, { patches, events }: Step): Entities {
  const next = applied(entities, patches);
  const all = gathering(next);
  for (const { kind, id } of touchedBy(patches)) {
    const [before, after] = [entities[kind][id], next[kind][id]] as (Owner | undefined)[];
    if (isOwner(kind) && before && after && before.tally !== after.tally)
      all.put(kind, id, { ...after, tally: before.tally });
  }
  return tallied(all.entities(), events);
}
