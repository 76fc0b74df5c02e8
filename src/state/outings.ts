import type { RiseFormId, SeenId, StageId } from '@/catalogue/ids';
import { CASE } from '@/catalogue';
import { believe, byStage } from '@/core/belief';
import { sightingOf } from '@/core/case';
import type { Dressing } from '@/core/dressings';
import { overallOf, readSizeLabel, type Hook } from '@/core/hooks';
import type { RuledDressing, RuledFly, RuledHook, WaterRules } from '@/core/outing';
import { sampleSchema, type TeamFly, type WaterRecord } from '@/records';
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

/** What a hook brings that a water may forbid: the number on its packet, its length over all. */
export const ruledHook = (hook: Hook): Omit<RuledHook, 'name'> => {
  const label = readSizeLabel(hook.size);
  return { barb: hook.barb, number: label.kind === 'number' ? label.n : null, overallMm: overallOf(hook) };
};

/** What a dressing is weighted with that a water may forbid. */
export function ruledDressing({ weights }: Pick<Dressing, 'weights'>): Omit<RuledDressing, 'name'> {
  const metal = weights.filter(({ kind }) => kind !== 'hook-wire');
  return {
    lead: metal.some((weight) => weight.metal === 'lead'),
    bead: metal.some(({ kind }) => kind === 'bead'),
    weight: metal.length > 0,
  };
}

const NO_HOOK = { barb: null, number: null, overallMm: null };

/** What a fly of a team brings. */
export const selectRuled = createSelector([selectCatalogue], ({ hooks, dressings }) => {
  const hookOf = new Map(hooks.map((hook) => [hook.id, hook]));
  const dressingOf = new Map(dressings.map((dressing) => [dressing.id, dressing]));
  return ({ name, hookId, dressingId }: Pick<TeamFly, 'name' | 'hookId' | 'dressingId'>): RuledFly => {
    const hook = hookOf.get(hookId ?? '');
    return {
      name,
      ...(hook ? ruledHook(hook) : NO_HOOK),
      ...ruledDressing(dressingOf.get(dressingId ?? '') ?? { weights: [] }),
    };
  };
});

/** What is allowed on a water, as core asks it. */
export const rulesOf = (water: WaterRecord): WaterRules => ({
  ...water,
  maxFlies: water.maxFlies ?? null,
  hookLargest: water.hookLargest ?? null,
  hookLongestMm: water.hookLongestMm ?? null,
});
