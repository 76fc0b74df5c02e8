import { act, fireEvent, screen } from '@testing-library/react';
import ids from '@/catalogue/ids.json';
import { loaded } from '@/state/storage/slice';
import { deleteBox, newBox } from '@/records';
import { act as run, selectDevice, selectSettings, undone } from '@/state';
import { choose, openScreen, unfold } from '../__tests__/screen';
import { CautionsScreen, DataScreen, SettingsScreen, ShelfScreen } from './shelf-screens';

test('the shelf leads to its rooms', async () => {
  await openScreen(<ShelfScreen />);
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
    '/shelf/naturals',
    '/shelf/words',
    '/shelf/field-card',
    '/shelf/settings',
    '/shelf/data',
    '/shelf/cautions',
  ]);
});

describe('settings', () => {
  test('unit, light and hand are kept, and the light is for this device only: it is no undo step', async () => {
    const { store } = await openScreen(<SettingsScreen />);
    fireEvent.click(screen.getByText('Inches, decimal'));
    fireEvent.click(screen.getByText('Dusk'));
    fireEvent.click(screen.getAllByText('Left')[0]!);
    fireEvent.click(screen.getAllByText('Left')[1]!);
    expect(selectDevice(store.getState())).toMatchObject({ hand: 'left', thumb: 'left' });
    expect(selectSettings(store.getState()).unit).toBe('in-decimal');
    expect(selectDevice(store.getState())).toMatchObject({ theme: 'dusk', hand: 'left' });
    expect(store.getState().records.past.map((item) => item.label)).toEqual(['unit']);
  });
  test('a school is chosen, and left to the dressing again', async () => {
    const { store } = await openScreen(<SettingsScreen />);
    unfold('Where tiers disagree');
    expect(screen.getByRole('combobox', { name: 'Work order' })).toHaveDisplayValue('As written');
    choose('Work order', 'Tail first');
    expect(selectSettings(store.getState()).schools).toEqual({ 'work-order': 'tail-first' });
    choose('Work order', 'As written');
    expect(selectSettings(store.getState()).schools).toEqual({});
  });
  test('every school of the one list has its place and its reason', async () => {
    await openScreen(<SettingsScreen />);
    unfold('Where tiers disagree');
    const here = ids.schools.filter((school) => !['size', 'x-label', 'hand'].includes(school.id));
    for (const school of here) expect(screen.getByLabelText(school.name)).toBeInTheDocument();
    expect(document.body.textContent).not.toContain('settings.school');
  });
});

describe('data', () => {
  test('what is stored is counted in plain words', async () => {
    await openScreen(<DataScreen />);
    expect(screen.getByText(/8 matches,.*43 hook models/)).toBeInTheDocument();
    expect(screen.queryByText(/settings/)).toBeNull();
  });
  test('what was deleted is listed by its name and can be put back, which undo takes back again', async () => {
    const { store } = await openScreen(<DataScreen />, 'clean');
    const written = () => act(async () => void (await store.persistence.current!.flush()));
    act(() => void store.dispatch(run(newBox, { name: 'River box' })));
    await written();
    const boxes = () => Object.values(store.getState().records.entities.box);
    const id = Object.keys(store.getState().records.entities.box)[0]!;
    act(() => void store.dispatch(run(deleteBox, { boxId: id })));
    await written();
    expect(boxes()).toEqual([]);
    fireEvent.click(await screen.findByRole('button', { name: 'Put back: River box, a box' }));
    expect(boxes()).toHaveLength(1);
    await written();
    expect(await screen.findByText('Nothing was deleted in the last 30 days.')).toBeInTheDocument();
    act(() => void store.dispatch(undone()));
    expect(boxes()).toEqual([]);
  });
  test('a clean store says where things will be kept', async () => {
    await openScreen(<DataScreen />, 'clean');
    expect(screen.getByText(/Nothing yet/)).toBeInTheDocument();
    expect(screen.getByText('The demo is not here.')).toBeInTheDocument();
  });
  test('a record that was set aside is named with its reason, and can be kept as a file', async () => {
    const { store } = await openScreen(<DataScreen />);
    const { entities } = store.getState().records;
    const made: Blob[] = [];
    Object.assign(URL, {
      createObjectURL: (blob: Blob) => `blob:${made.push(blob)}`,
      revokeObjectURL: () => undefined,
    });
    HTMLAnchorElement.prototype.click = () => undefined;
    act(
      () =>
        void store.dispatch(
          loaded({
            entities,
            aside: [{ key: 'match/m9', reason: 'newer', detail: '7', text: '{"v":7}' }],
            history: { past: [], future: [] },
          }),
        ),
    );
    expect(await screen.findByText('match/m9: written by a newer version (7)')).toBeInTheDocument();
    fireEvent.click(screen.getByText('Export what was set aside'));
    expect(made).toHaveLength(1);
    expect(made[0]!.size).toBeGreaterThan(40);
  });
  test('the demo leaves from here too, and the page says how it comes back', async () => {
    await openScreen(<DataScreen />);
    fireEvent.click(screen.getByText('Leave the demo'));
    expect(screen.getByText(/Undo brings it back/)).toBeInTheDocument();
  });
});

test('every caution of the one list is there, each with the closing line', async () => {
  await openScreen(<CautionsScreen />);
  expect(screen.getAllByText(/Local rules and licensed practice come first\.$/)).toHaveLength(ids.cautions.length);
  expect(screen.getByText('UV resin')).toBeInTheDocument();
  expect(screen.getByText(/never vinegar, any acid, ammonia/i)).toBeInTheDocument();
});
