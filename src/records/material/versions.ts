import type { Version } from '../migrate';
import { materialV1 } from './v1';

/** How a stored material of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  { from: 1, name: 'blends-kept', up: (data) => ({ ...materialV1.validateSync(data), recipe: [] }) },
];
