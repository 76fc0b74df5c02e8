import type { FunctionId, Readiness } from '@/catalogue/ids';
import { reason, type Reason } from '../code';
import { deltaE, labOfHex } from '../colour';
import { readiness, setMaterial, setThread, type Dressing } from '../dressings';
import type { Material } from '../materials';
import { reworked, type WaysCatalogue } from '../ways';

export interface FromStash {
  dressing: Dressing;
  ready: Readiness;
  /** What is there, what stands in for what, and what is missing. */
  reasons: Reason[];
}

/** A dressing in the materials to hand: what is missing is worked in the nearest in colour that does the same work. As it was where no stash has been begun. Source: domain §7. */
export function fromStash(dressing: Dressing, have: ReadonlySet<string> | null, catalogue: WaysCatalogue): FromStash {
  const { ready, reason: said } = readiness(dressing, have, catalogue.materials);
  if (have === null || said === null) return { dressing, ready, reasons: [] };
  const own = (id: string) => catalogue.materials.find((material) => material.id === id);
  const swaps = new Map<string, string>();
  const standIn = (id: string | null, does: FunctionId | null) => {
    const wanted = id === null ? undefined : own(id);
    if (id === null || does === null || !wanted || have.has(id) || swaps.has(id)) return;
    const off = (material: Material) => deltaE(labOfHex(material.hex), labOfHex(wanted.hex));
    const [nearest] = catalogue.materials
      .filter((material) => have.has(material.id) && material.functions.includes(does))
      .sort((a, b) => off(a) - off(b) || a.id.localeCompare(b.id));
    if (nearest) swaps.set(id, nearest.id);
  };
  for (const part of dressing.parts) standIn(part.material, part.function);
  for (const thread of dressing.threads) standIn(thread.material, 'thread');
  const reasons = [
    said,
    ...[...swaps].map(([from, to]) => reason('stash-swap', { from: own(from)!.name, to: own(to)!.name })),
  ];
  return { ready, reasons, dressing: swaps.size === 0 ? dressing : swapped(dressing, swaps, catalogue) };
}

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
