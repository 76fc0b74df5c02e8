import type { Readiness } from '@/catalogue/ids';
import type { Reason } from '../code';
import { NUMBER_STEP, SUIT } from '../constants';
import { comparedMm, readiness, readyAtBench, type Dressing, type Picking } from '../dressings';
import { carryOn, styleUse } from '../hook-score';
import { columnsOf, target, type Hook } from '../hooks';
import type { Catalogue } from './answer-shape';

/** The hook of a drawer that carries a dressing for some natural it is made for, within a size; null where none does. Of several the one nearest to the middle of its range. */
export function hookFor(
  dressing: Dressing,
  hooks: ReadonlySet<string>,
  catalogue: Pick<Catalogue, 'hooks' | 'styles'>,
): Hook | null {
  const style = catalogue.styles.find(({ id }) => id === dressing.style);
  if (!style) return null;
  const use = styleUse(style, dressing);
  const columns = columnsOf(catalogue.hooks);
  const [low, high] = dressing.length_mm.map((mm) => Math.log(target(style, comparedMm(style, mm), 0)));
  const reach = SUIT.bandSteps * NUMBER_STEP;
  let best: { hook: Hook; off: number } | null = null;
  for (const id of hooks) {
    const hook = columns.hooks[columns.at.get(id) ?? -1];
    const carried = hook && carryOn(hook, use, false);
    if (!carried) continue;
    const at = Math.log(carried.carryMm);
    if (at < low! - reach || at > high! + reach) continue;
    const off = Math.abs(at - (low! + high!) / 2);
    if (best === null || off < best.off) best = { hook, off };
  }
  return best?.hook ?? null;
}

/** Whether a dressing can be tied from what is at hand: materials, threads and beads, a hook that carries it, tools. */
export function readyAtHand(
  dressing: Dressing,
  { stash, hooks, tools }: Pick<Picking, 'stash' | 'hooks' | 'tools'>,
  catalogue: Pick<Catalogue, 'hooks' | 'styles' | 'materials' | 'tools'>,
): { ready: Readiness; reasons: Reason[] } {
  const { ready, reason } = readiness(dressing, stash, catalogue.materials);
  const hook = hooks === null ? null : { had: hookFor(dressing, hooks, catalogue) !== null, name: null };
  return readyAtBench({ ready, reasons: reason ? [reason] : [] }, dressing, { hook, tools }, catalogue.tools);
}
