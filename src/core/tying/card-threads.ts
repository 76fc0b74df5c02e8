import type { Card, CardThread } from '../card/card-shape';
import type { Dressing } from '../dressings';
import type { Material } from '../materials';
import { threadDiameter } from './amounts';
import { named } from './card-colours';
import { headTurnBudget, threadReasons, type ThreadOnHook } from './thread-advice';

/** The threads of a dressing on this hook, with the turns a head has room for and what is said of each. */
export function threadsOf(dressing: Dressing, on: ThreadOnHook, materials: readonly Material[]): Card['threads'] {
  return dressing.threads.flatMap((thread): CardThread[] => {
    const own = materials.find((item) => item.id === thread.material);
    if (!own || own.denier === null || own.fibre === null) return [];
    const atHead = thread.role === 'head' || thread.role === 'foundation';
    return [
      {
        role: thread.role,
        material: own.id,
        name: own.name,
        denier: own.denier,
        diameter_mm: threadDiameter(own.denier, own.fibre),
        colour: named(own.hex, 'default'),
        finish_turns: thread.finish_turns,
        head_turns: atHead ? headTurnBudget(own.denier, own.fibre, on) : null,
        optional: thread.optional,
        reasons: threadReasons(dressing, thread, own, on, materials),
      },
    ];
  });
}
