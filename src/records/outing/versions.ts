import type { Version } from '../migrate';
import { outingV1 } from './v1';

/** How a stored outing of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'outing-rig',
    up(data) {
      const old = outingV1.validateSync(data);
      return {
        ...old,
        team: old.team.map((fly) => ({ ...fly, apartMm: null })),
        rig: null,
        currentMmS: null,
        temps: [],
        plan: [],
      };
    },
  },
];
