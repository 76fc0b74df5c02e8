import { createSelector } from '@reduxjs/toolkit';
import equal from 'fast-deep-equal';
import type { Results } from '@/core/dressings';
import type { Entities } from '@/records';
import type { State } from './store';

/** What came of each of the tier's dressings on the water, by its id: of all flies tied by it, in whatever box. */
function resultsOf(flies: Entities['fly']): ReadonlyMap<string, Results> {
  const sums = new Map<string, Results>();
  for (const { dressingId, tally } of Object.values(flies)) {
    const all = tally.results?.all;
    if (!dressingId || !all || all.took + all.refused === 0) continue;
    const before = sums.get(dressingId) ?? { took: 0, refused: 0 };
    sums.set(dressingId, { took: before.took + all.took, refused: before.refused + all.refused });
  }
  return sums;
}

/** The same, the very map as long as nothing came to it: a fly that is lost changes no answer. */
export const selectResults = createSelector([(state: State) => state.records.entities.fly], resultsOf, {
  memoizeOptions: { resultEqualityCheck: (a: ReadonlyMap<string, Results>, b) => equal([...a], [...b]) },
});
