import { produce, produceWithPatches, type Patch } from 'immer';
import { Gone, KINDS, readingOf, type Around, type Command, type Entities, type Kind, type Reading } from '@/records';
import { arrived, changed } from './storage/slice';
import { refused } from './session';
import { localStamp, type Ports } from './ports';
import type { State, Thunk } from './store';

/** What a command takes from outside: the clock of the valley where it stands still, else this device's. */
export function aroundOf(state: State, ports: Ports): Around {
  return { now: state.session.frozenClock ?? localStamp(ports.now()), newId: ports.newId };
}

/** Records that patches touch, each once. */
function touched(patches: readonly Patch[]): { kind: Kind; id: string }[] {
  return [...new Map(patches.map(({ path: [kind, id] }) => [`${kind}/${id}`, { kind: kind as Kind, id: String(id) }])).values()];
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
  return touched(patches.filter((patch) => patch.path.length > 2)).filter(({ kind, id }) => (before[kind][id] as { demo?: boolean } | undefined)?.demo);
}

/**
 * Runs a command as one step that undo takes back, and gives what it gives. What it would leave broken, by the schema of its kind, and what is about
 * a record that is gone is refused whole: nothing changes, the session says so, and the answer is null.
 */
export function act<I, R>(command: Command<I, R>, input: I): Thunk<R | null> {
  return (dispatch, getState, ports) => {
    const state = getState();
    const { entities } = state.records;
    let given: R | null = null;
    let made: readonly [Entities, Patch[], Patch[]];
    try {
      made = produceWithPatches(entities, (draft: Entities) => {
        given = command.run(draft, input, aroundOf(state, ports));
      });
    } catch (error) {
      if (!(error instanceof Gone)) throw error;
      dispatch(refused({ name: command.name, detail: error.message }));
      return null;
    }
    const [next, patches, inverse] = made;
    if (patches.length === 0) return given;
    const fault = touched(patches).map((record) => faultOf(next, record)).find((item) => item !== null) ?? null;
    if (fault !== null) {
      dispatch(refused({ name: command.name, detail: fault }));
      return null;
    }
    const own = madeOwn(entities, patches);
    const [, more, back] = own.length === 0 ? [next, [], []] : produceWithPatches(next, (draft: Entities) => {
      for (const { kind, id } of own) if (draft[kind][id]) (draft[kind][id] as { demo: boolean }).demo = false;
    });
    const all = [...patches, ...more];
    dispatch(command.here ? arrived(all) : changed({ label: command.label(input), group: command.field(input), at: ports.now(), patches: all, inverse: [...back, ...inverse] }));
    return given;
  };
}

/** What a command would add and change if it were run: the same command, on a draft that is let go. Its ids are nobody's: none is taken from the tier's own. */
export function foresee<I, R>(entities: Entities, now: string, command: Command<I, R>, input: I): Reading {
  let next = 0;
  const around = { now, newId: (kind: string) => `${kind}_foreseen-${++next}` };
  return readingOf(entities, produce(entities, (draft: Entities) => void command.run(draft, input, around)));
}
