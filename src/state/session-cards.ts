import { answer, answerFirm, naturalOf, NO_CHOICES, type Schools } from '@/core/answer';
import { NO_PICKING } from '@/core/dressings';
import type { Card } from '@/core/tying';
import { selectCatalogue } from './answers';
import { selectAtHand } from './at-hand';
import { selectDevice, selectSettings } from './settings';
import { selectDressing } from './dressings';
import { selectOwned } from './hooks';
import type { State } from './store';

/** The card a session ties a dressing from: on the hook that is asked for, else on the best one of the drawer, else on the best of all, from what is had. Null where none carries it. */
export function cardForSession(state: State, dressingId: string, hookId: string | null = null): Card | null {
  const dressing = selectDressing(state, dressingId);
  if (!dressing) return null;
  const catalogue = selectCatalogue(state);
  const { stash } = selectAtHand(state);
  const owned = selectOwned(state);
  const { hand } = selectDevice(state);
  const { schools, dressingSchools, barbRule, smallest } = selectSettings(state);
  const sample = naturalOf(dressing);
  const choices = {
    ...NO_CHOICES,
    dressingPin: dressing.id,
    hand,
    barbRule,
    smallest: smallest ?? null,
    schools: schools as Schools,
    dressingSchools: dressingSchools as Record<string, Schools>,
    picking: { ...NO_PICKING, stash },
  };
  if (hookId !== null) return answer(sample, { ...choices, hookPin: hookId }, catalogue).card;
  // Of the drawer first, by the same rule that ranks all.
  const ways = Object.keys(owned).length > 0 ? [{ ...choices, owned, onlyOwned: true }, choices] : [choices];
  for (const way of ways) {
    const { card } = answerFirm(sample, way, catalogue);
    if (card && (way === choices || owned[card.hook.id])) return card;
  }
  return null;
}
