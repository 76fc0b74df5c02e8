import type { Entities } from '@/records';
import type { OfRecord } from './boundary';

/** Records that a page is about, by its address: those that are not to be shown when it cannot be. */
export function recordsOfPage(path: string, { match, sample, dressing, box, model, group }: Entities): OfRecord[] {
  const [place, one, two, three] = path.split('/').slice(1).map(decodeURIComponent);
  const there = (record: OfRecord, table: Readonly<Record<string, unknown>>) => (record.id in table ? [record] : []);
  if (place === 'matches' && one && match[one]) {
    const { sampleId } = match[one];
    return [
      { kind: 'match', id: one },
      ...there({ kind: 'sample', id: sampleId }, sample),
      ...(sample[sampleId]?.photos ?? []).map((id): OfRecord => ({ kind: 'photo', id })),
    ];
  }
  if (place === 'dressings' && one) return there({ kind: 'dressing', id: one }, dressing);
  if (place === 'box' && one) return there({ kind: 'box', id: one }, box);
  if (place === 'drawer' && one === 'hooks' && two && three)
    return there({ kind: 'model', id: `${two}:${three}` }, model);
  if (place === 'shelf' && one === 'naturals' && two) return there({ kind: 'group', id: two }, group);
  return [];
}
