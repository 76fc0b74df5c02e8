import type { Entities } from '@/records';

/** Nothing has been said of the natural yet: no stage, sign, length or thing seen. */
export function isUntold({ match, sample }: Pick<Entities, 'match' | 'sample'>, matchId: string): boolean {
  const own = match[matchId];
  const record = own && sample[own.sampleId];
  if (!own || !record) return true;
  return (
    own.answers.every((answer) => !answer.stage) &&
    Object.keys(record.signs).length + record.seen.length + record.specimens.length === 0 &&
    !record.rough &&
    !record.rise &&
    !record.found &&
    !record.doing
  );
}
