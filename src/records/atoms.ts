/**
 * How a field's parts stand when two copies of a record meet. A field that is not named is one value. `entries`: a map, each entry one value. `set`: a list
 * of texts, each there or not. `things`: a map of things whose fields stand alone. `items`: a list of things by the field named, whose other fields stand alone.
 */
export type Part = 'entries' | 'set' | 'things' | { items: string };

export type Shape = Readonly<Record<string, Part>>;

/** A record taken apart: the value of each part by its path, `colours/wing`. That a thing of a list is there is a part too, `specimens/s1`. */
export type Atoms = ReadonlyMap<string, unknown>;

type Thing = Readonly<Record<string, unknown>>;

const escaped = (key: string) => key.replaceAll('~', '~0').replaceAll('/', '~1');
const plain = (key: string) => key.replaceAll('~1', '/').replaceAll('~0', '~');

/** The thing of a list or a map that a part belongs to; null for a part that stands alone. */
export function thingOf(path: string): string | null {
  const parts = path.split('/');
  return parts.length === 3 ? `${parts[0]}/${parts[1]}` : null;
}

function putThing(atoms: Map<string, unknown>, path: string, thing: Thing, id: string | null): void {
  atoms.set(path, true);
  for (const [field, value] of Object.entries(thing)) if (field !== id) atoms.set(`${path}/${escaped(field)}`, value);
}

/** Takes a record apart by its shape; `left` are fields that are not merged. */
export function atomsOf(record: Thing, shape: Shape, left: readonly string[] = []): Atoms {
  const atoms = new Map<string, unknown>();
  for (const [field, value] of Object.entries(record)) {
    if (left.includes(field)) continue;
    const part = shape[field];
    if (part === undefined || value === null || value === undefined) atoms.set(field, value ?? null);
    else if (part === 'entries')
      for (const [key, entry] of Object.entries(value)) atoms.set(`${field}/${escaped(key)}`, entry);
    else if (part === 'set') for (const member of value as string[]) atoms.set(`${field}/${escaped(member)}`, true);
    else if (part === 'things')
      for (const [key, thing] of Object.entries(value))
        putThing(atoms, `${field}/${escaped(key)}`, thing as Thing, null);
    else
      for (const thing of value as Thing[])
        putThing(atoms, `${field}/${escaped(String(thing[part.items]))}`, thing, part.items);
  }
  return atoms;
}

/** By name, and what is counted by its number: `s2` before `s10`. */
const byName = new Intl.Collator('en', { numeric: true }).compare;

/** Puts a record together again; lists by id, which for what the tier made is the order it was made in. */
export function recordOf(atoms: Atoms, shape: Shape): Record<string, unknown> {
  const record: Record<string, unknown> = {};
  const things = new Map<string, Record<string, unknown>>();
  for (const [field, part] of Object.entries(shape))
    if (atoms.get(field) !== null) record[field] = part === 'entries' || part === 'things' ? {} : [];
  // Things before their fields.
  const depth = (path: string) => path.split('/').length;
  for (const [path, value] of [...atoms].sort(([a], [b]) => depth(a) - depth(b) || byName(a, b))) {
    const [field, key, sub] = path.split('/').map(plain) as [string, string?, string?];
    const part = shape[field];
    if (key === undefined) record[field] ??= value;
    else if (sub !== undefined) {
      const thing = things.get(thingOf(path)!);
      if (thing) thing[sub] = value;
    } else if (part === 'entries') (record[field] as Record<string, unknown>)[key] = value;
    else if (part === 'set') (record[field] as string[]).push(key);
    else {
      const thing: Record<string, unknown> = typeof part === 'object' ? { [part.items]: key } : {};
      things.set(path, thing);
      if (part === 'things') (record[field] as Record<string, unknown>)[key] = thing;
      else (record[field] as unknown[]).push(thing);
    }
  }
  return record;
}
