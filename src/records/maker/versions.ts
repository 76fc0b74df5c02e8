import type { Version } from '../migrate';
import { makerV1 } from './v1';

/** How a stored maker of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  { from: 1, name: 'retired-makers', up: (data) => ({ ...makerV1.validateSync(data), retired: false }) },
];
