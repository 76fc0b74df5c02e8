import { act, createStore, openStore, readPicture, storePicture, type Store } from '@/state';
import { change } from '@/state/__tests__/change';
import { memoryPorts } from '@/state/__tests__/ports';
import { sampleSchema } from '../sample/schema';
import { keepPhoto } from './commands';
import { lastSurface, photosWaiting } from './queries';
import { photoSchema } from './schema';

const OVERLAY = {
  leftMm: 0,
  topMm: 0,
  widthMm: 10,
  heightMm: 8,
  by: 'card' as const,
  view: 'belly' as const,
  insects: [],
};

/** Samples with a photograph each: dry or wet, when it was taken, and whether it waits. */
async function withPhotos(...photos: [surface: 'dry' | 'wet', taken: string, waits: boolean][]): Promise<Store> {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'clean', clock: '2033-05-24T04:50' });
  store.dispatch(
    change('photo', (draft) => {
      for (const [index, [surface, taken, waits]] of photos.entries()) {
        draft.sample[`s${index}`] = sampleSchema.cast({ when: taken, surface, photos: [`p${index}`] });
        draft.photo[`p${index}`] = photoSchema.cast({
          sampleId: `s${index}`,
          type: 'image/jpeg',
          bytes: 1000 + index,
          taken,
          overlay: waits ? null : OVERLAY,
        });
      }
    }),
  );
  return store;
}

test('only photographs that wait count, with their bytes', async () => {
  const store = await withPhotos(
    ['dry', '2033-05-24T04:50', true],
    ['wet', '2033-05-24T05:10', false],
    ['dry', '2033-05-24T05:30', true],
  );
  expect(photosWaiting(store.getState().records.entities)).toEqual({ count: 2, bytes: 2002 });
});

test('the surface of the insect photographed last begins the next one, whatever the order they were stored in', async () => {
  expect(lastSurface((await withPhotos()).getState().records.entities)).toBe('dry');
  expect(
    lastSurface(
      (await withPhotos(['wet', '2033-05-24T06:00', true], ['dry', '2033-05-24T05:00', true])).getState().records
        .entities,
    ),
  ).toBe('wet');
  expect(
    lastSurface(
      (await withPhotos(['wet', '2033-05-23T06:00', false], ['dry', '2033-05-24T05:00', true])).getState().records
        .entities,
    ),
  ).toBe('dry');
});

test('a photograph whose sample is gone says nothing of the surface', async () => {
  const store = await withPhotos(['dry', '2033-05-24T05:00', true], ['wet', '2033-05-24T06:00', true]);
  store.dispatch(change('let-go', (draft) => void delete draft.sample.s1));
  expect(lastSurface(store.getState().records.entities)).toBe('dry');
});

test('a picture is stored under its photo and read back; one that is not there is null', async () => {
  const { ports } = await withPhotos();
  await storePicture(ports, 'p9', 'data:image/png;base64,AAAA');
  expect(await readPicture(ports, 'p9')).toBe('data:image/png;base64,AAAA');
  expect(await readPicture(ports, 'p8')).toBeNull();
});

test('a photograph begins a match of the time when it was taken, and of now where it does not say', async () => {
  const store = await withPhotos();
  const begun = (photoId: string, taken?: string) => {
    store.dispatch(
      act(keepPhoto, { photoId, sampleId: null, type: 'image/jpeg', bytes: 9, ...(taken ? { taken } : {}) }),
    );
    const { photo, sample, match } = store.getState().records.entities;
    const { sampleId } = photo[photoId]!;
    const opened = Object.values(match).find((item) => item.sampleId === sampleId)!.opened;
    return [photo[photoId]!.taken, sample[sampleId]!.when, opened];
  };
  expect(begun('own', '2033-05-23T21:10')).toEqual(Array(3).fill('2033-05-23T21:10'));
  expect(begun('now')).toEqual(Array(3).fill('2033-05-24T04:50'));
});
