import { useCallback, useState } from 'react';
import { useStore } from 'react-redux';
import { change, lastSurface, localStamp, matchSchema, photoSchema, PHOTOS_MOST, photosWaiting, sampleSchema, storePicture, useAppDispatch, type Store } from '@/state';
import { chooseFile } from '@/features/files';

function dataUrlOf(file: Blob): Promise<string> {
  return new Promise((read, failed) => {
    const reader = new FileReader();
    reader.onload = () => read(String(reader.result));
    reader.onerror = () => failed(reader.error ?? new Error('unread'));
    reader.readAsDataURL(file);
  });
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
  const dispatch = useAppDispatch();
  const { ports, getState } = useStore() as unknown as Store;
  const [wrong, setWrong] = useState<KeepPhoto['wrong']>(null);
  const put = useCallback(async (sampleId: string | null, file: Blob) => {
    if (photosWaiting(getState()).count >= PHOTOS_MOST) return setWrong('full');
    if (!file.type.startsWith('image/')) return setWrong('not-image');
    const photoId = ports.newId('photo');
    const taken = getState().session.frozenClock ?? localStamp(ports.now());
    try {
      await storePicture(ports, photoId, await dataUrlOf(file));
    } catch {
      return setWrong('no-room');
    }
    setWrong(null);
    const own = sampleId ?? ports.newId('sample');
    const matchId = ports.newId('match');
    dispatch(change('photo', (draft) => {
      if (sampleId === null) {
        draft.sample[own] = sampleSchema.cast({ when: taken, kept: true, surface: lastSurface(getState()) });
        draft.match[matchId] = matchSchema.cast({ opened: taken, sampleId: own, answers: [{ id: 'a1', stage: null }], leading: 'a1' });
      }
      draft.photo[photoId] = photoSchema.cast({ sampleId: own, type: file.type, bytes: file.size, taken });
      draft.sample[own]!.photos.push(photoId);
    }));
  }, [dispatch, getState, ports]);
  const keep = useCallback(async (sampleId: string | null) => {
    if (photosWaiting(getState()).count >= PHOTOS_MOST) return setWrong('full');
    const file = await chooseFile('image/*', 'environment');
    if (file) await put(sampleId, file);
  }, [getState, put]);
  return { keep, put, wrong };
}
