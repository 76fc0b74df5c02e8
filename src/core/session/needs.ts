import type { CautionId } from '@/catalogue/ids';
import { SPOILAGE } from '../constants';
import type { Tool } from '../dressings';
import type { Card } from '../card/card-shape';

/** What was spoiled of what was tied, over all that is known. */
export interface Spoiled {
  tied: number;
  spoiled: number;
}

/** Share of flies begun that are given up: the tier's own, with what is usual weighed in where the record is short. */
export function spoiledShare({ tied, spoiled }: Spoiled): number {
  return (spoiled + SPOILAGE.spoiled) / (tied + SPOILAGE.of);
}

/** Hooks to have at hand so that `count` flies come of them. */
export function hooksFor(count: number, record: Spoiled): number {
  return Math.max(0, Math.ceil(count / (1 - spoiledShare(record)) - 1e-9));
}

export interface HookNeed {
  id: string;
  maker: string;
  size: string;
  model: string;
  flies: number;
  /** With what is usually spoiled. */
  wanted: number;
  /** Hooks left in the packets; null where no drawer was begun. */
  left: number | null;
}

export interface SessionNeeds {
  hooks: HookNeed[];
  /** Tools it needs that are not had, with how to do without; empty where nobody said which are had. */
  tools: { id: string; name: string; without: string }[];
  cautions: CautionId[];
  /** Materials of which nothing is had that does their work, and those that something stands in for. */
  short: { dressing: string; material: string }[];
  instead: { dressing: string; material: string; by: string }[];
}

/** What a session needs and what of it is at hand. */
export function sessionNeeds(
  items: readonly { card: Card; count: number; record: Spoiled }[],
  { owned, tools }: { owned: Readonly<Record<string, number>> | null; tools: ReadonlySet<string> | null },
  every: readonly Tool[],
): SessionNeeds {
  const hooks = new Map<string, HookNeed>();
  for (const { card, count, record } of items) {
    const { id, maker_name: maker, model_name: model, size } = card.hook;
    const known = hooks.get(id) ?? { id, maker, model, size, flies: 0, wanted: 0, left: owned && (owned[id] ?? 0) };
    known.flies += count;
    known.wanted += hooksFor(count, record);
    hooks.set(id, known);
  }
  const named = (card: Card, id: string) =>
    card.parts.find(({ material }) => material?.id === id)?.material?.name ??
    card.threads.find(({ material }) => material === id)?.name ??
    card.steps.find(({ material }) => material?.id === id)?.material?.name ??
    id;
  const unlike = (as: Card['materials'][number]['as']) =>
    items.flatMap(({ card }) =>
      card.materials.filter((own) => own.as === as).map((own) => ({ card, own, dressing: card.dressing.name })),
    );
  return {
    hooks: [...hooks.values()],
    tools:
      tools === null
        ? []
        : [...new Set(items.flatMap(({ card }) => card.tools))].flatMap((id) => {
            const tool = tools.has(id) ? undefined : every.find((own) => own.id === id);
            return tool ? [{ id, name: tool.name, without: tool.without }] : [];
          }),
    cautions: [...new Set(items.flatMap(({ card }) => card.cautions.map(({ id }) => id)))],
    short: unlike('short').map(({ card, own, dressing }) => ({ dressing, material: named(card, own.used) })),
    instead: unlike('substitute').map(({ card, own, dressing }) => ({
      dressing,
      material: own.asked,
      by: named(card, own.used),
    })),
  };
}
