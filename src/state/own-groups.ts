import { createSelector } from '@reduxjs/toolkit';
import { GROUPS, KEY } from '@/catalogue';
import { prepareKey, type Key, type NaturalGroup } from '@/core/belief';
import type { GroupRecord } from './records/schemas';
import type { State } from './store';

/** A group of the tier's own in the shape of the shipped ones. */
export function naturalGroup(id: string, record: GroupRecord): NaturalGroup {
  return {
    id,
    order: record.order,
    name: record.name,
    scientific: record.scientific,
    regions: record.regions,
    waters: record.waters,
    months: record.months,
    hours: [],
    hatch: null,
    adult_tails: null,
    hind_wing: true,
    colours: {},
    stages: record.stages.map(({ stage, length_mm, shades }) => ({ stage, length_mm: length_mm ? [length_mm[0]!, length_mm[1]!, length_mm[2]!] : null, shades })),
    note: record.note ?? null,
    evidence: record.evidence,
  };
}

/** Shipped groups and the tier's own, own ones first. */
export const selectGroups = createSelector([(state: State) => state.records.entities.group], (own): readonly NaturalGroup[] =>
  [...Object.entries(own).map(([id, record]) => naturalGroup(id, record)), ...GROUPS]);

/** The key over all groups; the shipped one while the tier has none of their own. */
export const selectKey = createSelector([selectGroups], (groups): Key => (groups.length === GROUPS.length ? KEY : prepareKey({ ...KEY, groups })));
