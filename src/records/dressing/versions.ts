import type { Version } from '../migrate';
import { dressingV1 } from './v1';

/** How a stored dressing of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'dressings-whole',
    up(data) {
      const old = dressingV1.validateSync(data);
      // A part that may be left out is a switch of its own now.
      return {
        ...old,
        switches: old.parts
          .filter((part) => part.optional)
          .map((part) => ({ id: part.id, name: part.id, parts: [part.id], on: true, attracts: false, why: part.id })),
      };
    },
  },
];
