import type { Readiness } from '@/catalogue/ids';
import type { CardMaterial } from '../card/card-shape';
import { reason, type Reason } from '../code';
import {
  changesBetween,
  neededBy,
  readiness,
  setMaterial,
  setThread,
  standInFor,
  type Dressing,
  type Wanted,
} from '../dressings';
import type { Material } from '../materials';
import { reworked, type WaysCatalogue } from '../ways';
import { swapKey } from './swap-key';
import { finishIn } from './thread-advice';

export interface FromStash {
  dressing: Dressing;
  ready: Readiness;
  /** What is there, what stands in for what, and what is missing. */
  reasons: Reason[];
  used: CardMaterial[];
}

/** What was chosen by hand for a dressing, of what is known: in place of which of its materials, which. */
function byHand(
  dressing: Dressing,
  swaps: Readonly<Record<string, string>>,
  materials: readonly Material[],
): ReadonlyMap<string, Material> {
  return new Map(
    everyNeed(dressing).flatMap(({ material }) => {
      const other = swaps[swapKey(dressing.id, material)];
      const own = other === undefined ? undefined : materials.find(({ id }) => id === other);
      return own ? [[material, own] as const] : [];
    }),
  );
}

/** A dressing in the materials chosen by hand, and in those to hand: a material in the shade that comes nearest to the natural's colour, what is missing in what does the same work. But for what was chosen it is as it was where no stash has been begun. Source: domain §7. */
export function fromStash(
  asWritten: Dressing,
  have: ReadonlySet<string> | null,
  catalogue: WaysCatalogue,
  wanted: Wanted = {},
  chosen: Readonly<Record<string, string>> = {},
): FromStash {
  const own = (id: string) => catalogue.materials.find((material) => material.id === id);
  const hand = byHand(asWritten, chosen, catalogue.materials);
  const taken = new Set([...hand.values()].map(({ id }) => id));
  const dressing =
    hand.size === 0 ? asWritten : swapped(asWritten, new Map([...hand].map(([from, { id }]) => [from, id])), catalogue);
  const reasons = [...hand].flatMap(([from, to]) => [
    from === to.id
      ? reason('kept-by-hand', { name: to.name })
      : reason('swap-by-hand', { from: own(from)?.name ?? from, to: to.name }),
    ...changesBetween(own(from) ?? to, to),
  ]);
  const known = new Map<string, CardMaterial>(
    everyNeed(asWritten).map(({ material: asked }) => [
      asked,
      hand.has(asked) ? { asked, used: hand.get(asked)!.id, as: 'hand' } : { asked, used: asked, as: 'itself' },
    ]),
  );
  const used = [...known.values()];
  const { ready, reason: said } = readiness(dressing, have, catalogue.materials, wanted, taken);
  if (have === null || said === null) return { dressing, ready, reasons, used };
  const swaps = new Map<string, string>();
  reasons.push(said);
  for (const needed of everyNeed(dressing)) {
    if (!own(needed.material) || swaps.has(needed.material) || taken.has(needed.material)) continue;
    const colour = needed.region === null ? null : (wanted[needed.region] ?? null);
    const found = standInFor(dressing, needed, have, catalogue.materials, colour);
    const line = known.get(needed.material);
    if (!found && line) line.as = 'short';
    if (!found || found.as === 'itself') continue;
    if (line) Object.assign(line, { used: found.id, as: found.as });
    swaps.set(needed.material, found.id);
    reasons.push(
      reason(found.as === 'shade' ? 'stash-shade' : 'stash-swap', {
        from: own(needed.material)!.name,
        to: own(found.id)!.name,
      }),
    );
  }
  return { ready, reasons, used, dressing: swaps.size === 0 ? dressing : swapped(dressing, swaps, catalogue) };
}

/** What a dressing asks for, what may be left out too. */
const everyNeed = (dressing: Dressing) =>
  neededBy({ ...dressing, parts: dressing.parts.map((part) => ({ ...part, optional: false })) });

function swapped(dressing: Dressing, swaps: ReadonlyMap<string, string>, catalogue: WaysCatalogue): Dressing {
  const swap = (id: string) => swaps.get(id) ?? id;
  const beside = (id: string | null) => (id === null ? null : swap(id));
  const fibre = (id: string) => catalogue.materials.find((own) => own.id === id)?.fibre ?? null;
  const finish = ({ material, finish_turns: turns }: { material: string; finish_turns: number }) =>
    finishIn(turns, fibre(material), fibre(swap(material)));
  const remade = reworked(
    dressing,
    (record) => ({
      ...record,
      threads: record.threads.map((thread) => ({
        ...thread,
        material: swap(thread.material),
        finish_turns: finish(thread),
      })),
      parts: record.parts.map((part) => ({
        ...part,
        of: part.of.map(swap),
        coat: beside(part.coat),
        tint: beside(part.tint),
      })),
    }),
    catalogue,
  );
  if (remade) return remade;
  const parts = dressing.parts.reduce(
    (made, part) =>
      part.material !== null && swaps.has(part.material) ? setMaterial(made, part.id, swap(part.material)) : made,
    dressing,
  );
  const made = dressing.threads.reduce((all, thread, index) => setThread(all, index, swap(thread.material)), parts);
  const raised = new Map(dressing.threads.map((thread) => [swap(thread.material), finish(thread)]));
  const first = dressing.threads[0] ? finish(dressing.threads[0]) : 0;
  return {
    ...made,
    steps: made.steps.map((step) =>
      step.do === 'finish' && step.turns !== null
        ? { ...step, turns: Math.max(step.turns, raised.get(step.material ?? '') ?? first) }
        : step,
    ),
    threads: made.threads.map((thread, index) => ({ ...thread, finish_turns: finish(dressing.threads[index]!) })),
  };
}
