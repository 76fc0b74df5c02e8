import { createSelector } from '@reduxjs/toolkit';
import { catalogueOf, REFERENCE_HOOKS } from '@/catalogue';
import { answer, NO_CHOICES } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import { caseFrom } from '@/core/naturals';
import type { Card } from '@/core/tying';
import { selectDevice } from './answers';
import { selectDressings } from './dressings';
import type { DeviceRecord } from './records/schemas';
import type { State } from './store';

/** The natural a dressing is shown for when none is in hand: the middle of its range, in its first stage and water. */
export function middleSample(dressing: Dressing) {
  const middle = Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1]);
  return { stage: dressing.stages[0]!, lengthsMm: [middle], overallMm: null, caseMm: caseFrom(null, middle), widthMm: null, method: 'typed' as const, sex: null, colours: {}, surface: 'dry' as const, water: dressing.waters[0]! };
}

const REFERENCE_ONLY = catalogueOf(REFERENCE_HOOKS);

const cards = new WeakMap<Dressing, Map<string, Card | null>>();

/** The card of a dressing for the middle of its range on the maker-less range: made once, when its picture is first wanted. */
export function libraryCard(dressing: Dressing, hand: DeviceRecord['hand'] = 'right'): Card | null {
  const made = cards.get(dressing) ?? new Map<string, Card | null>();
  if (!made.has(hand)) made.set(hand, answer(middleSample(dressing), { ...NO_CHOICES, dressingPin: dressing.id, hand }, { ...REFERENCE_ONLY, dressings: [dressing] }).card);
  cards.set(dressing, made);
  return made.get(hand)!;
}

/** The library card of a dressing by id, own or shipped. */
export const selectCardOf = createSelector([selectDressings, (state: State) => selectDevice(state).hand], (dressings, hand) => {
  const byId = new Map(dressings.map((dressing) => [dressing.id, dressing]));
  return (id: string | null | undefined): Card | undefined => {
    const dressing = id ? byId.get(id) : undefined;
    return dressing ? (libraryCard(dressing, hand) ?? undefined) : undefined;
  };
});
