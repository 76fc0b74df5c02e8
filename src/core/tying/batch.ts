import { reason } from '../code';
import type { BatchLine, Card } from '../card/card-shape';
import { fibresTaken } from './amounts';

/** Share lost: of counted fibres and strands, of cut lengths, of dubbing. Source: domain §7, typical. */
const LOSS = { count: 0.15, mm: 0.1, mg: 0.2 } as const;
/** The first flies of a new dressing take longer, a practised hand less. Source: domain §9, typical. */
const FIRST = { flies: 6, factor: 1.5 } as const;

/** What a batch of `count` flies needs of every material, and how long it takes. */
export function batchOf(card: Card, count: number): NonNullable<Card['batch']> {
  const lines: BatchLine[] = [];
  const add = (material: string, unit: BatchLine['unit'], each: number | null) => {
    const loss = unit === 'by-eye' ? 0 : LOSS[unit];
    const all = each === null ? null : unit === 'count' ? fibresTaken(each * count, loss) : (each * count) / (1 - loss);
    const known = lines.find((line) => line.material === material && line.unit === unit);
    if (!known) lines.push({ material, unit, each, all, waste: loss });
    else if (each !== null) Object.assign(known, { each: known.each! + each, all: known.all! + all! });
  };
  for (const rib of card.ribs) add(rib.material, 'mm', rib.cut_mm);
  for (const hackle of card.hackles) add(hackle.material, 'mm', hackle.stem_mm);
  for (const weight of card.weights) if (weight.kind === 'bead') add(`bead-${weight.metal}`, 'count', 1);
  const counted = new Set([...card.ribs.map((rib) => rib.part), ...card.hackles.map((hackle) => hackle.part)]);
  for (const part of card.parts) {
    if (!part.material || counted.has(part.id) || part.part === 'bead') continue;
    const { amount } = part;
    if (amount.dubbingMg !== null) add(part.material.id, 'mg', amount.dubbingMg);
    else if (amount.need && part.amount.unit !== 'compressed-mm') add(part.material.id, 'count', amount.take);
    else if (part.cut_mm !== null) add(part.material.id, 'mm', part.cut_mm);
    else add(part.material.id, 'by-eye', null);
  }
  const slow = Math.min(count, FIRST.flies);
  const prepare = card.steps.flatMap((step) =>
    step.wait_s
      ? [reason('prepare-wait', { do: { kind: 'verbs', id: step.do }, seconds: step.wait_s, step: step.n })]
      : [],
  );
  if (card.weights.some((weight) => weight.kind === 'bead')) prepare.unshift(reason('prepare-beads', { count }));
  for (const assembly of card.assemblies)
    prepare.push(
      reason('prepare-assembly', {
        name: assembly.name,
        count: assembly.count * count + (assembly.spare > 0 ? Math.ceil(count / 6) : 0),
      }),
    );
  prepare.push(reason('prepare-flex', {}));
  return {
    count,
    lines,
    minutes: card.minutes === null ? null : card.minutes * (slow * FIRST.factor + (count - slow)),
    prepare,
  };
}

/** What so many flies of each of several cards take of every material, what is lost with it: by the material as the dressing names it. What goes by eye is left out. */
export function takenBy(
  cards: readonly Card[],
  each: number,
): ReadonlyMap<string, { unit: BatchLine['unit']; all: number }[]> {
  const taken = new Map<string, { unit: BatchLine['unit']; all: number }[]>();
  for (const card of cards)
    for (const { material, unit, all } of batchOf(card, each).lines) {
      if (all === null) continue;
      const asked = card.materials.find(({ used }) => used === material)?.asked ?? material;
      const lines = taken.get(asked) ?? [];
      taken.set(asked, lines);
      const known = lines.find((line) => line.unit === unit);
      if (known) known.all += all;
      else lines.push({ unit, all });
    }
  return taken;
}
