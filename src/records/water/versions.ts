import type { Version } from '../migrate';
import { waterV1 } from './v1';

/** How a stored water of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'water-place',
    up: (data) => ({
      ...waterV1.validateSync(data),
      hookLargest: null,
      hookLongestMm: null,
      place: null,
      daily: {},
    }),
  },
];
