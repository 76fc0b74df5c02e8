import type { Version } from '../migrate';
import { matchV1 } from './v1';
import { matchV2 } from './v2';
import { matchV3 } from './v3';

/** How a stored match of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  { from: 1, name: 'follow-up-matches', up: (data) => ({ ...matchV1.validateSync(data), parentId: null }) },
  {
    from: 2,
    name: 'parts-switched-on',
    up(data) {
      const old = matchV2.validateSync(data);
      return { ...old, answers: old.answers.map((answer) => ({ ...answer, added: [] })) };
    },
  },
  {
    from: 3,
    name: 'materials-by-hand',
    up(data) {
      const old = matchV3.validateSync(data);
      return { ...old, answers: old.answers.map((answer) => ({ ...answer, swaps: {} })) };
    },
  },
];
