import type { Readiness } from '@/catalogue/ids';
import { reason, type Reason } from '../code';
import { neededBy, readiness, setMaterial, setThread, standInFor, type Dressing, type Wanted } from '../dressings';
import { reworked, type WaysCatalogue } from '../ways';

export interface FromStash {
  dressing: Dressing;
  ready: Readiness;
  /** What is there, what stands in for what, and what is missing. */
  reasons: Reason[];
}

/** A dressing in the materials to hand: a material in the shade that comes nearest to the natural's colour, what is missing in what does the same work. As it was where no stash has been begun. Source: domain §7. */
export function fromStash(
  dressing: Dressing,
  have: ReadonlySet<string> | null,
  catalogue: WaysCatalogue,
  wanted: Wanted = {},
): FromStash {
  const { ready, reason: said } = readiness(dressing, have, catalogue.materials, wanted);
  if (have === null || said === null) return { dressing, ready, reasons: [] };
  const own = (id: string) => catalogue.materials.find((material) => material.id === id);
  const swaps = new Map<string, string>();
  const reasons = [said];
  for (const needed of everyNeed(dressing)) {
    if (!own(needed.material) || swaps.has(needed.material)) continue;
    const colour = needed.region === null ? null : (wanted[needed.region] ?? null);
    const found = standInFor(dressing, needed, have, catalogue.materials, colour);
    if (!found || found.as === 'itself') continue;
    swaps.set(needed.material, found.id);
    reasons.push(
      reason(found.as === 'shade' ? 'stash-shade' : 'stash-swap', {
        from: own(needed.material)!.name,
        to: own(found.id)!.name,
      }),
    );
  }
  return { ready, reasons, dressing: swaps.size === 0 ? dressing : swapped(dressing, swaps, catalogue) };
}

/** What a dressing asks for, what may be left out too. */
const everyNeed = (dressing: Dressing) =>
  neededBy({ ...dressing, parts: dressing.parts.map((part) => ({ ...part, optional: false })) });

function swapped(dressing: Dressing, swaps: ReadonlyMap<string, string>, catalogue: WaysCatalogue): Dressing {
  const swap = (id: string) => swaps.get(id) ?? id;
  const beside = (id: string | null) => (id === null ? null : swap(id));
  const remade = reworked(
    dressing,
    (record) => ({
      ...record,
      threads: record.threads.map((thread) => ({ ...thread, material: swap(thread.material) })),
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
  return dressing.threads.reduce((made, thread, index) => setThread(made, index, swap(thread.material)), parts);
}
