import type { Version } from '../migrate';
import { eventsOf } from '../ledger';
import { modelV1 } from './v1';
import { modelV2 } from './v2';

/** How a stored model of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'sizes-by-label',
    up(data) {
      const { sizes, ...rest } = modelV1.validateSync(data);
      return { ...rest, retired: false, tapings: {}, sizes: Object.fromEntries(sizes.map(({ size, ...dimensions }) => [size, { ...dimensions, retired: false }])) };
    },
  },
  {
    from: 2,
    name: 'tapings-apart',
    up(data) {
      const { tapings: _, ...rest } = modelV2.validateSync(data);
      return rest;
    },
    events: (data, id) => eventsOf('model', id, modelV2.validateSync(data).tapings),
  },
];
