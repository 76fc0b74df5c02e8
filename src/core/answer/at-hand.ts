import type { Readiness } from '@/catalogue/ids';
import type { Reason } from '../code';
import { NUMBER_STEP, SUIT } from '../constants';
import { comparedMm, readiness, readyAtBench, type Dressing, type Picking } from '../dressings';
import { carryOn, styleUse } from '../hook-score';
import { columnsOf, target, type Hook } from '../hooks';
import type { Catalogue } from './answer-shape';

type Hooks = Pick<Catalogue, 'hooks' | 'styles'>;

/** Hooks of a drawer that carry a dressing for some natural it is made for, within a size; how far each lies from the middle of its range, as a logarithm. */
function* hooksFor(
  dressing: Dressing,
  hooks: ReadonlySet<string>,
  catalogue: Hooks,
): Generator<{ hook: Hook; off: number }> {
  const style = catalogue.styles.find(({ id }) => id === dressing.style);
  if (!style) return;
  const use = styleUse(style, dressing);
  const columns = columnsOf(catalogue.hooks);
  const [low, high] = dressing.length_mm.map((mm) => Math.log(target(style, comparedMm(style, mm), 0)));
  const reach = SUIT.bandSteps * NUMBER_STEP;
  for (const id of hooks) {
    const hook = columns.hooks[columns.at.get(id) ?? -1];
    const carried = hook && carryOn(hook, use, false);
    if (!carried) continue;
    const at = Math.log(carried.carryMm);
    if (at >= low! - reach && at <= high! + reach) yield { hook, off: Math.abs(at - (low! + high!) / 2) };
  }
}

/** The hook of a drawer that carries a dressing, of several the one nearest to the middle of its range; null where none does. */
export function hookFor(dressing: Dressing, hooks: ReadonlySet<string>, catalogue: Hooks): Hook | null {
  let best: { hook: Hook; off: number } | null = null;
  for (const one of hooksFor(dressing, hooks, catalogue)) if (best === null || one.off < best.off) best = one;
  return best?.hook ?? null;
}

/** Answers by the hooks as they measure and the drawer that was asked: lists ask the same of every dressing at every key. */
const carried = new WeakMap<readonly Hook[], WeakMap<ReadonlySet<string>, WeakMap<Dressing, boolean>>>();

function remembered<K extends object, V>(map: WeakMap<K, V>, key: K, make: () => V): V {
  const known = map.get(key) ?? make();
  map.set(key, known);
  return known;
}

/** Whether a hook of the drawer carries a dressing. */
export function hasHookFor(dressing: Dressing, hooks: ReadonlySet<string>, catalogue: Hooks): boolean {
  const drawers = remembered(carried, catalogue.hooks, () => new WeakMap());
  const by = remembered(drawers, hooks, () => new WeakMap());
  const known = by.get(dressing);
  if (known !== undefined) return known;
  const any = hooksFor(dressing, hooks, catalogue).next().done !== true;
  by.set(dressing, any);
  return any;
}

/** Whether a dressing can be tied from what is at hand: materials, threads and beads, a hook that carries it, tools. */
export function readyAtHand(
  dressing: Dressing,
  { stash, hooks, tools }: Pick<Picking, 'stash' | 'hooks' | 'tools'>,
  catalogue: Pick<Catalogue, 'hooks' | 'styles' | 'materials' | 'tools'>,
): { ready: Readiness; reasons: Reason[] } {
  const { ready, reason } = readiness(dressing, stash, catalogue.materials);
  const hook = hooks === null ? null : { had: hasHookFor(dressing, hooks, catalogue), name: null };
  return readyAtBench({ ready, reasons: reason ? [reason] : [] }, dressing, { hook, tools }, catalogue.tools);
}
