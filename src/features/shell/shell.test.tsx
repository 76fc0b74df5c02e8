import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { selectDevice, selectSettings } from '@/state';
import { openScreen } from '../__tests__/screen';
import { keptInMemory, notWritten } from '@/state/session';
import { saved } from '../__tests__/files';
import { went } from '../__tests__/router';
import { Measured } from './measured';
import { Shell } from './shell';
import { SpeechProvider } from './speech-context';
import { change } from '@/state/__tests__/change';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));

const key = (name: string, more: object = {}) => act(() => void fireEvent.keyDown(window, { key: name, ...more }));

describe('a number and where it comes from', () => {
  const shown = (source: 'measured' | 'model' | 'label', as: 'length' | 'fine-length' = 'length') =>
    openScreen(<Measured what="shank" quantity={{ value: 7.25, sd: 0.1, source }} as={as} />);
  test('a measurement is plain, a model is about', async () => {
    const { unmount } = await shown('measured');
    expect(screen.getByRole('button')).toHaveAccessibleName('shank: 7.3 mm. Where shank comes from');
    unmount();
    await shown('model');
    expect(screen.getByRole('button')).toHaveAccessibleName('shank: about 7.3 mm. Where shank comes from');
  });
  test('asked, it says its source and its ±, and closes again', async () => {
    await shown('label', 'fine-length');
    fireEvent.click(screen.getByRole('button'));
    expect(screen.getByText(/label, ± 0\.20 mm/i)).toBeInTheDocument();
    expect(screen.getByRole('button')).toHaveAttribute('aria-expanded', 'true');
    fireEvent.click(screen.getByRole('button'));
    expect(screen.queryByText(/±/)).toBeNull();
  });
});

describe('what was just taken away', () => {
  const remove = () => change('delete-match', (draft) => void delete draft.match['match_demo-auldry-dun']);
  const said = () => screen.queryByText('Match deleted.');
  test('is said with its way back, which the next change ends, and nothing of a page before is said', async () => {
    const { store } = await openScreen(<Shell />);
    expect(said()).toBeNull();
    act(() => void store.dispatch(remove()));
    expect(said()!.closest('[aria-live=polite]')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    expect(store.getState().records.entities.match['match_demo-auldry-dun']).toBeDefined();
    expect(said()).toBeNull();
    act(() => void store.dispatch(remove()));
    act(() => void store.dispatch(change('unit', (draft) => void (draft.settings.main!.unit = 'in-decimal'))));
    expect(said()).toBeNull();
    cleanup();
    act(() => void store.dispatch(remove()));
    render(
      <Provider store={store}>
        <SpeechProvider>
          <Shell />
        </SpeechProvider>
      </Provider>,
    );
    expect(said()).toBeNull();
  });
  test('goes by itself after a while, not while the focus is in it, and at once when it is closed', async () => {
    const { store } = await openScreen(<Shell />);
    jest.useFakeTimers();
    try {
      const after = (ms: number) => act(() => void jest.advanceTimersByTime(ms));
      act(() => void store.dispatch(remove()));
      act(() => screen.getByRole('button', { name: 'Take it back' }).focus());
      after(60_000);
      expect(said()).toBeInTheDocument();
      act(() => screen.getByRole('button', { name: 'Take it back' }).blur());
      after(13_000);
      expect(said()).toBeNull();
      act(() => void store.dispatch(change('delete-box', (draft) => void (draft.box = {}))));
      fireEvent.click(screen.getByRole('button', { name: 'Close' }));
      expect(screen.queryByText('Box deleted.')).toBeNull();
    } finally {
      jest.useRealTimers();
    }
  });
});

describe('the shell', () => {
  test('undo says what it takes back, and is dead while there is nothing', async () => {
    const { store } = await openScreen(<Shell />);
    expect(screen.getByLabelText('Undo')).toHaveAttribute('aria-disabled', 'true');
    act(() => void store.dispatch(change('unit', (draft) => void (draft.settings.main!.unit = 'in-decimal'))));
    fireEvent.click(screen.getByLabelText('Undo: unit'));
    expect(selectSettings(store.getState()).unit).toBe('mm');
    fireEvent.click(screen.getByLabelText('Redo'));
    expect(selectSettings(store.getState()).unit).toBe('in-decimal');
  });
  test('Ctrl or ⌘ Z undoes, with shift it does again', async () => {
    const { store } = await openScreen(<Shell />);
    act(() => void store.dispatch(change('unit', (draft) => void (draft.settings.main!.unit = 'in-decimal'))));
    key('z', { ctrlKey: true });
    expect(selectSettings(store.getState()).unit).toBe('mm');
    key('z', { metaKey: true, shiftKey: true });
    expect(selectSettings(store.getState()).unit).toBe('in-decimal');
  });
  test('the light goes round its three states and is written on the root', async () => {
    const { store } = await openScreen(<Shell />);
    for (const theme of ['dusk', 'red-lamp', 'morning']) {
      fireEvent.click(screen.getByLabelText(/^Light: /));
      expect(selectDevice(store.getState()).theme).toBe(theme);
      expect(document.documentElement.dataset.theme).toBe(theme);
    }
    expect(store.getState().records.past).toEqual([]);
  });
  test('n makes a match; digits open steps of the match on the screen; both rest while a field has the focus', async () => {
    went.path = '/matches/m1/hook';
    const { store } = await openScreen(<Shell />, 'clean');
    key('4');
    expect(went.to).toEqual([{ pathname: '/matches/[id]/[step]', params: { id: 'm1', step: 'bench' } }]);
    key('n');
    expect(Object.keys(store.getState().records.entities.match)).toHaveLength(1);
    const field = document.body.appendChild(document.createElement('input'));
    act(() => void fireEvent.keyDown(field, { key: 'n', bubbles: true }));
    expect(Object.keys(store.getState().records.entities.match)).toHaveLength(1);
    field.remove();
    went.path = '/';
  });
  test('what could not be kept stands on every place, with its reason, another try and a file', async () => {
    const { store } = await openScreen(<Shell />);
    expect(screen.queryByRole('region', { name: 'What is kept' })).toBeNull();
    act(() => void store.dispatch(notWritten({ keys: ['sample/sample_demo-auldry-dun', 'match/none'], why: 'full' })));
    const line = within(screen.getByRole('region', { name: 'What is kept' }));
    expect(line.getByText('2 records are not kept yet.')).toBeInTheDocument();
    expect(line.getByText(/no room left/)).toBeInTheDocument();
    await act(async () => void fireEvent.click(line.getByRole('button', { name: 'Save it to a file' })));
    expect(JSON.parse(saved.at(-1)!.text)).toMatchObject({
      aubade: 'records',
      items: [{ kind: 'sample', id: 'sample_demo-auldry-dun', v: 6 }],
    });
    const look = jest.spyOn(store.persistence.current!, 'look');
    fireEvent.click(line.getByRole('button', { name: 'Try again' }));
    expect(look).toHaveBeenCalledTimes(1);
  });
  test('a browser that keeps nothing is told, and the tier’s own records go to a file', async () => {
    const { store } = await openScreen(<Shell />);
    act(
      () =>
        void store.dispatch(change('title', (draft) => void (draft.sample['sample_demo-auldry-dun']!.place = 'weir'))),
    );
    act(() => void store.dispatch(keptInMemory()));
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Save it to a file' })));
    expect(
      (JSON.parse(saved.at(-1)!.text) as { items: { kind: string }[] }).items.map((item) => item.kind).sort(),
    ).toEqual(['device', 'sample', 'settings']);
  });
  test('what is taken back, and made again, is spoken', async () => {
    const { store } = await openScreen(<Shell />);
    act(
      () =>
        void store.dispatch(change('title', (draft) => void (draft.sample['sample_demo-auldry-dun']!.place = 'weir'))),
    );
    expect(screen.queryByText(/^Taken back/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /^Undo: / }));
    expect(screen.getByText(/^Taken back: /).closest('[aria-live=polite]')).not.toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Redo' }));
    expect(screen.getByText(/^Made again: /)).toBeInTheDocument();
  });
  test('a change that was refused is told until it is read', async () => {
    const { store } = await openScreen(<Shell />);
    act(() => void store.dispatch(change('x', (draft) => void (draft.sample['sample_demo-auldry-dun']!.when = ''))));
    expect(screen.getByText(/That change was not made/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(/That change was not made/)).toBeNull();
  });
  test('letter keys can be switched off', async () => {
    const { store } = await openScreen(<Shell />, 'clean');
    act(() => void store.dispatch(change('keys', (draft) => void (draft.settings.main!.letterKeys = false))));
    key('n');
    expect(store.getState().records.entities.match).toEqual({});
  });
  test('the frame has its landmarks, and the bench takes the whole screen', async () => {
    const { unmount } = await openScreen(<Shell />);
    for (const landmark of ['banner', 'navigation', 'main']) expect(screen.getByRole(landmark)).toBeInTheDocument();
    unmount();
    went.path = '/matches/m1/tie';
    await openScreen(<Shell />);
    expect(screen.queryByRole('banner')).toBeNull();
    went.path = '/';
  });
});
