import { folded, type EventOp, type EventTypes, type OwnerKind, type Tally } from './ledger';
import type { Clocks } from './clocks';
import type { Entities, Kind } from './kinds';

/** What a change takes from outside itself. */
export interface Around {
  /** Local time of the device, or of the valley's own clock: `2033-05-24T04:50`. */
  now: string;
  /** `kind_` and an id that nothing else has. */
  newId(kind: string): string;
  /** Real time, ms since 1970: when a part of a record is edited. */
  at: number;
  /** When the parts of a record were edited; undefined for one that was never there. */
  clocksOf(kind: Kind, id: string): Clocks | undefined;
  /** Hears when the parts of a record that was merged were edited: merging is no edit. */
  clocked(kind: Kind, id: string, clocks: Clocks): void;
  /** Hears what is entered into ledgers, which lie apart from the records (ledger.ts). */
  enter(op: EventOp): void;
}

/** Enters an event into the ledger of a record, or takes one out again: the record's tally follows, and the event is kept apart. Its id. */
export function enter<K extends OwnerKind>(
  draft: Entities,
  {
    kind,
    owner,
    id,
    event,
    on = true,
  }: { kind: K; owner: string; id: string; event: EventTypes[NoInfer<K>]; on?: boolean },
  around: Pick<Around, 'enter'>,
): string {
  const record = found<{ tally: Tally }>(draft[kind], owner);
  const op = { kind, owner, id, on, event: { ...event } } as EventOp;
  record.tally = folded(record.tally, op);
  around.enter(op);
  return id;
}

/** A change of records, by name: pure but for the draft it is given, run once, and checked when it has run. */
export interface Command<I, R = void> {
  name: string;
  /** What undo calls it: a message code. */
  label(input: I): string;
  /** Quick changes of one field are one step back; null for a change that stands alone. */
  field(input: I): string | null;
  /** Only this device remembers it: kept, and not for undo. */
  here: boolean;
  /** An input cut up, so that the parts run one after the other on one draft come to the same: to foresee it without holding the page up. */
  parts(input: I): readonly I[];
  run(draft: Entities, input: I, around: Around): R;
}

interface More<I> {
  label?: string | ((input: I) => string);
  field?: (input: I) => string | null;
  here?: boolean;
  parts?: (input: I) => readonly I[];
}

/** So many records are worked on at once where the page is not to be held up. */
const AT_ONCE = 200;

/** A list cut up into pieces that are worked on one after the other. */
export function inPieces<T>(list: readonly T[], atOnce = AT_ONCE): T[][] {
  return Array.from({ length: Math.ceil(list.length / atOnce) }, (_, at) => list.slice(at * atOnce, (at + 1) * atOnce));
}

/** A command; without a label it is called by its name. */
export function command<I, R = void>(
  name: string,
  run: Command<I, R>['run'],
  { label = name, field = () => null, here = false, parts = (input) => [input] }: More<I> = {},
): Command<I, R> {
  return { name, label: typeof label === 'string' ? () => label : label, field, here, parts, run };
}

/** The record a command is about. Throws when it is gone: the change is refused whole. */
export function found<T>(table: Record<string, T>, id: string): T {
  const record = table[id];
  if (record === undefined) throw new Gone(id);
  return record;
}

/** A command was about a record that is not there (any more). */
export class Gone extends Error {
  constructor(readonly id: string) {
    super(`gone: ${id}`);
  }
}
