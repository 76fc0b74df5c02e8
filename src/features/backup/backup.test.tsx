import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { strToU8 } from 'fflate';
import { matchSchema, photoSchema, sampleSchema, setDevice } from '@/records';
import { packBackup, readAnyBackup } from '@/records/backup';
import { act as run, readPicture, storePicture, undone, writeBundle, writeRecords, type Store } from '@/state';
import { planOwnBackup } from '@/state/backup';
import { change } from '@/state/__tests__/change';
import { NowScreen } from '../now';
import { DataScreen } from '../shelf/screens';
import { bytesOf } from '../__tests__/backup-jobs';
import { openScreen, pressReady } from '../__tests__/screen';

const chosen: { file: Blob | null } = { file: null };
const saved: { name: string; file: Blob | string }[] = [];
jest.mock('@/features/files', () => ({
  chooseFile: () => Promise.resolve(chosen.file),
  saveFile: (name: string, file: Blob | string) => void saved.push({ name, file }),
}));

jest.mock('@/workers', () => jest.requireActual<object>('../__tests__/backup-jobs'));

const WHEN = '2033-05-24T04:50';
const PICTURE = `data:image/jpeg;base64,${btoa('picture')}`;

function season(store: Store, place = 'Fenbeck') {
  store.dispatch(
    change('season', (draft) => {
      draft.sample.s = sampleSchema.cast({ when: WHEN, place, photos: ['p'] });
      draft.match.m = matchSchema.cast({
        title: 'Dawn',
        opened: WHEN,
        sampleId: 's',
        answers: [{ id: 'a', stage: null }],
        leading: 'a',
      });
      draft.photo.p = photoSchema.cast({ sampleId: 's', type: 'image/jpeg', bytes: 7, taken: WHEN });
    }),
  );
}
async function packed(store: Store): Promise<Blob> {
  const { parts } = await packBackup(await planOwnBackup(store, '0.1.0'), async () => PICTURE);
  return new Blob(parts as BlobPart[]);
}
async function read(file: Blob): Promise<void> {
  chosen.file = file;
  await act(async () => void fireEvent.click(screen.getByText(/^(Read a file|Another file)$/)));
  await waitFor(() => expect(screen.queryByText(/^Reading /)).not.toBeInTheDocument());
  await act(async () => undefined);
}
const place = (store: Store) => store.getState().records.entities.sample.s?.place;

beforeEach(() => void (saved.length = 0));

test('without anything of one’s own there is nothing to back up, and the page says so', async () => {
  await openScreen(<DataScreen />);
  expect(screen.getByText('There is nothing of your own yet.')).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Make a backup' })).toHaveAttribute('aria-disabled', 'true');
});

test('a backup is made, saved by its day and said with its size; the day is kept', async () => {
  const { store } = await openScreen(<DataScreen />, 'clean');
  act(() => season(store));
  expect(screen.getByText('None was made on this device yet.')).toBeInTheDocument();
  await act(async () => void fireEvent.click(screen.getByText('Make a backup')));
  expect(
    await screen.findByText(/^Made, [\d.]+ kB\. The picture of 1 photograph was not on the device$/),
  ).toBeInTheDocument();
  expect(saved[0]!.name).toBe('aubade-2033-05-24.zip');
  const back = readAnyBackup(await bytesOf(saved[0]!.file as Blob));
  expect(back.ok && back.backup.carried.records.map(({ kind }) => kind)).toEqual(
    expect.arrayContaining(['sample', 'match', 'photo']),
  );
  expect(screen.getByText('Last made 24 May 2033, 04:50.')).toBeInTheDocument();
});

test('read, it says what it is and what it would do before anything is done; joined, its picture is here too, and one step takes it back', async () => {
  const from = await openScreen(<DataScreen />, 'clean');
  act(() => season(from.store));
  const file = await packed(from.store);
  from.unmount();
  const { store } = await openScreen(<DataScreen />, 'clean');
  await read(file);
  expect(screen.getByText('A backup of 24 May 2033, 04:50, made with version 0.1.0')).toBeInTheDocument();
  expect(screen.getByText('1 sample, 1 match, 1 photograph')).toBeInTheDocument();
  expect(await screen.findByText('3 new:')).toBeInTheDocument();
  expect(place(store)).toBeUndefined();
  await pressReady('Take it in');
  expect(await screen.findByText(/^Taken in and joined/)).toBeInTheDocument();
  expect([place(store), await readPicture(store.ports, 'p')]).toEqual(['Fenbeck', PICTURE]);
  await act(async () => void store.dispatch(undone()));
  expect(place(store)).toBeUndefined();
});

test('in place of mine says what would go, and does it', async () => {
  const { store } = await openScreen(<DataScreen />, 'clean');
  act(() => season(store));
  const file = await packed(store);
  act(() => {
    store.dispatch(
      change('later', (draft) => void (draft.sample.later = sampleSchema.cast({ when: WHEN, place: 'Weir' }))),
    );
    season(store, 'Auldry');
  });
  await read(file);
  expect(await screen.findByText('1 of yours is not in it and stays.')).toBeInTheDocument();
  expect(screen.queryByText('1 would go:')).not.toBeInTheDocument();
  fireEvent.click(screen.getByRole('radio', { name: 'In place of mine' }));
  expect(await screen.findByText('1 would go:')).toBeInTheDocument();
  expect(screen.getByText('Weir · 24 May 2033, 04:50')).toBeInTheDocument();
  expect(screen.getByText('Changes 1 of yours:')).toBeInTheDocument();
  await pressReady('Take it in');
  expect(await screen.findByText(/^All is as it was in the backup/)).toBeInTheDocument();
  expect([place(store), Object.keys(store.getState().records.entities.sample)]).toEqual(['Fenbeck', ['s']]);
});

test('records alone and a file of matches come back by the same button; they are joined only', async () => {
  const from = await openScreen(<DataScreen />, 'clean');
  act(() => season(from.store));
  await storePicture(from.store.ports, 'p', PICTURE);
  const [records, matches] = [await writeRecords(from.store, null), await writeBundle(from.store, ['m'])];
  from.unmount();
  for (const [text, said] of [
    [records, 'Records without pictures'],
    [matches!, 'Matches with their photographs'],
  ] as const) {
    const { store, unmount } = await openScreen(<DataScreen />, 'clean');
    await read(new Blob([text]));
    expect(screen.getByText(said)).toBeInTheDocument();
    expect(screen.queryByRole('radio', { name: 'In place of mine' })).not.toBeInTheDocument();
    expect(await screen.findByText(/^\d new:$/)).toBeInTheDocument();
    await pressReady('Take it in');
    await waitFor(() => expect(place(store)).toBe('Fenbeck'));
    expect(await readPicture(store.ports, 'p')).toBe(said.startsWith('Matches') ? PICTURE : null);
    unmount();
  }
});

test.each([
  ['{ broken', /^Not taken: it is no JSON/],
  ['PK\u0003\u0004 cut short', /^Not taken: the archive is damaged/],
  [JSON.stringify({ aubade: 'records', version: 99, items: [] }), /^Not taken: version 99 is newer/],
])('%j is refused with why, and nothing changes', async (text, said) => {
  const { store } = await openScreen(<DataScreen />, 'clean');
  const before = store.getState().records.entities;
  await read(new Blob([strToU8(text) as BlobPart]));
  expect(screen.getByText(said)).toBeInTheDocument();
  expect(store.getState().records.entities).toBe(before);
});

test('where the browser has no room for a picture nothing is changed, and that is said', async () => {
  const from = await openScreen(<DataScreen />, 'clean');
  act(() => season(from.store));
  const file = await packed(from.store);
  from.unmount();
  const { store } = await openScreen(<DataScreen />, 'clean');
  await read(file);
  await screen.findByText('3 new:');
  store.ports.storage.setMany = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
  await pressReady('Take it in');
  expect(await screen.findByText(/no room/i)).toBeInTheDocument();
  expect(place(store)).toBeUndefined();
});

describe('how much room there is', () => {
  const browser = (usage: number, quota: number, persisted = false) => {
    const storage = {
      estimate: async () => ({ usage, quota }),
      persisted: async () => persisted,
      persist: jest.fn(async () => (persisted = true)),
    };
    Object.defineProperty(navigator, 'storage', { value: storage, configurable: true });
    return storage;
  };
  afterEach(() => void Reflect.deleteProperty(navigator, 'storage'));
  test('is a meter with words, and the browser can be asked to keep everything', async () => {
    const storage = browser(12_400_000, 2_000_000_000);
    await openScreen(<DataScreen />, 'clean');
    expect(screen.getByRole('meter')).toHaveAttribute(
      'aria-valuetext',
      '12 MB in use of the 2 GB that the browser gives',
    );
    expect(screen.queryByText(/getting short/)).not.toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Ask it to keep everything')));
    expect(storage.persist).toHaveBeenCalled();
    expect(await screen.findByText(/promised not to clear/)).toBeInTheDocument();
  });
  test('is said when it gets short', async () => {
    browser(81, 100);
    await openScreen(<DataScreen />, 'clean');
    expect(screen.getByText(/getting short/)).toBeInTheDocument();
  });
  test('a browser that does not say is told of as such', async () => {
    await openScreen(<DataScreen />, 'clean');
    expect(screen.getByText(/does not say/)).toBeInTheDocument();
  });
  test('measured photographs older than a year can go, their lengths stay, and undo brings them back', async () => {
    const { store } = await openScreen(<DataScreen />, 'clean');
    act(() => {
      season(store);
      store.dispatch(
        change('old', (draft) => {
          const overlay = {
            leftMm: 0,
            topMm: 0,
            widthMm: 1,
            heightMm: 1,
            by: 'card' as const,
            view: 'belly' as const,
            insects: [],
          };
          for (const [id, taken] of [
            ['old', '2032-05-23T04:50'],
            ['young', '2032-05-25T04:50'],
          ] as const) {
            draft.photo[id] = photoSchema.cast({ sampleId: 's', type: 'image/jpeg', bytes: 2_000_000, taken, overlay });
            draft.sample.s!.photos.push(id);
          }
        }),
      );
    });
    expect(
      screen.getByText('1 measured photograph is older than a year: 2 MB. Its lengths and colours stay.'),
    ).toBeInTheDocument();
    fireEvent.click(screen.getByText('Let it go'));
    expect(store.getState().records.entities.sample.s!.photos).toEqual(['p', 'young']);
    expect(Object.keys(store.getState().records.entities.photo).sort()).toEqual(['p', 'young']);
    act(() => void store.dispatch(undone()));
    expect(store.getState().records.entities.sample.s!.photos).toEqual(['p', 'old', 'young']);
  });
});

describe('the reminder', () => {
  const due = async (backedUp: string | null, opened: string) => {
    const { store } = await openScreen(<NowScreen />, 'clean');
    await act(async () => {
      season(store);
      store.dispatch(change('opened', (draft) => void (draft.match.m!.opened = opened)));
      store.dispatch(run(setDevice, { backedUp }));
    });
    return store;
  };
  test('says how old the last backup is once it is old, and leads to where one is made', async () => {
    await due('2033-04-20T10:00', '2033-04-01T04:50');
    expect(await screen.findByText('Your last backup is 34 days old.')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Make one' })).toHaveAttribute('href', '/shelf/data');
  });
  test('before the first one it counts from the first match', async () => {
    await due(null, '2033-04-01T04:50');
    expect(await screen.findByText('No backup of your notes was made yet.')).toBeInTheDocument();
  });
  test('is not there while the last one is young enough, or none is asked for', async () => {
    const store = await due('2033-04-25T10:00', '2033-04-01T04:50');
    expect(screen.queryByText(/last backup/)).not.toBeInTheDocument();
    await act(async () => void store.dispatch(run(setDevice, { backedUp: '2033-01-01T10:00' })));
    expect(await screen.findByText(/last backup/)).toBeInTheDocument();
    await act(
      async () => void store.dispatch(change('never', (draft) => void (draft.settings.main!.backupDays = null))),
    );
    expect(screen.queryByText(/last backup/)).not.toBeInTheDocument();
  });
});
