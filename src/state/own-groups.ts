import { createSelector } from '@reduxjs/toolkit';
import { GROUPS, KEY } from '@/catalogue';
import { prepareKey, type Key, type NaturalGroup } from '@/core/belief';
import { naturalGroup } from '@/records';
import type { State } from './store';

/** Shipped groups and the tier's own, own ones first. */
export const selectGroups = createSelector(
  [(state: State) => state.records.entities.group],
  (own): readonly NaturalGroup[] => [...Object.entries(own).map(([id, record]) => naturalGroup(id, record)), ...GROUPS],
);

/** The key over all groups; the shipped one while the tier has none of their own. */
export const selectKey = createSelector([selectGroups], (groups): Key =>
  groups.length === GROUPS.length ? KEY : prepareKey({ ...KEY, groups }),
);
