import { same, type Dressing, type DressingStep } from '../dressings';

type Items = readonly object[];

/** What `mine` changed since `base`, put on what `theirs` made of `base`: records field by field, lists item by item. Where both changed a thing, mine stands. */
export function mergeDressings(base: Dressing, mine: Dressing, theirs: Dressing): Dressing {
  const lists = {
    parts: mergeLists(base.parts, mine.parts, theirs.parts, (part) => part.id),
    steps: mergeLists(base.steps, mine.steps, theirs.steps, stepKey),
    weights: mergeLists(base.weights, mine.weights, theirs.weights, (weight) => weight.kind),
    threads: mergeLists(base.threads, mine.threads, theirs.threads, (thread) => thread.role),
    layers: mergeLists(base.layers, mine.layers, theirs.layers, (layer) => layer.part),
    bundles: mergeLists(base.bundles, mine.bundles, theirs.bundles, (bundle) => bundle.id),
    switches: mergeLists(base.switches, mine.switches, theirs.switches, (item) => item.id),
    assemblies: mergeLists(
      base.assemblies,
      mine.assemblies,
      theirs.assemblies,
      (item) => item.id,
      (was, own, next) => ({
        ...mergeFields(was, own, next),
        steps: mergeLists(was.steps, own.steps, next.steps, stepKey),
      }),
    ),
    tools: mergeLists(base.tools, mine.tools, theirs.tools, String),
    cautions: mergeLists(base.cautions, mine.cautions, theirs.cautions, String),
  };
  return { ...mergeFields(base, mine, theirs), ...lists };
}

/** A phase of a part is one step; others go by what is done, to what. */
function stepKey(step: DressingStep): string {
  return step.phase === null ? `${step.do} ${step.as ?? ''} ${step.part ?? ''}` : `${step.part}.${step.phase}`;
}

function mergeFields<T extends object>(base: T, mine: T, theirs: T): T {
  const merged = { ...theirs };
  for (const key of Object.keys(mine) as (keyof T)[]) if (!same(base[key], mine[key])) merged[key] = mine[key];
  return merged;
}

/** A list by key; a key that comes again is told apart by its number. */
function keyed<T>(list: readonly T[], keyOf: (item: T) => string): Map<string, T> {
  const seen = new Map<string, number>();
  return new Map(
    list.map((item) => {
      const key = keyOf(item);
      const n = (seen.get(key) ?? 0) + 1;
      seen.set(key, n);
      return [`${key} ${n}`, item];
    }),
  );
}

function mergeLists<T>(
  base: readonly T[],
  mine: readonly T[],
  theirs: readonly T[],
  keyOf: (item: T) => string,
  mergeItem: (was: T, own: T, next: T) => T = (was, own, next) =>
    typeof own === 'object'
      ? (mergeFields(was as Items[number], own as Items[number], next as Items[number]) as T)
      : next,
): T[] {
  const [was, own, next] = [keyed(base, keyOf), keyed(mine, keyOf), keyed(theirs, keyOf)];
  const merged = new Map<string, T>();
  for (const [key, item] of next) {
    if (!own.has(key)) {
      if (!was.has(key)) merged.set(key, item);
    } else merged.set(key, was.has(key) ? mergeItem(was.get(key)!, own.get(key)!, item) : own.get(key)!);
  }
  for (const [key, item] of own) if (!was.has(key) && !next.has(key)) merged.set(key, item);
  // An order that mine left as it was is theirs to make.
  const common = (list: Map<string, T>) => [...list.keys()].filter((key) => was.has(key) && own.has(key));
  const [first, second] = same(common(own), common(was)) ? [next, own] : [own, next];
  const order = [...first.keys()].filter((key) => merged.has(key));
  [...second.keys()].forEach((key, index, all) => {
    if (!merged.has(key) || order.includes(key)) return;
    const before = all.slice(0, index).findLast((other) => order.includes(other));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key);
  });
  return order.map((key) => merged.get(key)!);
}
