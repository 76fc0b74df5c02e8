import type { Version } from '../migrate';
import { deviceV1 } from './v1';
import { deviceV2 } from './v2';
import { deviceV3 } from './v3';
import { deviceV4 } from './v4';
import { deviceV5 } from './v5';

/** How a stored device of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  { from: 1, name: 'size-of-the-screen', up: (data) => ({ ...deviceV1.validateSync(data), screen: null }) },
  {
    from: 2,
    name: 'thumb-and-cautions',
    up: (data) => ({ ...deviceV2.validateSync(data), thumb: 'right', view: 'belly', printedScale: 1, cautioned: {} }),
  },
  {
    from: 3,
    name: 'first-steps',
    up: (data) => ({ ...deviceV3.validateSync(data), cardKept: false, stepsAway: false }),
  },
  { from: 4, name: 'backed-up', up: (data) => ({ ...deviceV4.validateSync(data), backedUp: null, handedOver: null }) },
  {
    from: 5,
    name: 'at-the-vise',
    up: (data) => ({ ...deviceV5.validateSync(data), sound: false, voice: false, awake: true }),
  },
];
