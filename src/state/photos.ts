import type { Ports } from './ports';
import { BLOB } from './records/envelope';
import type { State } from './store';

/** Photographs kept whole while they wait to be measured. */
export const PHOTOS_MOST = 12;

/** How many wait, and their bytes. */
export function photosWaiting(state: State): { count: number; bytes: number } {
  const photos = Object.values(state.records.entities.photo).filter((photo) => photo.overlay === null);
  return { count: photos.length, bytes: photos.reduce((sum, photo) => sum + photo.bytes, 0) };
}

/** Dry or wet as it was said of the insect photographed last; dry before there was one. */
export function lastSurface(state: State): 'dry' | 'wet' {
  const { photo, sample } = state.records.entities;
  const [last] = Object.values(photo).filter((item) => item.sampleId in sample).sort((a, b) => b.taken.localeCompare(a.taken));
  return last ? sample[last.sampleId]!.surface : 'dry';
}

/** Stores a picture as a data URL under its photo's id. Rejects when the browser has no room. */
export async function storePicture(ports: Ports, photoId: string, dataUrl: string): Promise<void> {
  await ports.storage.setMany({ [BLOB + photoId]: dataUrl });
}

/** The picture of a photo as a data URL; null when it is not on this device. */
export async function readPicture(ports: Ports, photoId: string): Promise<string | null> {
  return (await ports.storage.getMany([BLOB + photoId]))[BLOB + photoId] ?? null;
}
