import equal from 'fast-deep-equal';
import { atomsOf, recordOf, thingOf } from './atoms';
import { standing, takeCarried } from './carried';
import { BORN, latestOf, type Clocks } from './clocks';
import type { Around } from './command';
import { KINDS, type Entities, type Kind, type RecordTypes } from './kinds';
import { TALLY, withoutTally } from './merge';
import { says } from './said';

/** What a file of an open format says of one record: any of its fields, of a thing inside it any of the thing's. */
export type Said<K extends Kind> = { readonly [F in keyof RecordTypes[K]]?: unknown };

/**
 * An import's rule for what is here already: what the file says is an edit made now, merged with the record as any other copy of it (merge.ts). What it leaves
 * empty erases nothing, but for fields that are `whole`: those it says also where they are empty. Where the file says nothing new, nothing changes; a record that is
 * not here is made, with the usual for what the file does not say.
 */
export function takeSaid<K extends Kind>(
  draft: Entities,
  kind: K,
  id: string,
  { demo: _demo, ...said }: Said<K> & { demo?: unknown },
  around: Around,
  whole: readonly (keyof RecordTypes[K] & string)[] = [],
): void {
  const here = standing(draft, kind, id) as Record<string, unknown> | undefined;
  if (!here) {
    const given = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== null));
    const data = withoutTally(KINDS[kind].schema.cast(given) as object);
    takeCarried(draft, { records: [{ kind, id, data, clocks: null }], events: [] }, around);
    return;
  }
  const known = around.clocksOf(kind, id) ?? {};
  const at = Math.max(around.at, latestOf(known) + 1);
  const { shape } = KINDS[kind];
  const stands = atomsOf(here, shape, [TALLY]);
  // A thing that is not in a list yet comes whole, with what is empty of it.
  const isNew = (path: string) => {
    const thing = thingOf(path);
    return thing !== null && !stands.has(thing);
  };
  const given = new Map(
    [...atomsOf(said, shape, [TALLY])].filter(
      ([path, value]) =>
        (says(value) || whole.some((field) => field === path) || isNew(path)) &&
        !(stands.has(path) && equal(stands.get(path), value)),
    ),
  );
  if (given.size === 0) return;
  // A thing has its fields only where it is named.
  for (const path of [...given.keys()]) {
    const [field, thing] = path.split('/');
    if (thing !== undefined && stands.get(`${field}/${thing}`) === true) given.set(`${field}/${thing}`, true);
  }
  const clocks: Clocks = {
    ...Object.fromEntries([...given.keys()].map((path) => [path, at])),
    [BORN]: known[BORN] ?? 0,
  };
  takeCarried(draft, { records: [{ kind, id, data: recordOf(given, shape), clocks }], events: [] }, around);
}
