import { createSelector } from '@reduxjs/toolkit';
import { catalogueOf, DRESSINGS, REFERENCE_HOOKS } from '@/catalogue';
import { answer, NO_CHOICES } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import { caseFrom } from '@/core/naturals';
import type { Card } from '@/core/tying';
import { selectDevice } from './answers';
import type { State } from './store';

/** The natural a dressing is shown for when none is in hand: the middle of its range, in its first stage and water. */
export function middleSample(dressing: Dressing) {
  const middle = Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1]);
  return { stage: dressing.stages[0]!, lengthsMm: [middle], overallMm: null, caseMm: caseFrom(null, middle), widthMm: null, method: 'typed' as const, sex: null, colours: {}, surface: 'dry' as const, water: dressing.waters[0]! };
}

const REFERENCE_ONLY = catalogueOf(REFERENCE_HOOKS);

/** A card of every shipped dressing on the maker-less range, for small drawings in lists. */
export const selectLibraryCards = createSelector([(state: State) => selectDevice(state).hand], (hand): ReadonlyMap<string, Card> =>
  new Map(DRESSINGS.flatMap((dressing) => {
    const { card } = answer(middleSample(dressing), { ...NO_CHOICES, dressingPin: dressing.id, hand }, REFERENCE_ONLY);
    return card ? [[dressing.id, card] as const] : [];
  })),
);
