import { act, fireEvent, screen } from '@testing-library/react';
import { setDevice } from '@/records';
import { act as run, selectDevice } from '@/state';
import { openScreen } from '../__tests__/screen';
import { change } from '@/state/__tests__/change';
import { NowScreen } from './index';

const step = (name: RegExp) => screen.getByRole('link', { name });

test('a clean start says in three lines how to begin, ticks what is done, and goes when all is', async () => {
  const { store } = await openScreen(<NowScreen />, 'clean');
  expect(step(/^Print the field card$/)).toHaveAttribute('href', '/shelf/field-card');
  expect(step(/^Type the packets/)).toHaveAttribute('href', '/drawer/packets');
  expect(step(/^Put ten flies/)).toHaveAttribute('href', '/box');
  act(() => void store.dispatch(run(setDevice, { cardKept: true })));
  expect(step(/^Print the field card\. done$/)).toBeInTheDocument();
  const fly = (count: number) =>
    change('put-in', (draft) => {
      draft.fly.f = { tally: { places: [{ boxId: 'b', slot: null, count, at: 'x' }], latest: [] } } as never;
    });
  const from = (count: number) => act(() => void store.dispatch(fly(count)));
  act(
    () =>
      void store.dispatch(
        change(
          'packet',
          (draft) =>
            void (draft.packet.p = {
              hookId: 'osmere:lark:14',
              label: '',
              note: '',
              low: null,
              demo: false,
              tally: { count: 0, latest: [] },
            }),
        ),
      ),
  );
  expect(step(/^Type the packets.*done$/)).toBeInTheDocument();
  from(9);
  expect(step(/^Put ten flies into a box$/)).toBeInTheDocument();
  from(10);
  expect(screen.queryByText('To begin')).toBeNull();
});

test('they can be put away, and that is kept', async () => {
  const { store } = await openScreen(<NowScreen />, 'clean');
  fireEvent.click(screen.getByText('Put this away'));
  expect(screen.queryByText('To begin')).toBeNull();
  expect(selectDevice(store.getState()).stepsAway).toBe(true);
});

test('in the demo its own note stands above everything else, and no first steps', async () => {
  await openScreen(<NowScreen />, 'demo');
  expect(screen.queryByText('To begin')).toBeNull();
  const note = screen.getByText(/^This is the demo valley/);
  const door = screen.getByText('A natural in hand');
  expect(note.compareDocumentPosition(door) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
});
