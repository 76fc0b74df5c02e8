import type { Entities } from '../kinds';

/** Photographs kept whole while they wait to be measured. */
export const PHOTOS_MOST = 12;

/** How many wait, and their bytes. */
export function photosWaiting({ photo }: Pick<Entities, 'photo'>): { count: number; bytes: number } {
  const photos = Object.values(photo).filter((item) => item.overlay === null);
  return { count: photos.length, bytes: photos.reduce((sum, item) => sum + item.bytes, 0) };
}

/** Measured photographs older than a year (`now` is local, `2033-05-24T04:50`), which could go to make room, and their bytes. */
export function photosToThin({ photo }: Pick<Entities, 'photo'>, now: string): { ids: string[]; bytes: number } {
  const before = `${Number(now.slice(0, 4)) - 1}${now.slice(4)}`;
  const old = Object.entries(photo).filter(([, { overlay, taken }]) => overlay !== null && taken < before);
  return { ids: old.map(([id]) => id), bytes: old.reduce((sum, [, { bytes }]) => sum + bytes, 0) };
}

/** Dry or wet as it was said of the insect photographed last; dry before there was one. */
export function lastSurface({ photo, sample }: Pick<Entities, 'photo' | 'sample'>): 'dry' | 'wet' {
  const [last] = Object.values(photo)
    .filter((item) => item.sampleId in sample)
    .sort((a, b) => b.taken.localeCompare(a.taken));
  return last ? sample[last.sampleId]!.surface : 'dry';
}
