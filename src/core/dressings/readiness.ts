import { reason, type Reason } from '../code';
import type { Readiness } from '@/catalogue/ids';
import type { Material } from '../materials';
import type { Dressing } from './dressing';
import type { Tool } from './tool';
import { neededBy, standInFor, type Wanted } from './stand-in';

const NONE: ReadonlySet<string> = new Set();

/** What of the bench is known beside the materials; null is unknown and does not count. */
export interface Bench {
  /** Whether a hook of the tier's carries it. */
  hook: { had: boolean; name: string | null } | null;
  tools: ReadonlySet<string> | null;
}

/** Whether a reason is about a hook or a tool that is not there. */
export const isBenchLack = ({ code }: Reason): boolean =>
  code === 'ready-no-hook' || code === 'ready-no-such-hook' || code === 'ready-no-tool';

/** The same with hooks and tools: without a hook it is short, without a tool it is done otherwise. Unknown stays what no stash was begun for. */
export function readyAtBench(
  { ready, reasons }: { ready: Readiness; reasons: readonly Reason[] },
  dressing: Pick<Dressing, 'tools'>,
  { hook, tools }: Bench,
  known: readonly Tool[],
): { ready: Readiness; reasons: Reason[] } {
  if (ready === 'unknown') return { ready, reasons: [...reasons] };
  const missing = tools === null ? [] : dressing.tools.filter((id) => !tools.has(id));
  const without = missing.flatMap((id) => known.find((tool) => tool.id === id) ?? []);
  const noHook = hook !== null && !hook.had;
  return {
    ready: noHook ? 'short' : ready === 'ready' && without.length > 0 ? 'substitutes' : ready,
    reasons: [
      ...reasons,
      ...(noHook
        ? [hook.name === null ? reason('ready-no-hook') : reason('ready-no-such-hook', { hook: hook.name })]
        : []),
      ...without.map(({ name, without: how }) => reason('ready-no-tool', { tool: name, how })),
    ],
  };
}

/** Whether a dressing can be tied from the materials to hand; `unknown` until a stash has been begun. A shade of the material is the material where it comes near the natural's colour; a substitute does the same work. `chosen`: materials the tier took by hand. */
export function readiness(
  dressing: Dressing,
  have: ReadonlySet<string> | null,
  materials: readonly Material[],
  wanted: Wanted = {},
  chosen: ReadonlySet<string> = NONE,
): { ready: Readiness; reason: Reason | null } {
  if (have === null) return { ready: 'unknown', reason: null };
  const missing: { material: string }[] = [];
  const without: { material: string }[] = [];
  for (const needed of neededBy(dressing)) {
    const colour = needed.region === null ? null : (wanted[needed.region] ?? null);
    // What was chosen by hand is what is wanted: nothing stands in for it.
    const found =
      chosen.has(needed.material) && !have.has(needed.material)
        ? null
        : standInFor(dressing, needed, have, materials, colour);
    if (found === null) without.push(needed);
    if (found === null || found.as === 'substitute') missing.push(needed);
  }
  const names = (list: typeof missing) => ({
    list: [...new Set(list.map(({ material }) => materials.find((item) => item.id === material)?.name ?? material))],
  });
  if (missing.length === 0) return { ready: 'ready', reason: reason('ready-all') };
  if (without.length === 0)
    return { ready: 'substitutes', reason: reason('ready-substitutes', { materials: names(missing) }) };
  return { ready: 'short', reason: reason('ready-short', { materials: names(without) }) };
}
