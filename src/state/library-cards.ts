import { createSelector } from '@reduxjs/toolkit';
import { catalogueOf, REFERENCE_HOOKS } from '@/catalogue';
import { answer, naturalOf, NO_CHOICES } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import type { Card } from '@/core/tying';
import { selectDevice } from './settings';
import { selectDressings } from './dressings';
import type { DeviceRecord } from '@/records';
import type { State } from './store';

const REFERENCE_ONLY = catalogueOf(REFERENCE_HOOKS);

const cards = new WeakMap<Dressing, Map<string, Card | null>>();

/** The card of a dressing for the middle of its range on the maker-less range: made once, when its picture is first wanted. */
export function libraryCard(dressing: Dressing, hand: DeviceRecord['hand'] = 'right'): Card | null {
  const made = cards.get(dressing) ?? new Map<string, Card | null>();
  if (!made.has(hand))
    made.set(
      hand,
      answer(
        naturalOf(dressing),
        { ...NO_CHOICES, dressingPin: dressing.id, hand },
        { ...REFERENCE_ONLY, dressings: [dressing] },
      ).card,
    );
  cards.set(dressing, made);
  return made.get(hand)!;
}

/** The library card of a dressing by id, own or shipped. */
export const selectCardOf = createSelector(
  [selectDressings, (state: State) => selectDevice(state).hand],
  (dressings, hand) => {
    const byId = new Map(dressings.map((dressing) => [dressing.id, dressing]));
    return (id: string | null | undefined): Card | undefined => {
      const dressing = id ? byId.get(id) : undefined;
      return dressing ? (libraryCard(dressing, hand) ?? undefined) : undefined;
    };
  },
);
