import { createSelector } from '@reduxjs/toolkit';
import { biasesOf, ownMinutes } from '@/core/session/hands';
import { flyKey, type Running } from '@/core/session/running';
import { soakedBefore } from '@/core/session/soak';
import { measuredIn, minutesOf, type BatchRecord } from '@/records';
import type { Card } from '@/core/tying';
import type { State } from './store';

/** How long a fly of a dressing takes this tier, by dressing; null where too few were tied. */
export const selectOwnMinutes = createSelector([(state: State) => state.records.entities.batch], (batches) => {
  const known = new Map<string, ReturnType<typeof ownMinutes>>();
  return (dressingId: string) => {
    if (!known.has(dressingId)) known.set(dressingId, ownMinutes(minutesOf(batches, dressingId)));
    return known.get(dressingId)!;
  };
});

/** A session as core works with it: the tier's own minutes in place of what its cards say. */
export function runningOf(batch: BatchRecord, own: ReturnType<typeof selectOwnMinutes>): Running<Card> {
  return {
    mode: batch.mode,
    items: batch.items.map(({ id, card: written, count, made }) => {
      const card = soakedBefore(written);
      const minutes = own(card.dressing.id);
      return minutes
        ? { id, card: { ...card, minutes: minutes.minutes }, count, made, spread: minutes.spread }
        : { id, card, count, made };
    }),
    flies: batch.flies,
    at: batch.at === null ? null : flyKey(batch.at.item, batch.at.n),
    chosen: batch.at?.chosen ?? false,
  };
}

/** What the hands do with each kind of part, from all that was measured. */
export const selectBiases = createSelector([(state: State) => state.records.entities.batch], (batches) =>
  biasesOf(measuredIn(batches)),
);
