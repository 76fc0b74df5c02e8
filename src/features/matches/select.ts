import { createSelector } from '@reduxjs/toolkit';
import { CASE } from '@/catalogue';
import { waitsFor } from '@/core/case';
import type { State } from '@/state';

/** Matches by when their natural was taken, newest first. */
export const selectMatchIds = createSelector(
  [(state: State) => state.records.entities.match, (state: State) => state.records.entities.sample],
  (match, sample) =>
    Object.keys(match).sort(
      (a, b) =>
        (sample[match[b]!.sampleId]?.when ?? '').localeCompare(sample[match[a]!.sampleId]?.when ?? '') ||
        a.localeCompare(b),
    ),
);

/** Matches that wait for the bench, or for a stage or a length: known without working any out. */
export const selectWaiting = createSelector(
  [(state: State) => state.records.entities.match, (state: State) => state.records.entities.sample, selectMatchIds],
  (matches, samples, ids) =>
    ids.filter((id) => {
      const match = matches[id]!;
      const sample = samples[match.sampleId];
      return (
        sample !== undefined &&
        (sample.kept || match.answers.some((answer) => waitsFor(sample, answer.stage, CASE.growing) !== null))
      );
    }),
  {
    memoizeOptions: {
      resultEqualityCheck: (a: string[], b: string[]) =>
        a.length === b.length && a.every((id, index) => id === b[index]),
    },
  },
);
