import { BLOB } from './storage/envelope';
import type { Ports } from './ports';

/** Stores a picture as a data URL under its photo's id. Rejects when the browser has no room. */
export async function storePicture(ports: Ports, photoId: string, dataUrl: string): Promise<void> {
  await ports.storage.setMany({ [BLOB + photoId]: dataUrl });
}

/** The picture of a photo as a data URL; null when it is not on this device. */
export async function readPicture(ports: Ports, photoId: string): Promise<string | null> {
  return (await ports.storage.getMany([BLOB + photoId]))[BLOB + photoId] ?? null;
}
