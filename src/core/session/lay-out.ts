import type { BeadKindId } from '@/catalogue/ids';
import type { Card } from '../card/card-shape';
import type { Material } from '../materials';
import { batchOf } from '../tying/batch';
import { soakSteps } from './soak';

/** What is done before the first hook goes into the vise, in this order. */
export const LAY_ACTS = [
  'flex',
  'hooks',
  'bead',
  'make',
  'soak',
  'sort',
  'cut',
  'thread',
  'count',
  'mix',
  'eye',
] as const;
export type LayAct = (typeof LAY_ACTS)[number];

/** One thing to lay out for a whole session. Lengths in mm, loose fur in mg. */
export interface LayLine {
  /** The same as long as it says the same of the same thing: a tick stands by it. */
  id: string;
  act: LayAct;
  /** Material, hook or assembly. */
  of: string;
  name: string;
  /** Pieces, with what is spare or lost; null where it is a length, a mass or by eye. */
  count: number | null;
  /** Whether its pieces are strands of something twisted. */
  strands: boolean;
  /** Of one piece, or in all where it comes off a spool. */
  mm: number | null;
  mg: number | null;
  bead: { mm: number; kind: BeadKindId | null } | null;
  /** How long it soaks, s. */
  seconds: number | null;
  /** Of a hackle. */
  barb: { mm: number; gauge: string | null } | null;
  /** Dressings that take it. */
  flies: string[];
}

const NOTHING = { strands: false, count: null, mm: null, mg: null, bead: null, barb: null, seconds: null } as const;

type Line = Omit<LayLine, 'id' | 'flies'>;

function linesOf(card: Card, count: number, material: (id: string) => Pick<Material, 'name'> | undefined): Line[] {
  // By the name the card has for it: a shade of the tier's own is in no list.
  const named = (id: string) =>
    [...card.parts, ...card.steps].find((own) => own.material?.id === id)?.material?.name ??
    card.threads.find((thread) => thread.material === id)?.name ??
    material(id)?.name ??
    id;
  const hook = { of: card.hook.id, name: `${card.hook.maker_name} ${card.hook.model_name} ${card.hook.size}` };
  const threads = new Set(card.threads.map((thread) => thread.material));
  const lines: Line[] = [
    { ...NOTHING, act: 'flex', ...hook },
    { ...NOTHING, act: 'hooks', ...hook, count },
    ...card.assemblies.map(({ name, count: each, spare }) => ({
      ...NOTHING,
      act: 'make' as const,
      of: name,
      name,
      count: each * count + (spare > 0 ? Math.ceil(count / 6) : 0),
    })),
  ];
  for (const { material: of, unit, each, all, waste, bead } of batchOf(card, count).lines) {
    const own = { ...NOTHING, of, name: named(of) };
    const pieces = Math.ceil(count / (1 - waste) - 1e-9);
    const hackles = card.hackles.filter((hackle) => hackle.material === of);
    if (
      bead ||
      (unit === 'count' && each === 1 && card.parts.some((part) => part.part === 'bead' && part.material?.id === of))
    )
      lines.push({ ...own, act: 'bead', count: Math.ceil(all!), bead });
    else if (threads.has(of)) lines.push({ ...own, act: 'thread', mm: all });
    else if (hackles.length > 0)
      for (const { barb_mm: mm, gauge, stem_mm: stem } of hackles)
        lines.push({ ...own, act: 'sort', count: pieces, mm: stem, barb: { mm, gauge } });
    else if (unit === 'mm') lines.push({ ...own, act: 'cut', count: pieces, mm: each });
    else if (unit === 'count') {
      const strands = card.parts.some((part) => part.material?.id === of && part.amount.unit === 'strands');
      lines.push({ ...own, act: 'count', strands, count: Math.ceil(all! - 1e-9) });
    } else if (unit === 'mg') lines.push({ ...own, act: 'mix', mg: all });
    else lines.push({ ...own, act: 'eye' });
    const soak = soakSteps(card).find(({ part }) => card.parts.find(({ id }) => id === part)?.material?.id === of);
    if (soak)
      lines.push({
        ...own,
        act: 'soak',
        count: unit === 'mm' ? pieces : all && Math.ceil(all - 1e-9),
        seconds: soak.wait_s,
      });
  }
  return lines;
}

/** Two lines that speak of the same piece of the same thing. */
const keyOf = ({ act, of, mm, bead, barb }: Line) =>
  [
    act,
    of,
    act === 'thread' || mm === null ? '' : mm.toFixed(1),
    bead?.mm ?? '',
    bead?.kind ?? '',
    barb?.mm.toFixed(1) ?? '',
  ]
    .join(':')
    .replace(/:+$/, '');

/** Everything to test, sort, cut, count, make, soak and mix for a session, in amounts for all of it; what several dressings take is one line. */
export function layOutOf(
  items: readonly { card: Card; count: number }[],
  material: (id: string) => Pick<Material, 'name'> | undefined,
): LayLine[] {
  const known = new Map<string, LayLine>();
  const sum = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : a + b);
  for (const { card, count } of items)
    for (const line of count > 0 ? linesOf(card, count, material) : []) {
      const id = keyOf(line);
      const here = known.get(id);
      if (!here) known.set(id, { ...line, id, flies: [card.dressing.name] });
      else {
        here.count = sum(here.count, line.count);
        here.mg = sum(here.mg, line.mg);
        if (line.act === 'thread') here.mm = sum(here.mm, line.mm);
        if (!here.flies.includes(card.dressing.name)) here.flies.push(card.dressing.name);
      }
    }
  return [...known.values()].sort((a, b) => LAY_ACTS.indexOf(a.act) - LAY_ACTS.indexOf(b.act));
}
