import { createSelector } from '@reduxjs/toolkit';
import { GROUPS, KEY } from '@/catalogue';
import { prepareKey, type Key, type NaturalGroup } from '@/core/belief';
import { naturalGroup } from '@/records';
import { selectShipped } from './dressings';
import type { State } from './store';

/** Shipped groups and the tier's own, own ones first. */
export const selectGroups = createSelector(
  [(state: State) => state.records.entities.group, selectShipped],
  (own, { groups }): readonly NaturalGroup[] => {
    const records = Object.entries(own);
    return records.length === 0 ? groups : [...records.map(([id, record]) => naturalGroup(id, record)), ...groups];
  },
);

/** The key over all groups; the shipped one while they are the shipped ones as written. */
export const selectKey = createSelector([selectGroups], (groups): Key =>
  groups === GROUPS ? KEY : prepareKey({ ...KEY, groups }),
);
