import { act, fireEvent, screen, within } from '@testing-library/react';
import { readBundle } from '@/records';
import { undone, type Store } from '@/state';
import { saved } from '../__tests__/files';
import { laidOut, openScreen } from '../__tests__/screen';
import { change } from '@/state/__tests__/change';
import { MatchesScreen } from './screens';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));

const rows = () =>
  screen.getAllByRole('link').flatMap((link) => (link.getAttribute('href')!.startsWith('/matches/') ? [link] : []));
const names = () => rows().map((row) => row.getAttribute('aria-label')!.split(/[.] /)[0]);
const matches = (store: Store) => Object.keys(store.getState().records.entities.match);
const search = async (text: string) => {
  const field = screen.getByLabelText('Search name, stage, water or month');
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  await laidOut();
};
const pick = async (label: string, value: string) => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
  await laidOut();
};

/** The demo with one match of its own a year before. */
async function opened() {
  const { store } = await openScreen(<MatchesScreen />);
  act(
    () =>
      void store.dispatch(
        change('new-match', (draft) => {
          const one = draft.match['match_demo-auldry-dun']!;
          draft.sample.old = {
            ...structuredClone(draft.sample[one.sampleId]!),
            when: '2032-04-02T10:00',
            place: 'Top weir',
          };
          draft.match.old = { ...structuredClone(one), title: 'Last year’s dun', sampleId: 'old' };
        }),
      ),
  );
  await laidOut();
  return store;
}

test('matches stand under their month and year, newest first, and those that wait are folded', async () => {
  await opened();
  const months = () =>
    screen.getAllByRole('heading').flatMap(({ textContent }) => (/20\d\d$/.test(textContent!) ? [textContent] : []));
  expect(months()[0]).toBe('May 2033');
  expect(screen.getByRole('button', { name: /^Waiting for something: \d+ waits? for/ })).toHaveAttribute(
    'aria-expanded',
    'false',
  );
  await search('dun');
  expect(months()).toEqual(['May 2033', 'April 2032']);
  expect(names().at(-1)).toBe('Last year’s dun');
});

test('they are found as one types by name, stage, water and month, and by water, kind and month', async () => {
  const store = await opened();
  await search('pupa');
  expect(rows().length).toBeGreaterThan(0);
  for (const row of rows()) expect(row).toHaveAccessibleName(/pupa/i);
  await search('weir april 2032');
  expect(names()).toEqual(['Last year’s dun']);
  await search('no such thing');
  expect(screen.getByText('No match answers that.')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Show all again'));
  await laidOut();
  expect(screen.getByText(`${matches(store).length} matches`)).toBeInTheDocument();
  await pick('Water', 'Top weir');
  expect(names()).toEqual(['Last year’s dun']);
  await pick('Water', '');
  await pick('Kind', 'caddis');
  for (const row of rows()) expect(row).toHaveAccessibleName(/caddis/i);
  await pick('Kind', '');
  await pick('Month', '2032-04');
  expect(names()).toEqual(['Last year’s dun']);
});

test('several are picked, written to one file, and deleted in one step that is taken back in one', async () => {
  const store = await opened();
  const before = matches(store);
  fireEvent.click(screen.getByText('Pick several'));
  expect(screen.getByText('Delete').closest('[role=button]')).toHaveAttribute('aria-disabled', 'true');
  const boxes = () => screen.getAllByRole('checkbox');
  fireEvent.click(boxes()[0]!);
  fireEvent.click(boxes().at(-1)!);
  fireEvent.keyDown(boxes()[1]!, { key: ' ' });
  expect(boxes()[1]).toHaveAttribute('aria-checked', 'true');
  fireEvent.click(boxes()[1]!);
  expect(
    boxes()
      .map((box) => box.getAttribute('aria-checked'))
      .filter((on) => on === 'true'),
  ).toHaveLength(2);
  expect(screen.getByText('2 picked')).toBeInTheDocument();
  await act(async () => void fireEvent.click(screen.getByText('Write to one file')));
  const read = readBundle(String(saved.at(-1)!.text));
  expect(read.ok && Object.keys(read.bundle.match)).toHaveLength(2);
  fireEvent.click(screen.getByText('Delete'));
  expect(matches(store)).toHaveLength(before.length - 2);
  expect(screen.queryByRole('checkbox')).toBeNull();
  act(() => void store.dispatch(undone()));
  expect(matches(store).sort()).toEqual([...before].sort());
  fireEvent.click(screen.getByText('Pick several'));
  fireEvent.click(screen.getByText('Pick all of these'));
  expect(screen.getByText(`${before.length} picked`)).toBeInTheDocument();
});

test('few are not searched', async () => {
  const store = await opened();
  act(
    () =>
      void store.dispatch(
        change('delete-match', (draft) => {
          for (const id of Object.keys(draft.match).slice(3)) delete draft.match[id];
        }),
      ),
  );
  await laidOut();
  expect(within(document.body).queryByRole('search')).toBeNull();
});
