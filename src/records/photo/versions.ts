import type { Version } from '../migrate';
import { photoV1 } from './v1';

/** How a stored photo of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'traces-kept',
    up(data) {
      const { overlay, ...rest } = photoV1.validateSync(data);
      // Widths and the height of the body were not kept then; the ± of its length is its own reading's.
      return {
        ...rest,
        overlay: overlay
          ? {
              ...overlay,
              by: 'card',
              view: 'belly',
              insects: overlay.insects.map((insect) => ({
                ...insect,
                specimenId: null,
                what: 'body',
                sdMm: 0.01 * insect.bodyMm,
                widthsMm: [],
                overallMm: null,
                factor: 1,
                hand: null,
              })),
            }
          : null,
      };
    },
  },
];
