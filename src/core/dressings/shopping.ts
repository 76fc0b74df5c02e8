import type { FunctionId } from '@/catalogue/ids';
import type { Material } from '../materials';
import type { Dressing } from './dressing';
import { neededBy, standInFor } from './stand-in';

/** One thing to buy, and why. */
export interface ShoppingLine {
  /** The material as dressings name it, or as it stands in the stash. */
  id: string;
  material: Material;
  does: FunctionId;
  /** Dressings that cannot be tied without it. */
  short: string[];
  /** Dressings that would be tied in something else. */
  instead: string[];
  /** It is had, and running low. */
  low: boolean;
}

/** What a stash lacks for some dressings, and what of it runs low: first what nothing stands in for, then by name. Each once. */
export function shoppingList(
  dressings: readonly Dressing[],
  have: ReadonlySet<string>,
  low: readonly string[],
  materials: readonly Material[],
): ShoppingLine[] {
  const byId = new Map(materials.map((material) => [material.id, material]));
  const lines = new Map<string, ShoppingLine>();
  const line = (id: string, does?: FunctionId): ShoppingLine | null => {
    const material = byId.get(id);
    if (!material) return null;
    const known = lines.get(id) ?? {
      id,
      material,
      does: does ?? material.functions[0]!,
      short: [],
      instead: [],
      low: false,
    };
    lines.set(id, known);
    return known;
  };
  for (const dressing of dressings)
    for (const needed of neededBy(dressing)) {
      const found = standInFor(dressing, needed, have, materials);
      if (found && found.as !== 'substitute') continue;
      const wanted = line(needed.material, needed.does);
      const list = found ? wanted?.instead : wanted?.short;
      if (list && !list.includes(dressing.name)) list.push(dressing.name);
    }
  for (const id of low) {
    const wanted = line(id);
    if (wanted) wanted.low = true;
  }
  return [...lines.values()].sort(
    (a, b) =>
      Number(b.short.length > 0) - Number(a.short.length > 0) ||
      a.material.name.localeCompare(b.material.name) ||
      a.id.localeCompare(b.id),
  );
}
