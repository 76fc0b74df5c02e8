import type { Version } from '../migrate';
import { ledgerApart } from '../ledger';
import { modelV1 } from './v1';
import { modelV2 } from './v2';

/** How a stored model of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'sizes-by-label',
    up(data) {
      const { sizes, ...rest } = modelV1.validateSync(data);
      return {
        ...rest,
        retired: false,
        tapings: {},
        sizes: Object.fromEntries(sizes.map(({ size, ...dimensions }) => [size, { ...dimensions, retired: false }])),
      };
    },
  },
  ledgerApart({ from: 2, name: 'tapings-apart', kind: 'model', schema: modelV2, field: 'tapings' }),
];
