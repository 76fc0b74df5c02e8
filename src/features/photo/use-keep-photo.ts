import { useCallback, useState } from 'react';
import { useStore } from 'react-redux';
import { keepPhoto, PHOTOS_MOST, photosWaiting } from '@/records';
import { nowOf, storePicture, useAct, type Store } from '@/state';
import { chooseFile } from '@/features/files';

function dataUrlOf(file: Blob): Promise<string> {
  return new Promise((read, failed) => {
    const reader = new FileReader();
    reader.onload = () => read(String(reader.result));
    reader.onerror = () => failed(reader.error ?? new Error('unread'));
    reader.readAsDataURL(file);
  });
}

/** When the camera says it was taken; null where it does not, or where what reads it is not on this device yet. */
async function ownTime(file: Blob, now: string): Promise<string | null> {
  try {
    const { takenAt } = await import('@/core/photo/taken-at');
    return await takenAt(await file.arrayBuffer(), now);
  } catch {
    return null;
  }
}

export interface KeepPhoto {
  /** Takes a photograph and keeps it with a sample; without one a new match is made that waits for the bench. */
  keep(sampleId: string | null): Promise<void>;
  /** The same with a picture that is there already. */
  put(sampleId: string | null, picture: Blob): Promise<void>;
  /** Why the last one was not kept. */
  wrong: 'full' | 'no-room' | 'not-image' | null;
}

/** One tap: a photograph, kept whole until it is measured. */
export function useKeepPhoto(): KeepPhoto {
  const act = useAct();
  const { ports, getState } = useStore() as unknown as Store;
  const [wrong, setWrong] = useState<KeepPhoto['wrong']>(null);
  const put = useCallback(
    async (sampleId: string | null, file: Blob) => {
      if (photosWaiting(getState().records.entities).count >= PHOTOS_MOST) return setWrong('full');
      if (!file.type.startsWith('image/')) return setWrong('not-image');
      const photoId = ports.newId('photo');
      try {
        await storePicture(ports, photoId, await dataUrlOf(file));
      } catch {
        return setWrong('no-room');
      }
      setWrong(null);
      const taken = await ownTime(file, nowOf(getState(), ports));
      act(keepPhoto, { photoId, sampleId, type: file.type, bytes: file.size, ...(taken ? { taken } : {}) });
    },
    [act, getState, ports],
  );
  const keep = useCallback(
    async (sampleId: string | null) => {
      if (photosWaiting(getState().records.entities).count >= PHOTOS_MOST) return setWrong('full');
      const file = await chooseFile('image/*', 'environment');
      if (file) await put(sampleId, file);
    },
    [getState, put],
  );
  return { keep, put, wrong };
}
