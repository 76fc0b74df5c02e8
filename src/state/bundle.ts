import { matchFile } from '@/records';
import { readPicture } from './photos';
import type { Store } from './store';

/** Matches as one file, their pictures read from storage; null when there is none of them. */
export async function writeBundle(
  { getState, ports, clocks }: Store,
  matchIds: readonly string[],
): Promise<string | null> {
  const { entities } = getState().records;
  const photos = matchIds.flatMap((id) => entities.sample[entities.match[id]?.sampleId ?? '']?.photos ?? []);
  const pictures: Record<string, string> = {};
  for (const id of photos) {
    const picture = await readPicture(ports, id);
    if (picture !== null) pictures[id] = picture;
  }
  return matchFile(entities, clocks, matchIds, pictures);
}
