import { isSwapFault } from '../bench/swap-faults';
import type { Reason } from '../code';
import type { Dressing } from '../dressings';
import type { Card } from '../tying';
import { NO_CHOICES } from './answer';
import type { Catalogue } from './answer-shape';
import { cardFor } from './card-for';

/** What the bench refuses of a card's fly on its hook when it is tied in other materials, by `dressing/material`; empty where it ties. The materials are those of the catalogue. */
export function swapRefusals(
  card: Card,
  dressing: Dressing,
  swaps: Readonly<Record<string, string>>,
  catalogue: Catalogue,
): Reason[] {
  const hook = catalogue.hooks.find(({ id }) => id === card.hook.id);
  if (!hook) return [];
  const made = cardFor({ dressing, hook, sample: null, choices: { ...NO_CHOICES, swaps }, catalogue, count: null });
  return made.stash.filter(isSwapFault);
}
