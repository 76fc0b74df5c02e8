import { matchFile, takeMatch, type Bundle } from '@/records';
import { act } from './act';
import { readPicture, storePicture } from './photos';
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

/** Takes a read file in: its pictures first, then its records as one change that undo takes back. Rejects when the browser has no room. */
export async function takeBundle({ dispatch, getState, ports }: Store, bundle: Bundle): Promise<void> {
  const { photo } = getState().records.entities;
  for (const [id, picture] of Object.entries(bundle.pictures))
    if (id in bundle.photo && !photo[id]?.overlay) await storePicture(ports, id, picture);
  dispatch(act(takeMatch, { bundle }));
}
