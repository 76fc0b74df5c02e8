import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { readRecords } from '@/records';
import { openScreen } from '../__tests__/screen';
import { DataScreen } from './shelf-screens';
import { change } from '@/state/__tests__/change';
import { undone } from '@/state';

const chosen: { text: string | null } = { text: null };
const saved: { text: string | null } = { text: null };
jest.mock('@/features/files', () => ({
  openText: () => Promise.resolve(chosen.text),
  saveFile: (_name: string, text: string) => void (saved.text = text),
}));

const BOX = { demo: false, name: 'Auldry', rows: 4, columns: 6, carried: true };
const file = (name: string, at: number) =>
  JSON.stringify({
    aubade: 'records',
    version: 2,
    items: [{ kind: 'box', id: 'b', v: 1, clocks: { '': 1, name: at }, data: { ...BOX, name } }],
  });
const read = async (text: string) => {
  chosen.text = text;
  await act(async () => void fireEvent.click(screen.getByText('Read such a file')));
};

test('without anything of one’s own there is nothing to write, and the page says so', async () => {
  await openScreen(<DataScreen />);
  expect(screen.getByText('There is nothing of your own yet.')).toBeInTheDocument();
  expect(screen.getByText('Write it').closest('[role=button]')).toHaveAttribute('aria-disabled', 'true');
});

test('a file says first what it would do; taken in it is merged, and one step takes it back', async () => {
  const { store } = await openScreen(<DataScreen />, 'clean');
  await act(async () => void store.dispatch(change('box', (draft) => void (draft.box.b = BOX))));
  await read(file('Cinder', 9_000_000_000_000));
  expect(screen.getByText('It holds 1 record and 0 entries of ledgers new here.')).toBeInTheDocument();
  expect(screen.getByText(/name/, { selector: '[role=list] *, *' })).toBeInTheDocument();
  expect(store.getState().records.entities.box.b!.name).toBe('Auldry');
  await act(async () => void fireEvent.click(screen.getByText('Take it in')));
  expect(await screen.findByText('1 record taken in, merged with what was here.')).toBeInTheDocument();
  expect(store.getState().records.entities.box.b!.name).toBe('Cinder');
  act(() => void store.dispatch(undone()));
  expect(store.getState().records.entities.box.b!.name).toBe('Auldry');
});

test('an older edit changes nothing, and that is said', async () => {
  const { store } = await openScreen(<DataScreen />, 'clean');
  await act(async () => void store.dispatch(change('box', (draft) => void (draft.box.b = BOX))));
  await read(file('Cinder', 5));
  expect(screen.getByText(/changes nothing/)).toBeInTheDocument();
});

test('a file that is none is refused with why; what is written is read', async () => {
  const { store } = await openScreen(<DataScreen />, 'clean');
  await read('{ broken');
  expect(screen.getByText(/^Not taken: .*not a file of records/)).toBeInTheDocument();
  await act(async () => void store.dispatch(change('box', (draft) => void (draft.box.b = BOX))));
  fireEvent.click(screen.getByText('Write it'));
  await waitFor(() => expect(saved.text).not.toBeNull());
  expect(readRecords(saved.text!)).toMatchObject({
    ok: true,
    carried: { records: expect.arrayContaining([expect.objectContaining({ kind: 'box', data: BOX })]) },
  });
});
