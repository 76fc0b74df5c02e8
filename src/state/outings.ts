import type { RiseFormId, SeenId, StageId } from '@/catalogue/ids';
import { CASE } from '@/catalogue';
import { believe, byStage } from '@/core/belief';
import { sightingOf } from '@/core/case';
import type { RuledFly } from '@/core/outing';
import { sampleSchema, type TeamFly } from '@/records';
import { createSelector } from '@reduxjs/toolkit';
import { selectCatalogue } from './answers';
import { selectKey } from './own-groups';
import { selectSettings } from './settings';
import type { State } from './store';

/** Stages that what is seen on the water speaks for before any insect is in hand, the likeliest first; none where nothing was seen. */
export function selectStagesUp(
  state: State,
  seen: readonly SeenId[],
  rise: RiseFormId | null,
  when: string,
): readonly { stage: StageId; p: number }[] {
  if (seen.length === 0 && rise === null) return NOTHING;
  const key = seen.join() + rise + when.slice(0, 7);
  if (held?.key === key && held.settings === selectSettings(state) && held.book === selectKey(state)) return held.up;
  const sample = sampleSchema.cast({ when, seen: [...seen], rise });
  const [book, settings] = [selectKey(state), selectSettings(state)];
  const belief = believe(book, sightingOf(sample, settings, CASE));
  const up = byStage(book, belief).map(({ stage, p }) => ({ stage, p }));
  held = { key, settings, book, up };
  return up;
}

const NOTHING: readonly { stage: StageId; p: number }[] = [];

let held: {
  key: string;
  settings: ReturnType<typeof selectSettings>;
  book: ReturnType<typeof selectKey>;
  up: readonly { stage: StageId; p: number }[];
} | null = null;

/** What a fly of a team brings that a water may forbid. */
export const selectRuled = createSelector([selectCatalogue], ({ hooks, dressings }) => {
  const hookOf = new Map(hooks.map((hook) => [hook.id, hook]));
  const dressingOf = new Map(dressings.map((dressing) => [dressing.id, dressing]));
  return ({ name, hookId, dressingId }: Pick<TeamFly, 'name' | 'hookId' | 'dressingId'>): RuledFly => {
    const weights = (dressingOf.get(dressingId ?? '')?.weights ?? []).filter(({ kind }) => kind !== 'hook-wire');
    return {
      name,
      barb: hookOf.get(hookId ?? '')?.barb ?? null,
      lead: weights.some(({ metal }) => metal === 'lead'),
      bead: weights.some(({ kind }) => kind === 'bead'),
      weight: weights.length > 0,
    };
  };
});
