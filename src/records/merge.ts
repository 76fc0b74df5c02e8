import equal from 'fast-deep-equal';
import { atomsOf, recordOf, thingOf, type Atoms } from './atoms';
import { BACK, BORN, GONE, latestOf, livesBy, type Clocks } from './clocks';
import { KINDS, type Kind } from './kinds';
import { says } from './said';

/** A record with the clocks of its parts; `data` is null where nothing is known of what it was. */
export interface Copy {
  data: object | null;
  clocks: Clocks;
}

/** Field of a record that sums its events: worked out, never merged. */
export const TALLY = 'tally';

/** A record without what its ledger comes to, which follows from the events. */
export function withoutTally(record: object): object {
  if (!(TALLY in record)) return record;
  const { [TALLY]: _, ...rest } = record as Record<string, unknown>;
  return rest;
}

const NONE: Atoms = new Map();
/** What stands for a part that is not there; a value that is there wins over it at the same time. */
const ABSENT = undefined;

const apart = (kind: Kind, data: object | null | undefined): Atoms =>
  data ? atomsOf(data as Record<string, unknown>, KINDS[kind].shape, [TALLY]) : NONE;

function clockOf(clocks: Clocks, path: string, value: unknown): number {
  return clocks[path] ?? (says(value) ? (clocks[BORN] ?? 0) : 0);
}

/** Of two values edited at the same moment one, whichever came first: the same one on every device. */
const tied = (one: unknown, other: unknown): unknown =>
  (JSON.stringify(one) ?? '') >= (JSON.stringify(other) ?? '') ? one : other;

/**
 * Two copies of one record as one: of each part the later edit, what was never said erases nothing, and a record is there when it was edited or brought back
 * after it was deleted. Which copy is named first, and how often they meet, makes no difference.
 */
export function mergeCopies(kind: Kind, one: Copy, other: Copy): Copy {
  // What a tab wrote comes back to it after every write.
  if (equal(one, other)) return one;
  if ((one.data === null) !== (other.data === null))
    return one.data === null
      ? mergeCopies(kind, asKnown(one, other), other)
      : mergeCopies(kind, one, asKnown(other, one));
  const [a, b] = [apart(kind, one.data), apart(kind, other.data)];
  const born = Math.max(one.clocks[BORN] ?? 0, other.clocks[BORN] ?? 0);
  const clocks: Record<string, number> = { [BORN]: born };
  for (const name of [BACK, GONE]) {
    const at = Math.max(one.clocks[name] ?? -1, other.clocks[name] ?? -1);
    if (at >= 0) clocks[name] = at;
  }
  const atoms = new Map<string, unknown>();
  for (const path of new Set([...a.keys(), ...b.keys(), ...Object.keys(one.clocks), ...Object.keys(other.clocks)])) {
    if (path === BORN || path === BACK || path === GONE) continue;
    const [va, vb] = [a.get(path), b.get(path)];
    const [ca, cb] = [clockOf(one.clocks, path, va), clockOf(other.clocks, path, vb)];
    const value = ca > cb ? va : cb > ca ? vb : tied(va, vb);
    const at = Math.max(ca, cb);
    if (value !== ABSENT) atoms.set(path, value);
    if (at !== (says(value) ? born : 0)) clocks[path] = at;
  }
  return { data: one.data || other.data ? together(kind, atoms, one.data, other.data) : null, clocks };
}

/** Of a record of which nothing is known but when it was edited, deleted and brought back: what the other copy says it was. */
function asKnown({ clocks }: Copy, { data, clocks: known }: Copy): Copy {
  const latest = latestOf(clocks);
  return {
    data,
    clocks: {
      ...known,
      ...(GONE in clocks ? { [GONE]: clocks[GONE]! } : {}),
      ...(latest > latestOf(known) ? { [BACK]: latest } : {}),
    },
  };
}

/** The record of these parts; a copy that has just these is given back as it is, so that what did not change is not drawn anew. */
function together(kind: Kind, atoms: Atoms, ...known: (object | null)[]): object {
  const merged = recordOf(atoms, KINDS[kind].shape);
  const whole = apart(kind, merged);
  const alike = known.filter((data) => data !== null && same(apart(kind, data), whole)) as object[];
  return alike.length > 0 && alike.every((data) => equal(data, alike[0])) ? alike[0]! : merged;
}

function same(one: Atoms, other: Atoms): boolean {
  if (one.size !== other.size) return false;
  for (const [path, value] of one) if (!other.has(path) || !equal(value, other.get(path))) return false;
  return true;
}

/** Clocks after an edit at `now`: parts that differ get its time, or one more than they had, for who edits has seen what stood there. A record that came is born, one that comes again is back, one that went is gone. */
export function stamped(
  kind: Kind,
  before: object | undefined,
  after: object | undefined,
  clocks: Clocks | undefined,
  now: number,
): Clocks {
  if (after === undefined) return { ...clocks, [GONE]: Math.max(now, latestOf(clocks ?? {}) + 1) };
  if (before === undefined) {
    if (!clocks || !(GONE in clocks)) return { [BORN]: now };
    // Bringing it back says all of it anew, what is empty in it too.
    const at = Math.max(now, clocks[GONE]! + 1);
    const empty = [...apart(kind, after)].filter(([, value]) => !says(value)).map(([path]) => [path, at]);
    return { ...(Object.fromEntries(empty) as Clocks), [BORN]: at, [BACK]: at, [GONE]: clocks[GONE]! };
  }
  const [a, b] = [apart(kind, before), apart(kind, after)];
  const next: Record<string, number> = { ...clocks };
  const put = (path: string) => void (next[path] = Math.max(now, clockOf(next, path, a.get(path)) + 1));
  for (const path of new Set([...a.keys(), ...b.keys()])) {
    if (a.has(path) === b.has(path) && equal(a.get(path), b.get(path))) continue;
    const thing = thingOf(path);
    // Fields go with their thing, so that it has them when an edit elsewhere brings it back.
    if (thing !== null && !b.has(thing)) continue;
    put(path);
    // A thing that is edited is there, whoever took it out before.
    if (thing !== null) put(thing);
  }
  return next;
}

/** Whether a merged copy is a record that is there. */
export const lives = ({ data, clocks }: Copy): boolean => data !== null && livesBy(clocks);

/** What two copies made, made whole: they were sound, and together they need not be. */
export function mendedBy(kind: Kind, data: object): object {
  const known = KINDS[kind] as { mend?: (data: never) => object };
  return known.mend ? keptIfSame(data, known.mend(data as never)) : data;
}

const keptIfSame = (before: object, after: object) => (equal(before, after) ? before : after);
