import type { Version } from '../migrate';
import { ledgerApart } from '../ledger';
import { flyV1 } from './v1';
import { flyV2 } from './v2';
import { flyV3 } from './v3';

/** How a stored fly of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'flies-with-a-ledger',
    up: (data) => ({
      ...flyV1.validateSync(data),
      name: '',
      stage: null,
      lengthMm: null,
      shade: null,
      ride: null,
      moves: {},
    }),
  },
  ledgerApart({ from: 2, name: 'moves-apart', kind: 'fly', schema: flyV2, field: 'moves' }),
  { from: 3, name: 'fly-low-mark', up: (data) => ({ ...flyV3.validateSync(data), low: null }) },
];
