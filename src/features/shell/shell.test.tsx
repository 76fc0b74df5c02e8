import { act, fireEvent, screen } from '@testing-library/react';
import { selectDevice, selectSettings } from '@/state';
import { openScreen } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { Measured } from './measured';
import { Shell } from './shell';
import { change } from '@/state/__tests__/change';

const key = (name: string, more: object = {}) => act(() => void fireEvent.keyDown(window, { key: name, ...more }));

describe('a number and where it comes from', () => {
  const shown = (source: 'measured' | 'model' | 'label', as: 'length' | 'fine-length' = 'length') => openScreen(<Measured what="shank" quantity={{ value: 7.25, sd: 0.1, source }} as={as} />);
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
