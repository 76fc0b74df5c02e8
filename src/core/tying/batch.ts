import equal from 'fast-deep-equal';
import { reason } from '../code';
import { DUBBING, FLAT_WIDTHS, HOLDING_TURNS } from '../constants';
import type { BatchLine, Card, CardPart, CardThread, CardWeight } from '../card/card-shape';
import { learnt } from '../session/learnt';
import { fibresTaken } from './amounts';

/** Share lost of what is cut from a length and of counted fibres and strands; beads that roll away, one in so many. What is lost of dubbing is in its figure already. Source: domain §7, formulas §8; typical. */
const LOSS = { count: 0.15, mm: 0.1 } as const;
const BEAD_IN = 12;
/** Turns of thread an act takes where its step counts none. Typical. */
const TURNS: Readonly<Partial<Record<string, number>>> = {
  bind: HOLDING_TURNS.bound,
  'catch-in': HOLDING_TURNS.wound,
  fold: HOLDING_TURNS.wound,
  'tie-off': 3,
  divide: 6,
  post: 8,
};
/** What hangs between hook and bobbin when it is cut, and what is held to lay a weight, mm. */
const HANGS_MM = 120;
const HELD_MM = 20;

/** Thread that one fly takes, mm: laid along the shank, holding turns at what they hold, loops and what fur is spun on. About. */
function threadMm(card: Card, thread: CardThread): number {
  const wire = card.hook.wire_mm;
  const round = (mm: number) => Math.PI * mm;
  if (thread.role !== 'foundation') return thread.finish_turns * round(2 * wire) + HANGS_MM;
  const laid = (card.hook.shank_mm / (FLAT_WIDTHS * thread.diameter_mm)) * round(wire);
  const thick = (id: string | null) => Math.max(2 * wire, card.parts.find((part) => part.id === id)?.thick_mm ?? 0);
  const holds = card.steps.reduce((sum, step) => {
    const turns =
      step.do === 'finish' ? (step.turns ?? thread.finish_turns) : TURNS[step.do] && (step.turns ?? TURNS[step.do]!);
    return sum + (turns ?? 0) * round(thick(step.part));
  }, 0);
  const spun = card.parts.reduce((sum, { amount }) => sum + (amount.loop?.threadMm ?? 0) + (amount.noodleMm ?? 0), 0);
  return laid + holds + spun + HANGS_MM;
}

/** Wire laid as weight on one fly, mm: wound round the shank, or a strip along each side. */
function weightMm(card: Card, { kind, turns, wire_mm: wire, length_mm: length }: CardWeight): number | null {
  if (kind === 'wound' && turns !== null) return turns * Math.PI * (card.hook.wire_mm + (wire ?? 0)) + HELD_MM;
  return kind === 'sides' && length !== null ? 2 * length : null;
}

/** For so many flies: with the spare that is taken of each, or with what is usually lost. */
function totalOf(
  unit: BatchLine['unit'],
  each: number | null,
  spare: number,
  count: number,
): Pick<BatchLine, 'all' | 'waste'> {
  if (each === null || unit === 'by-eye') return { all: null, waste: 0 };
  if (unit === 'mg') return { all: each * count, waste: 1 - 1 / DUBBING.loss };
  if (spare > 0) return { all: each * count, waste: spare / each };
  const bare = each * count;
  const all = unit === 'count' ? fibresTaken(bare, LOSS.count) : bare / (1 - LOSS.mm);
  return { all, waste: all === 0 ? 0 : (all - bare) / all };
}

/** What a batch of `count` flies needs of every material, and how long it takes. Each amount has its own spare or what is usually lost, never both; a bunch that makes several parts is taken once. */
export function batchOf(card: Card, count: number): NonNullable<Card['batch']> {
  const lines: BatchLine[] = [];
  const put = (line: BatchLine) => {
    const known = lines.find(
      ({ material, unit, bead }) => material === line.material && unit === line.unit && equal(bead, line.bead),
    );
    if (!known) lines.push(line);
    else if (line.each !== null) {
      const all = known.all! + line.all!;
      known.waste = (known.waste * known.all! + line.waste * line.all!) / all;
      Object.assign(known, { each: known.each! + line.each, all });
    }
  };
  const add = (material: string, unit: BatchLine['unit'], each: number | null, spare = 0) =>
    put({ material, unit, each, ...totalOf(unit, each, spare, count), bead: null });
  for (const rib of card.ribs) add(rib.material, 'mm', rib.cut_mm);
  for (const hackle of card.hackles) add(hackle.material, 'mm', hackle.stem_mm);
  for (const thread of card.threads) add(thread.material, 'mm', threadMm(card, thread));
  const weighed = new Set<string>();
  for (const weight of card.weights) {
    const part = card.parts.find(({ part: kind }) => kind === (weight.kind === 'bead' ? 'bead' : 'weight'));
    const material = part?.material?.id ?? `${weight.kind === 'bead' ? 'bead' : 'wire'}-${weight.metal}`;
    const mm = weightMm(card, weight);
    if (mm !== null) add(material, 'mm', mm);
    if (weight.kind === 'bead') {
      const spare = Math.ceil(count / BEAD_IN);
      const bead = weight.diameter_mm === null ? null : { mm: weight.diameter_mm, kind: weight.bead_kind };
      put({ material, unit: 'count', each: 1, all: count + spare, waste: spare / (count + spare), bead });
    }
    if (part && (mm !== null || weight.kind === 'bead')) weighed.add(part.id);
  }
  const counted = new Set([...card.ribs, ...card.hackles].map(({ part }) => part));
  const bunchOf = (id: string) => card.bundles.find(({ parts }) => parts.includes(id));
  const bunched = new Set<string>();
  for (const part of card.parts) {
    if (!part.material || counted.has(part.id) || weighed.has(part.id) || part.part === 'bead') continue;
    const bunch = bunchOf(part.id);
    if (bunch && bunched.has(bunch.parts.join())) continue;
    if (bunch) bunched.add(bunch.parts.join());
    const together = bunch ? card.parts.filter(({ id }) => bunch.parts.includes(id)) : [part];
    const most = (of: (one: CardPart) => number | null) =>
      together.reduce<number | null>((sum, one) => (of(one) === null ? sum : Math.max(sum ?? 0, of(one)!)), null);
    const need = most(({ amount }) => amount.need) ?? 0;
    const take = bunch?.amount ?? most(({ amount }) => amount.take);
    const cut = most(({ cut_mm: mm }) => mm);
    if (part.amount.dubbingMg !== null) add(part.material.id, 'mg', part.amount.dubbingMg);
    else if ((need || bunch?.amount) && part.amount.unit !== 'compressed-mm')
      add(part.material.id, 'count', take, bunch?.amount ? 0 : Math.max(0, (take ?? need) - need));
    else if (cut !== null) add(part.material.id, 'mm', cut);
    else if (!card.threads.some(({ material }) => material === part.material!.id))
      add(part.material.id, 'by-eye', null);
  }
  for (const { do: verb, material } of card.steps) if (verb === 'coat' && material) add(material.id, 'by-eye', null);
  const hands = Array.from({ length: count }, (_, nth) => learnt(nth)).reduce((sum, share) => sum + share, 0);
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
    minutes: card.minutes === null ? null : card.minutes * hands,
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
