import { useCallback, useState } from 'react';
import { useStore } from 'react-redux';
import { keepPhoto, PHOTOS_MOST, photosWaiting } from '@/records';
import { nowOf, storePicture, useAct, type Store } from '@/state';
import { chooseFile } from '@/features/files';

function readAs<T>(file: Blob, how: 'readAsDataURL' | 'readAsArrayBuffer'): Promise<T> {
  return new Promise((read, failed) => {
    const reader = new FileReader();
    reader.onload = () => read(reader.result as T);
    reader.onerror = () => failed(reader.error ?? new Error('unread'));
    reader[how](file);
  });
}

type Wrong = 'full' | 'no-room' | 'not-image' | 'huge';

/** When the camera says it was taken; null where it does not, or where what reads it is not on this device yet. */
async function ownTime(bytes: ArrayBuffer, now: string): Promise<string | null> {
  try {
    const { takenAt } = await import('@/core/photo/taken-at');
    return await takenAt(bytes, now);
  } catch {
    return null;
  }
}

/** Whether the browser can open it: one that is cut short has a sound head. */
async function opens(file: Blob): Promise<boolean> {
  if (typeof createImageBitmap !== 'function') return true;
  try {
    (await createImageBitmap(file, { resizeWidth: 8, resizeHeight: 8 })).close();
    return true;
  } catch {
    return false;
  }
}

/** Why it is no photograph; what looks at it may not be on this device yet: then its type alone is believed. */
async function faultOf(file: Blob, bytes: ArrayBuffer): Promise<Wrong | null> {
  if (!file.type.startsWith('image/') || file.type === 'image/svg+xml') return 'not-image';
  try {
    const { pictureFault } = await import('@/core/photo/is-picture');
    const fault = pictureFault(new Uint8Array(bytes));
    if (fault) return fault.code as Wrong;
  } catch {
    return null;
  }
  return (await opens(file)) ? null : 'not-image';
}

export interface KeepPhoto {
  /** Takes a photograph and keeps it with a sample; without one a new match is made that waits for the bench. */
  keep(sampleId: string | null): Promise<void>;
  /** The same with a picture that is there already. */
  put(sampleId: string | null, picture: Blob): Promise<void>;
  /** Why the last one was not kept. */
  wrong: Wrong | null;
}

/** One tap: a photograph, kept whole until it is measured. */
export function useKeepPhoto(): KeepPhoto {
  const act = useAct();
  const { ports, getState } = useStore() as unknown as Store;
  const [wrong, setWrong] = useState<KeepPhoto['wrong']>(null);
  const put = useCallback(
    async (sampleId: string | null, file: Blob) => {
      if (photosWaiting(getState().records.entities).count >= PHOTOS_MOST) return setWrong('full');
      const bytes = await readAs<ArrayBuffer>(file, 'readAsArrayBuffer');
      const fault = await faultOf(file, bytes);
      if (fault) return setWrong(fault);
      const photoId = ports.newId('photo');
      try {
        await storePicture(ports, photoId, await readAs<string>(file, 'readAsDataURL'));
      } catch {
        return setWrong('no-room');
      }
      setWrong(null);
      const taken = await ownTime(bytes, nowOf(getState(), ports));
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
