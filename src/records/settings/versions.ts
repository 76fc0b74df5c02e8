import type { Version } from '../migrate';
import { settingsV1 } from './v1';
import { settingsV2 } from './v2';
import { settingsV3 } from './v3';
import { settingsV4 } from './v4';
import { settingsV5 } from './v5';

/** How a stored settings of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'part-of-the-world',
    up: (data) => ({ ...settingsV1.validateSync(data), south: false, fauna: null, fingerMm: null }),
  },
  {
    from: 2,
    name: 'hooks-of-ones-own',
    up: (data) => ({ ...settingsV2.validateSync(data), onlyOwned: false, convertBy: 'length', smallest: null }),
  },
  {
    from: 3,
    name: 'the-tier-at-the-bench',
    up: (data) => ({
      ...settingsV3.validateSync(data),
      skill: null,
      minutes: null,
      tools: null,
      pickWeights: {},
      dressingSchools: {},
    }),
  },
  { from: 4, name: 'backups', up: (data) => ({ ...settingsV4.validateSync(data), backupDays: 30 }) },
  { from: 5, name: 'what-the-hands-do', up: (data) => ({ ...settingsV5.validateSync(data), aims: true }) },
];
