import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { ComponentType } from 'react';
import { opened } from '../__tests__/files';
import { openScreen } from '../__tests__/screen';
import { FileReader } from './screens';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));
jest.mock('@/workers', () => jest.requireActual('../__tests__/backup-jobs'));
jest.mock('@/features/matches', () => {
  const shell = jest.requireActual<{ InList: ComponentType<Record<string, unknown>> }>('@/features/shell');
  const { useApp } = jest.requireActual<typeof import('@/state')>('@/state');
  function Line({ id }: { id: string }) {
    const { match, sample } = useApp((state) => state.records.entities);
    const { place } = sample[match[id]!.sampleId]!;
    mockDrawn.push(place);
    if (place === 'Odd weir') throw new Error('no such weir');
    return null;
  }
  return {
    ...jest.requireActual<object>('@/features/matches'),
    MatchRow: ({ id }: { id: string }) => (
      <shell.InList record={{ kind: 'match', id }} name="" data={id}>
        <Line id={id} />
      </shell.InList>
    ),
  };
});
const mockDrawn: string[] = [];

const rows = Array.from({ length: 9 }, (_, index) => `2033-05-24,${index === 6 ? 'Odd weir' : `Fenbeck ${index}`}\n`);

test('what a file brings is drawn out of sight before it is kept; what cannot be is told, and set aside once the rest is taken', async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { store } = await openScreen(<FileReader label="Read it" />, 'clean');
  opened.text = `when,place\n${rows.join('')}`;
  fireEvent.click(screen.getByText('Read it'));
  expect(await screen.findByText(/^1 of it cannot be shown: a match match-sample-/)).toBeInTheDocument();
  expect([...new Set(mockDrawn)]).toHaveLength(9);
  expect(store.getState().records.entities.match).toEqual({});
  const take = screen.getByRole('button', { name: 'Take 9 samples' });
  await waitFor(() => expect(take).not.toHaveAttribute('aria-disabled', 'true'));
  await act(async () => void fireEvent.click(take));
  await waitFor(() => expect(store.getState().records.aside).toHaveLength(1));
  expect(store.getState().records.aside[0]).toMatchObject({ reason: 'unshown', detail: 'no such weir' });
  expect(Object.keys(store.getState().records.entities.match)).toHaveLength(8);
  expect(Object.keys(store.getState().records.entities.sample)).toHaveLength(9);
});
