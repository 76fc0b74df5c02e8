import { createSelector } from '@reduxjs/toolkit';
import { CASE, labOfShade, STAGES } from '@/catalogue';
import { carriedFly, leftIn, matchBox, type BoxMatch, type BoxWanted, type CarriedFly } from '@/core/box';
import { boxWantedOf } from '@/core/case';
import { hexOfLab } from '@/core/colour';
import { selectCatalogue } from './answers';
import { selectEye } from './eye';
import { selectBelief } from './belief';
import { selectKey } from './own-groups';
import { sameFlies, type FlyRecord, type MatchRecord, type SampleRecord } from '@/records';
import type { State } from './store';

const selectFlies = (state: State) => state.records.entities.fly;
const selectBoxes = (state: State) => state.records.entities.box;

/** What a fly is called where it has no name of its own: its dressing. */
export const selectFlyName = createSelector([selectCatalogue], (catalogue) => {
  const names = new Map(catalogue.dressings.map((dressing) => [dressing.id, dressing.name]));
  return (fly: Pick<FlyRecord, 'name' | 'dressingId'>): string => fly.name || names.get(fly.dressingId ?? '') || '';
});

/** A fly that can be tied on: which record stands for it, what it is called, for which stages it is and how it is meant to ride, how many are left. */
export interface Tieable {
  flyId: string;
  fly: FlyRecord;
  name: string;
  stages: readonly string[];
  ride: string | null;
  left: number;
}

/** Flies that are left in the boxes that are carried, each kind once. */
export const selectTieable = createSelector(
  [selectFlies, selectBoxes, selectCatalogue, selectFlyName],
  (flies, boxes, { dressings }, nameOf): Tieable[] => {
    const dressingOf = new Map(dressings.map((dressing) => [dressing.id, dressing]));
    return sameFlies(Object.entries(flies))
      .filter(({ left, places }) => left > 0 && places.some(({ boxId }) => boxes[boxId]?.carried))
      .map(({ ids, fly, left }) => {
        const dressing = dressingOf.get(fly.dressingId ?? '');
        const stages = dressing?.stages ?? (fly.stage ? [fly.stage] : []);
        return { flyId: ids[0]!, fly, name: nameOf(fly), stages, ride: fly.ride ?? dressing?.ride ?? null, left };
      });
  },
);

/** Every fly of the boxes that are carried, worked out for ranking; a fly that lies only in a box at home is left out. */
export const selectCarried = createSelector(
  [selectFlies, selectBoxes, selectCatalogue, selectFlyName],
  (flies, boxes, catalogue, nameOf): CarriedFly[] => {
    const carried = new Set(
      Object.entries(boxes)
        .filter(([, box]) => box.carried)
        .map(([id]) => id),
    );
    return Object.entries(flies).flatMap(([id, fly]) => {
      const { places } = fly.tally;
      if (!places.some((place) => carried.has(place.boxId))) return [];
      const lab = fly.shade ? labOfShade(fly.shade) : null;
      return [
        carriedFly(
          {
            id,
            name: nameOf(fly),
            dressing: fly.dressingId ?? null,
            hook: fly.hookId ?? null,
            stage: fly.stage ?? null,
            lengthMm: fly.lengthMm ?? null,
            hex: lab ? hexOfLab(lab) : null,
            ride: fly.ride ?? null,
            left: leftIn(places, carried),
            place: '',
          },
          catalogue,
        ),
      ];
    });
  },
);

/** What is known of a match's natural, as the box takes it. */
export function wantedBy(state: State, match: MatchRecord, sample: SampleRecord): BoxWanted {
  const believed = selectBelief(state, match.sampleId);
  return boxWantedOf(
    sample,
    match.answers.flatMap((answer) => answer.stage ?? []),
    believed?.belief ?? null,
    { key: selectKey(state), stages: STAGES, ...CASE },
    selectEye(state),
  );
}

let last: { inputs: readonly unknown[]; result: BoxMatch } | null = null;

/** The flies carried, in the order they answer a match; null while nothing is carried. */
export function selectBoxMatch(state: State, matchId: string): BoxMatch | null {
  const match = state.records.entities.match[matchId];
  const sample = match && state.records.entities.sample[match.sampleId];
  const flies = selectCarried(state);
  if (!match || !sample || flies.length === 0) return null;
  const inputs = [match, sample, flies, selectBelief(state, match.sampleId), selectEye(state)];
  if (last && last.inputs.every((input, index) => input === inputs[index])) return last.result;
  last = { inputs, result: matchBox(flies, wantedBy(state, match, sample), STAGES) };
  return last.result;
}
