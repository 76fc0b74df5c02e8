import { act, fireEvent, screen } from '@testing-library/react';
import { boxSchema, matchSchema, sampleSchema } from '@/records';
import { createStore, undone, type Store } from '@/state';
import { change } from '@/state/__tests__/change';
import { heard } from '@/state/storage/slice';
import { BoxesScreen } from '../box/screens';
import { MatchesScreen } from '../matches/screens';
import { DataScreen } from '../shelf/screens';
import { openScreen } from '../__tests__/screen';
import { WholePage } from './boundary';
import { recordsOfPage } from './records-of-page';

const WHEN = '2033-05-24T04:50';
const saved: { name: string; text: string }[] = [];
jest.mock('@/features/files', () => ({
  ...jest.requireActual<object>('@/features/files'),
  saveFile: (name: string, text: string) => void saved.push({ name, text }),
}));

/** A match whose sample no screen can draw, as no schema lets it in: what is left when all else fails. */
async function withBroken(store: Store): Promise<void> {
  await act(async () => {
    store.dispatch(
      change('two', (draft) => {
        for (const id of ['good', 'bad']) {
          draft.sample[id] = sampleSchema.cast({ when: WHEN });
          draft.match[id] = matchSchema.cast({
            title: `Match ${id}`,
            opened: WHEN,
            sampleId: id,
            answers: [{ id: 'a', stage: 'mayfly/dun' }],
            leading: 'a',
          });
        }
      }),
    );
    const { sample } = store.getState().records.entities;
    store.dispatch(heard([{ kind: 'sample', id: 'bad', data: { ...sample.bad!, colours: null } as never }]));
  });
}

test('in a list the one that cannot be shown says so in its line, and the rest stands', async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { store } = await openScreen(<MatchesScreen />, 'clean');
  await withBroken(store);
  expect(screen.getByRole('link', { name: /Match good/ })).toBeInTheDocument();
  expect(screen.getByRole('alert')).toHaveTextContent(/Match bad, a match, cannot be shown\.What went wrong: .+/);
  fireEvent.click(screen.getByText('Write it to a file'));
  await act(async () => undefined);
  expect(saved.at(-1)).toMatchObject({ name: 'aubade-not-shown.json', text: expect.stringContaining('Match bad') });
  await act(async () => void fireEvent.click(screen.getByText('Set it aside')));
  expect(screen.queryByRole('alert')).not.toBeInTheDocument();
  expect(Object.keys(store.getState().records.entities.match)).toEqual(['good']);
  expect(store.getState().records.aside).toMatchObject([
    { key: 'match/bad', reason: 'unshown', text: expect.stringContaining('Match bad') },
  ]);
  expect((await store.ports.storage.getMany(['aside/match/bad']))['aside/match/bad']).toContain('Match bad');
  act(() => void store.dispatch(undone()));
  expect(Object.keys(store.getState().records.entities.match).sort()).toEqual(['bad', 'good']);
});

test('what was set aside is named under Data', async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { store, unmount } = await openScreen(<MatchesScreen />, 'clean');
  await withBroken(store);
  await act(async () => void fireEvent.click(screen.getByText('Set it aside')));
  const { aside } = store.getState().records;
  unmount();
  const data = await openScreen(<DataScreen />, 'clean');
  await act(async () => void data.store.dispatch({ type: 'records/broken', payload: aside }));
  expect(screen.getByText(/^match\/bad: no screen could show it/)).toBeInTheDocument();
});

test('a page that cannot be shown offers what it is of, tries another address anew, and can be tried again', async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  let breaks = true;
  const Page = () => {
    if (breaks) throw new Error('Invalid array length');
    return <>fine</>;
  };
  const page = (path: string) => (
    <WholePage path={path} records={() => (path === '/a' ? [{ kind: 'match', id: 'bad' }] : [])}>
      <Page />
    </WholePage>
  );
  const shown = await openScreen(page('/a'), 'clean');
  expect(screen.getByRole('alert')).toHaveTextContent(/This page cannot be shown.*Invalid array length/);
  expect(screen.getByText('Set it aside')).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Open Data' })).toHaveAttribute('href', '/shelf/data');
  breaks = false;
  fireEvent.click(screen.getByText('Try again'));
  expect(screen.getByText('fine')).toBeInTheDocument();
  shown.unmount();
  breaks = true;
  await openScreen(page('/b'), 'clean');
  expect(screen.queryByText('Set it aside')).not.toBeInTheDocument();
});

test('an address says which records its page is of', () => {
  const store = createStore({} as never);
  const { entities } = store.getState().records;
  const all = {
    ...entities,
    match: { m: matchSchema.cast({ opened: WHEN, sampleId: 's', answers: [{ id: 'a', stage: null }], leading: 'a' }) },
    sample: { s: sampleSchema.cast({ when: WHEN, photos: ['p'] }) },
    box: { b: {} as never },
    model: { 'osmere:lark': {} as never },
  };
  const of = (path: string) => recordsOfPage(path, all).map(({ kind, id }) => `${kind}/${id}`);
  expect(of('/matches/m/hook')).toEqual(['match/m', 'sample/s', 'photo/p']);
  expect(of('/matches/gone/hook')).toEqual([]);
  expect(of('/box/b/add')).toEqual(['box/b']);
  expect(of('/drawer/hooks/osmere/lark')).toEqual(['model/osmere:lark']);
  expect(of('/dressings/first-light-dun')).toEqual([]);
  expect(of('/')).toEqual([]);
});

test('a box that cannot be drawn is a line that says so, and the other boxes stand', async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { store } = await openScreen(<BoxesScreen />, 'clean');
  const box = (name: string, rows: number) => ({ ...boxSchema.cast({ name, rows: 2, columns: 2 }), rows });
  await act(
    async () =>
      void store.dispatch(
        heard([
          { kind: 'box', id: 'odd', data: box('Odd', 1e300) },
          { kind: 'box', id: 'sound', data: box('Sound', 2) },
        ] as never),
      ),
  );
  expect(screen.getByRole('alert')).toHaveTextContent(/Odd/);
  expect(screen.getByText('Sound')).toBeInTheDocument();
});
