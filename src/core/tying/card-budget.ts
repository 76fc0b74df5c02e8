import type { CardStep, RoomAfter } from '../card/card-shape';
import { isAlong, type LayOut } from './lay-out';

const FILLS: ReadonlySet<string> = new Set(['bind', 'wind', 'dub', 'fold', 'loop', 'coat']);

/** Room after each step that fills some: the first that makes a part lie along the hook. */
export function budgetOf(steps: readonly CardStep[], laid: LayOut): RoomAfter[] {
  const along = new Map(laid.parts.filter((item) => isAlong(item.part)).map((item) => [item.part.id, item]));
  const placed = new Set<string>();
  const total = laid.usedMm + laid.spareMm;
  let used = 0;
  return steps.flatMap((step): RoomAfter[] => {
    const item = step.part === null || !FILLS.has(step.do) || placed.has(step.part) ? undefined : along.get(step.part);
    if (!item || step.part === null) return [];
    placed.add(step.part);
    used += item.mm ?? 0;
    return [
      {
        step: step.n,
        part: item.part.id,
        kind: item.part.part,
        used_mm: used,
        left_mm: laid.roomMm + laid.spareMm - used,
        needed_mm: Math.max(0, total - used),
      },
    ];
  });
}
