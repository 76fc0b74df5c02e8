import equal from 'fast-deep-equal';
import { standing, takeCarried, type Carried } from '../carried';
import { command, enter, inPieces } from '../command';
import type { Entities, Kind } from '../kinds';
import { isOwner, LEDGERS, type EventOp, type Tally } from '../ledger';

/** What a device is set to stays when all else is replaced: its light, its hand, its screen. */
const STAYS: ReadonlySet<Kind> = new Set(['device']);
/** There is always one of these. */
const ONE: ReadonlySet<Kind> = new Set(['settings']);

/** Takes a backup in beside what is here: of each field the later edit stands, ledgers are joined, nothing is lost that only one side has. */
export const mergeBackup = command<{ carried: Carried }>(
  'backup-merged',
  (draft, { carried }, around) =>
    takeCarried(draft, { ...carried, records: carried.records.filter(({ kind }) => !STAYS.has(kind)) }, around),
  {
    parts: ({ carried: { records, events } }) => [
      ...inPieces(records).map((some) => ({ carried: { records: some, events: [] } })),
      ...inPieces(events).map((some) => ({ carried: { records: [], events: some } })),
    ],
  },
);

interface Replacing {
  carried: Carried;
  ops: readonly EventOp[];
  /** Of a whole that is cut up: what goes is told by the whole, in its first part. */
  whole?: Carried | null;
}

/** Makes everything here what a backup holds: what it does not have goes, what it has stands as it was then. `ops` are the entries of ledgers to put in and to take out. */
export const replaceByBackup = command<Replacing>(
  'backup-replaced',
  (draft, { carried, ops, whole = carried }, around) => {
    const held = new Set(whole?.records.map(({ kind, id }) => `${kind}/${id}`));
    if (whole)
      for (const kind of Object.keys(draft) as Kind[])
        if (!STAYS.has(kind) && !ONE.has(kind))
          for (const id of Object.keys(draft[kind])) if (!held.has(`${kind}/${id}`)) delete draft[kind][id];
    for (const { kind, id, data } of carried.records) {
      if (STAYS.has(kind)) continue;
      const here = standing(draft, kind, id) as { tally?: Tally } | undefined;
      const record = {
        ...data,
        ...('demo' in data ? { demo: false } : {}),
        ...(isOwner(kind) ? { tally: here?.tally ?? LEDGERS[kind].none } : {}),
      };
      if (!equal(here, record)) (draft[kind] as Record<string, unknown>)[id] = record;
    }
    for (const op of ops) if (draft[op.kind][op.owner]) enter(draft, op, around);
  },
  {
    parts: ({ carried, ops }) => [
      { carried: { records: [], events: [] }, ops: [], whole: carried },
      ...inPieces(carried.records).map((records) => ({ carried: { records, events: [] }, ops: [], whole: null })),
      ...inPieces(ops).map((some) => ({ carried: { records: [], events: [] }, ops: some, whole: null })),
    ],
  },
);

/** How many of the tier's own records a backup does not have: they stay when it is merged. */
export function notIn(entities: Entities, { records }: Carried): number {
  const held = new Set(records.map(({ kind, id }) => `${kind}/${id}`));
  return (Object.keys(entities) as Kind[])
    .filter((kind) => !STAYS.has(kind) && !ONE.has(kind))
    .reduce(
      (sum, kind) =>
        sum +
        Object.entries(entities[kind]).filter(
          ([id, record]) => !(record as { demo?: boolean }).demo && !held.has(`${kind}/${id}`),
        ).length,
      0,
    );
}

/** Entries of ledgers that make those of a backup's records what they were in it: those missing here go in, those that came since go out. `here` are the entries there are. */
export function opsToReplace({ records, events }: Carried, here: readonly EventOp[]): EventOp[] {
  const key = ({ kind, owner, id }: EventOp) => `${kind}/${owner}/${id}`;
  const owners = new Set(records.map(({ kind, id }) => `${kind}/${id}`));
  const then = new Map(events.filter(({ on }) => on).map((op) => [key(op), op]));
  const now = new Map(here.map((op) => [key(op), op]));
  return [
    ...[...then.values()].filter((op) => !now.has(key(op))),
    ...here.flatMap((op) =>
      owners.has(`${op.kind}/${op.owner}`) && !then.has(key(op)) ? [{ ...op, on: false } as EventOp] : [],
    ),
  ];
}
