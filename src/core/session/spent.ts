import type { Counted, Material } from '../materials';
import type { Card } from '../card/card-shape';
import { batchOf } from '../tying/batch';

/** What a stash counts piece by piece, so that flies take a number of them. A spool, a cape or a bag is by eye. */
const BY_PIECE: ReadonlySet<Counted> = new Set(['bead', 'piece', 'feather', 'strand']);

/** So many pieces of a material that went with a session. */
export interface Spent {
  material: string;
  count: number;
}

/** Pieces of counted materials that so many flies of each card took, spoiled ones with them: as they were cut, without what is spare. */
export function spentOf(
  items: readonly { card: Card; flies: number }[],
  material: (id: string) => Pick<Material, 'counted'> | undefined,
): Spent[] {
  const spent = new Map<string, number>();
  for (const { card, flies } of items)
    for (const { material: id, unit, each } of flies > 0 ? batchOf(card, flies).lines : []) {
      const counted = material(id)?.counted;
      if (counted === undefined || !BY_PIECE.has(counted) || each === null) continue;
      // A feather that is wound and a piece that is cut from are one of each fly; fibres are not counted off a whole feather.
      const count =
        unit === 'mm'
          ? flies
          : unit === 'count' && (counted === 'bead' || counted === 'strand' || counted === 'piece')
            ? each * flies
            : null;
      if (count !== null) spent.set(id, (spent.get(id) ?? 0) + count);
    }
  return [...spent].map(([id, count]) => ({ material: id, count }));
}
