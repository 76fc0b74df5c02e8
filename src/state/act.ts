import type { Patch } from 'immer';
import {
  folded,
  Gone,
  isOwner,
  KINDS,
  readingOf,
  TALLY,
  type Around,
  type Clocks,
  type Command,
  type Entities,
  type EventOp,
  type Kind,
  type Reading,
  type Tally,
} from '@/records';
import { draftOf } from './draft';
import { keyOf } from './storage/envelope';
import { changed } from './storage/slice';
import { refused } from './session';
import { localStamp, type Ports } from './ports';
import type { State, Thunk } from './store';
import { isOfTally, touchedBy } from './undo';

/** The clock of the valley where it stands still, else this device's. */
export function nowOf(state: State, ports: Ports): string {
  return state.session.frozenClock ?? localStamp(ports.now());
}

/** What a record lacks that it must have by its schema; null when it is whole. */
function faultOf(entities: Entities, { kind, id }: { kind: Kind; id: string }): string | null {
  const record = entities[kind][id];
  if (record === undefined) return null;
  try {
    KINDS[kind].schema.validateSync(record);
    return null;
  } catch (error) {
    return `${kind}/${id}: ${(error as Error).message}`;
  }
}

/** Demo records that a change went into: they are the tier's from then on. */
function madeOwn(before: Entities, patches: readonly Patch[]): { kind: Kind; id: string }[] {
  return touchedBy(patches.filter((patch) => patch.path.length > 2)).filter(
    ({ kind, id }) => (before[kind][id] as { demo?: boolean } | undefined)?.demo,
  );
}

/** Patches without what ledgers come to, which follows from the events: a record that is put in has what its ledger came to before them. */
function withoutTallies(patches: readonly Patch[], events: readonly EventOp[]): Patch[] {
  return patches
    .filter((patch) => !isOfTally(patch))
    .map((patch) => {
      const [kind, id] = patch.path.map(String) as [string, string];
      if (patch.path.length !== 2 || !isOwner(kind) || !patch.value) return patch;
      const own = events.filter((op) => op.kind === kind && op.owner === id);
      const tally = own.reduceRight(
        (now, op) => folded(now, { ...op, on: !op.on }),
        (patch.value as { tally: Tally }).tally,
      );
      return own.length === 0 ? patch : { ...patch, value: { ...(patch.value as object), [TALLY]: tally } };
    });
}

/**
 * Runs a command as one step that undo takes back, and gives what it gives. What it would leave broken, by the schema of its kind, and what is about
 * a record that is gone is refused whole: nothing changes, the session says so, and the answer is null.
 */
export function act<I, R>(command: Command<I, R>, input: I): Thunk<R | null> {
  return (dispatch, getState, { ports, clocks: edited }) => {
    const state = getState();
    const { entities } = state.records;
    const events: EventOp[] = [];
    const clocks: Record<string, Clocks> = {};
    const around: Around = {
      now: nowOf(state, ports),
      at: ports.now(),
      newId: ports.newId,
      enter: (op) => void events.push(op),
      clocksOf: (kind, id) => clocks[keyOf(kind, id)] ?? edited.get(keyOf(kind, id)),
      clocked: (kind, id, when) => void (clocks[keyOf(kind, id)] = when),
    };
    let given: R | null = null;
    const { draft, finish } = draftOf(entities);
    try {
      given = command.run(draft, input, around);
    } catch (error) {
      if (!(error instanceof Gone)) throw error;
      dispatch(refused({ name: command.name, detail: error.message }));
      return null;
    }
    const { entities: next, patches, inverse } = finish();
    if (patches.length === 0) return given;
    const fault =
      touchedBy(patches)
        .map((record) => faultOf(next, record))
        .find((item) => item !== null) ?? null;
    if (fault !== null) {
      dispatch(refused({ name: command.name, detail: fault }));
      return null;
    }
    // What is not for undo is no edit: looking on makes nothing the tier's.
    const own = command.here ? [] : madeOwn(entities, patches);
    const made = draftOf(next);
    for (const { kind, id } of own) if (made.draft[kind][id]) (made.draft[kind][id] as { demo: boolean }).demo = false;
    const last = made.finish();
    const all = [...withoutTallies(patches, events), ...last.patches];
    dispatch(
      changed({
        entities: last.entities,
        touched: touchedBy(all),
        events,
        clocks,
        change: command.here
          ? null
          : {
              label: command.label(input),
              group: command.field(input),
              at: ports.now(),
              patches: all,
              inverse: [...last.inverse, ...inverse.filter((patch) => !isOfTally(patch))],
              events,
            },
      }),
    );
    return given;
  };
}

/** What a command would do, and the records as they would be. */
export interface Foreseen extends Reading {
  after: Entities;
}

/** Lets the page do what waits: taps, its timer, the next picture. */
const breathe = () => new Promise<void>((on) => setTimeout(on));

/**
 * What a command would add and change if it were run: the same command, on a draft that is let go, part after part so that the page is not held up. Its ids are
 * nobody's: none is taken from the tier's own. Null where nobody wants to know any more.
 */
export async function foresee<I, R>(
  entities: Entities,
  clocks: ReadonlyMap<string, Clocks>,
  { now, at }: Pick<Around, 'now' | 'at'>,
  command: Command<I, R>,
  input: I,
  wanted: () => boolean = () => true,
): Promise<Foreseen | null> {
  let next = 0;
  const around: Around = {
    now,
    at,
    newId: (kind) => `${kind}_foreseen-${++next}`,
    enter: () => undefined,
    clocksOf: (kind, id) => clocks.get(keyOf(kind, id)),
    clocked: () => undefined,
  };
  const { draft, finish } = draftOf(entities);
  for (const [index, part] of command.parts(input).entries()) {
    if (index > 0) await breathe();
    if (!wanted()) return null;
    command.run(draft, part, around);
  }
  const after = finish().entities;
  return { ...readingOf(entities, after), after };
}
