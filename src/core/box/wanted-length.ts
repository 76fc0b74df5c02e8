import type { StageId } from '@/catalogue/ids';
import type { Sample } from '../answer';
import type { StageRow } from '../hooks';
import { bodyFrom, lengthStats, postureCv } from '../naturals';
import type { BoxWanted } from './rank-flies';

/** The length a fly of a box is compared with, from whatever was measured: the case of a cased larva, else the body. Null without any. */
export function wantedLength(
  sample: Pick<Sample, 'lengthsMm' | 'overallMm' | 'caseMm' | 'method' | 'halfWidthMm'>,
  stage: StageId,
  stages: readonly StageRow[],
): BoxWanted['length'] {
  const row = stages.find((item) => item.id === stage)!;
  const body = bodyFrom(
    { bodyMm: sample.lengthsMm[0] ?? null, overallMm: sample.overallMm, caseMm: sample.caseMm },
    row.order,
  );
  if (!body) return null;
  const stats = lengthStats(
    sample.lengthsMm.length > 0 ? sample.lengthsMm : [body.mm],
    sample.method,
    postureCv(row),
    sample.halfWidthMm ?? null,
  );
  return {
    mm: stage === 'caddis/cased-larva' && sample.caseMm !== null ? sample.caseMm : stats.meanMm,
    seMm: stats.seMm,
  };
}
