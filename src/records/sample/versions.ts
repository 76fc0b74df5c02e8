import type { Version } from '../migrate';
import { sampleV1 } from './v1';
import { sampleV2 } from './v2';
import { sampleV3 } from './v3';
import { sampleV4 } from './v4';
import { sampleV5 } from './v5';

/** How a stored sample of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'lengths-become-specimens',
    up(data) {
      const { lengths, overallMm, caseMm, ...rest } = sampleV1.validateSync(data);
      return {
        ...rest,
        specimens: lengths.map((mm, index) => ({ id: `s${index + 1}`, body: { mm, typed: null } })),
        overall: { mm: overallMm, typed: null },
        case: { mm: caseMm, typed: null },
        unread: {},
        photos: [],
      };
    },
  },
  {
    from: 2,
    name: 'signs-of-the-natural',
    up: (data) => ({
      ...sampleV2.validateSync(data),
      signs: {},
      skipped: [],
      seen: [],
      rise: null,
      rough: null,
      shades: {},
    }),
  },
  {
    from: 3,
    name: 'kept-for-the-bench',
    up(data) {
      const old = sampleV3.validateSync(data);
      return {
        ...old,
        specimens: old.specimens.map((specimen) => ({ ...specimen, sex: null, out: null, halfMm: null })),
        preserved: false,
        kept: false,
      };
    },
  },
  {
    from: 4,
    name: 'what-other-programs-say',
    up: (data) => ({ ...sampleV4.validateSync(data), extra: {} }),
  },
  { from: 5, name: 'sample-outing', up: (data) => ({ ...sampleV5.validateSync(data), outingId: null }) },
];
