import type { AfterStep, Card, CardPart } from '@/core/tying';

/** How far a part has come: not there, caught in and waiting, or in its place; and whether it is trimmed. */
export interface PartState {
  there: 'no' | 'waiting' | 'yes';
  /** Cut or drawn to its length. */
  cut: boolean;
  clipped: boolean;
}

const NOTHING: AfterStep = { placed: [], waiting: [], to_length: [], to_trim: [] };

/** The state of every part after step `upTo`, as the bench tied it; all in place when it is undefined. */
export function partStates(card: Card, upTo: number | undefined): (part: CardPart) => PartState {
  if (upTo === undefined) return () => ({ there: 'yes', cut: true, clipped: true });
  const after = card.steps.find((step) => step.n === upTo)?.after ?? NOTHING;
  return ({ id }) => ({
    there: after.placed.includes(id) ? 'yes' : after.waiting.includes(id) ? 'waiting' : 'no',
    cut: !after.to_length.includes(id),
    clipped: !after.to_trim.includes(id),
  });
}
