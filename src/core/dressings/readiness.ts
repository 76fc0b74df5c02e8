import { reason, type Reason } from '../code';
import type { Readiness } from '@/catalogue/ids';
import type { Material } from '../materials';
import type { Dressing } from './dressing';

/** Whether a dressing can be tied from the materials to hand; `unknown` until a stash has been begun. A substitute does the same work. */
export function readiness(
  dressing: Dressing,
  have: ReadonlySet<string> | null,
  materials: readonly Material[],
): { ready: Readiness; reason: Reason | null } {
  if (have === null) return { ready: 'unknown', reason: null };
  const needed = [
    ...dressing.parts.flatMap((part) =>
      part.material === null || part.optional || part.function === null
        ? []
        : [{ material: part.material, does: part.function }],
    ),
    ...dressing.threads.map((thread) => ({ material: thread.material, does: 'thread' as const })),
  ];
  const missing = needed.filter(({ material }) => !have.has(material));
  const without = missing.filter(
    ({ does }) => !materials.some((material) => have.has(material.id) && material.functions.includes(does)),
  );
  const names = (list: typeof needed) => ({
    list: [...new Set(list.map(({ material }) => materials.find((item) => item.id === material)?.name ?? material))],
  });
  if (missing.length === 0) return { ready: 'ready', reason: reason('ready-all') };
  if (without.length === 0)
    return { ready: 'substitutes', reason: reason('ready-substitutes', { materials: names(missing) }) };
  return { ready: 'short', reason: reason('ready-short', { materials: names(without) }) };
}
