import type { Entities } from '../kinds';

/** Photographs kept whole while they wait to be measured. */
export const PHOTOS_MOST = 12;

/** How many wait, and their bytes. */
export function photosWaiting({ photo }: Pick<Entities, 'photo'>): { count: number; bytes: number } {
  const photos = Object.values(photo).filter((item) => item.overlay === null);
  return { count: photos.length, bytes: photos.reduce((sum, item) => sum + item.bytes, 0) };
}

/** Dry or wet as it was said of the insect photographed last; dry before there was one. */
export function lastSurface({ photo, sample }: Pick<Entities, 'photo' | 'sample'>): 'dry' | 'wet' {
  const [last] = Object.values(photo)
    .filter((item) => item.sampleId in sample)
    .sort((a, b) => b.taken.localeCompare(a.taken));
  return last ? sample[last.sampleId]!.surface : 'dry';
}
